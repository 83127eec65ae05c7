/** The two pages of a soak: one that presses, and is reloaded; and one that only looks. */
import { sleep } from '../lib/processes.mjs'

const VIEW = { viewport: { width: 1280, height: 800 } }
/** Longer than a glove's double press: each key is an event of its own. */
const BETWEEN_PRESSES_MS = 260
/** Of one lane: later than a double press that is taken for one. */
const OF_ONE_LANE_MS = 1300
const READINGS_SHARE = 0.3

export class PressingPage {
  /** What was pressed, and how long each took to be painted, `{ ms, atMs }`. */
  pressed = []
  paints = []
  #url
  #busy = Promise.resolve()

  /** @param url of the server, which stays the same however often it is started */
  constructor(url) {
    this.#url = url
  }

  async start(browser) {
    this.context = await browser.newContext(VIEW)
    this.page = await this.context.newPage()
    await this.#open()
  }

  async #open() {
    await this.page.goto(`${this.#url}/bench`)
    await this.page.locator('[data-lane=F]').waitFor()
    // From the key to the frame after the mark stands on the page.
    await this.page.evaluate(() => {
      globalThis.paints = []
      addEventListener(
        'keydown',
        (event) => {
          if (event.key !== 'k') return
          const watch = new MutationObserver(() => {
            watch.disconnect()
            requestAnimationFrame(() =>
              setTimeout(() => globalThis.paints.push({ ms: performance.now() - event.timeStamp, atMs: Date.now() })),
            )
          })
          watch.observe(document.querySelector('[data-said]'), { childList: true, characterData: true, subtree: true })
        },
        { capture: true },
      )
    })
  }

  /** What stands on the lanes before the first key counts as pressed. */
  take(lanes) {
    for (const { lane, state } of lanes)
      this.pressed.push(
        ...state.marks
          .filter((one) => one.kind === 'reading' || one.kind === 'disturbance')
          .map((one) => ({ lane, kind: one.kind, at: one.atMs, typed: one.payload?.typed })),
      )
  }

  /** One key on one lane: a knock, or a reading typed whole. Waits for its turn while the page is reloaded. */
  async press(lane) {
    await this.#busy
    const { keyboard } = this.page
    const last = this.pressed.findLast((one) => one.lane === lane)
    await sleep(Math.max(BETWEEN_PRESSES_MS, last ? OF_ONE_LANE_MS - (Date.now() - last.at) : 0))
    await this.#busy
    await keyboard.press(lane.toLowerCase())
    if (Math.random() < READINGS_SHARE) {
      const typed = (20 + Math.random() * 60).toFixed(1)
      await keyboard.type(typed)
      await keyboard.press('Enter')
      this.pressed.push({ lane, kind: 'reading', at: Date.now(), typed })
    } else {
      await keyboard.press('k')
      this.pressed.push({ lane, kind: 'disturbance', at: Date.now() })
    }
    await sleep(40)
  }

  async reload() {
    let free
    this.#busy = new Promise((done) => {
      free = done
    })
    await sleep(400)
    await this.keepPaints()
    await this.#open()
    free()
  }

  async keepPaints() {
    this.paints.push(...(await this.page.evaluate(() => globalThis.paints.splice(0))))
  }

  /** Until nothing that was pressed waits in the browser any more. */
  async settled(withinMs) {
    await this.page.locator('[data-kept]').first().waitFor({ state: 'detached', timeout: withinMs })
  }

  says() {
    return this.page.locator('body').innerText()
  }
}

/** Never reloaded: its memory and its long tasks are what six live lanes cost. */
export class WatchingPage {
  #page
  #devtools

  async start(browser, url) {
    const context = await browser.newContext(VIEW)
    this.#page = await context.newPage()
    this.#devtools = await context.newCDPSession(this.#page)
    await this.#page.goto(`${url}/bench`)
    await this.#page.locator('[data-lane=F]').waitFor()
    await sleep(3000)
    await this.#page.evaluate(() => {
      globalThis.tasks = []
      globalThis.frames = []
      let before = performance.now()
      const frame = (now) => {
        globalThis.frames.push({ ms: Math.round(now - before), atMs: Date.now() })
        before = now
        requestAnimationFrame(frame)
      }
      requestAnimationFrame(frame)
      new PerformanceObserver((list) =>
        globalThis.tasks.push(
          ...list.getEntries().map(({ startTime, duration }) => ({
            ms: Math.round(duration),
            atMs: Date.now() - performance.now() + startTime + duration,
          })),
        ),
      ).observe({ type: 'longtask' })
    })
  }

  async heapMB() {
    await this.#devtools.send('HeapProfiler.collectGarbage')
    await this.#devtools.send('Performance.enable')
    const { metrics } = await this.#devtools.send('Performance.getMetrics')
    return metrics.find((one) => one.name === 'JSHeapUsedSize').value / 1e6
  }

  seen() {
    return this.#page.evaluate(() => ({ tasks: globalThis.tasks, frames: globalThis.frames }))
  }
}
