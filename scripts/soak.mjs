/**
 * `npm run soak`: six lanes live under faults, each followed by instruments, for as long as asked; server and database
 * are only killed, and come again as `npm start` brings them; every press and every sample is looked for in the
 * database afterwards, once, in order, at its time.
 */
import { fork } from 'node:child_process'
import { once } from 'node:events'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { ownCluster } from './lib/ownBench.mjs'
import { at, root } from './lib/paths.mjs'
import { anyFreePort } from './lib/ports.mjs'
import { sleep } from './lib/processes.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { keepServer } from './lib/keepServer.mjs'
import { mark, stage } from './lib/stageBench.mjs'
import { judge } from './soak/judge.mjs'
import { samplesJudged } from './soak/samplesJudged.mjs'

const HELP = `npm run soak                     30 minutes, the server killed 50 times
npm run soak -- --minutes 2      shorter; the faults keep their rate
              --after 28     on a bench where so many minutes of presses and samples stand already, for what grows with them
              --silent       without the instruments: four channels of each lane, ten samples a second
              --patience 3       milliseconds may be three times the limits, for a machine that others use; presses are judged alike
`
const LANES = ['A', 'B', 'C', 'D', 'E', 'F']
const KILLS_A_MINUTE = 50 / 30
/** Longer than a glove's double press: each key is an event of its own. */
const BETWEEN_PRESSES_MS = 260
/** Of one lane of six, as the keys come. */
const SECONDS_A_PRESS = 4

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const asked = (name, usual) => (args.includes(name) ? Number(args[args.indexOf(name) + 1]) : usual)
  const minutes = asked('--minutes', 30)
  const patience = asked('--patience', 1)
  const after = asked('--after', 0)
  if (!(minutes > 0 && patience >= 1 && after >= 0 && after <= 50)) throw new Stop(HELP)
  await requireChromium()
  const bench = await Bench.start()
  try {
    const summary = await bench.run({ minutes, after, patience, followed: !args.includes('--silent') })
    say(JSON.stringify(summary, null, 1))
    if (summary.broken.length > 0) throw new Stop(`Not held: ${summary.broken.join('; ')}`)
    say('Every press and every sample is there once, in order, at its time.')
  } finally {
    await bench.stop()
  }
}

/** The cluster, the server and the browser of one soak, and what may be done to them. */
class Bench {
  faults = { serverKilled: 0, databaseKilled: 0, networkCut: 0, reloaded: 0, instrumentKilled: 0 }
  pressed = []
  paints = []
  #busy = Promise.resolve()

  static async start() {
    const bench = new Bench()
    bench.cluster = await ownCluster('soak')
    bench.folder = bench.cluster.folder
    bench.databaseUrl = await bench.cluster.make('soak')
    bench.port = await anyFreePort()
    bench.instrumentPort = await anyFreePort()
    await bench.serve()
    bench.browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
    return bench
  }

  async serve() {
    this.server = await keepServer({
      port: this.port,
      databaseUrl: this.databaseUrl,
      output: 'ignore',
      instrumentPort: this.instrumentPort,
    })
  }

  async run({ minutes, after, patience, followed }) {
    const { url } = this.server
    const before = Object.fromEntries(LANES.map((lane) => [lane, pressesBefore(after * 60)]))
    await stage(
      url,
      LANES.map((lane) => ({
        lane,
        measured: { fuelBefore: '210 g' },
        marks: [
          [after * 60 + 120, mark('lit')],
          [after * 60 + 110, mark('potOn')],
          ...before[lane].map(({ ago, kind, typed }) => [ago, mark(kind, typed)]),
        ],
      })),
    )
    await this.#take(url)
    this.context = await this.browser.newContext({ viewport: { width: 1280, height: 800 } })
    this.page = await this.context.newPage()
    if (followed) await this.#follow(url, after)
    const watcher = await this.#watcher(url)
    await this.#open()
    const endsAt = Date.now() + minutes * 60_000
    const faults = this.#faults(endsAt)
    const machine = lateness()
    const memory = []
    const steadyAfter = Date.now() + Math.min(5, minutes / 4) * 60_000
    while (Date.now() < endsAt) {
      await this.#press(LANES[Math.floor(Math.random() * LANES.length)])
      if (memory.length === 0 && Date.now() > steadyAfter) memory.push(await heapMB(watcher))
    }
    await faults
    await this.context.setOffline(false)
    await this.page.locator('[data-kept]').first().waitFor({ state: 'detached', timeout: 60_000 })
    memory.push(await heapMB(watcher))
    await this.#keepPaints()
    const { tasks, frames } = await watcher.page.evaluate(() => ({
      tasks: globalThis.tasks,
      frames: globalThis.frames,
    }))
    const samples = followed ? await this.#samplesSettled() : null
    const { lanes } = await (await fetch(`${url}/api/bench`)).json()
    return judge({
      lanes,
      pressed: this.pressed,
      paints: this.paints,
      faults: this.faults,
      minutes,
      patience,
      memory,
      tasks,
      frames,
      samples,
      machineLateMs: machine(),
    })
  }

  /** What stands on the lanes before the first key counts as pressed. */
  async #take(url) {
    const { lanes } = await (await fetch(`${url}/api/bench`)).json()
    for (const { lane, state } of lanes)
      this.pressed.push(
        ...state.marks
          .filter((one) => one.kind === 'reading' || one.kind === 'disturbance')
          .map((one) => ({ lane, kind: one.kind, at: one.atMs, typed: one.payload?.typed })),
      )
  }

  /**
   * Four channels of each lane, by a program of its own that never hears of the faults; with the minutes that went
   * before.
   */
  async #follow(url, after) {
    const feeds = []
    for (const lane of LANES) {
      const answer = await fetch(`${url}/api/instruments/feeds`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          id: uuidv7(),
          name: `soak ${lane}`,
          lanes: Object.fromEntries(['water', 'scale', 'wind', 'air'].map((channel) => [channel, [lane]])),
        }),
      })
      feeds.push({ lane, token: (await answer.json()).value.token })
    }
    this.sentFile = join(this.folder, 'sent.json')
    this.senders = fork(at('scripts', 'soak', 'senders.ts'), [], {
      cwd: root,
      execArgv: ['--import', 'tsx'],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    })
    this.senders.send({ port: this.instrumentPort, feeds, file: this.sentFile, beforeS: after * 60 })
    await once(this.senders, 'message')
    const station = await fetch(`${url}/api/instruments/feeds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: uuidv7(), name: 'soak station', lanes: { pressure: ['A'] } }),
    })
    this.stationToken = (await station.json()).value.token
    this.#startStation()
  }

  /** An instrument that is killed again and again: what was acknowledged to it is there. */
  #startStation() {
    this.station = fork(
      at('scripts', 'soak', 'station.mjs'),
      [
        String(this.instrumentPort),
        this.stationToken,
        ...['station.log', 'station.acked'].map((name) => join(this.folder, name)),
      ],
      { cwd: root, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] },
    )
  }

  async killInstrument() {
    this.faults.instrumentKilled++
    this.station.kill('SIGKILL')
    await sleep(200)
    this.#startStation()
  }

  async #samplesSettled() {
    this.station.kill('SIGTERM')
    this.senders.send('stop')
    await once(this.senders, 'message')
    return samplesJudged({ databaseUrl: this.databaseUrl, folder: this.folder, sentFile: this.sentFile, lanes: LANES })
  }

  /** A page that only looks, and is never reloaded: its memory and its long tasks are what six live lanes cost. */
  async #watcher(url) {
    const context = await this.browser.newContext({ viewport: { width: 1280, height: 800 } })
    const page = await context.newPage()
    await page.goto(`${url}/bench`)
    await page.locator('[data-lane=F]').waitFor()
    await sleep(3000)
    await page.evaluate(() => {
      globalThis.tasks = []
      globalThis.frames = []
      let before = performance.now()
      const frame = (now) => {
        globalThis.frames.push(Math.round(now - before))
        before = now
        requestAnimationFrame(frame)
      }
      requestAnimationFrame(frame)
      new PerformanceObserver((list) =>
        globalThis.tasks.push(...list.getEntries().map((entry) => Math.round(entry.duration))),
      ).observe({ type: 'longtask' })
    })
    return { page, devtools: await context.newCDPSession(page) }
  }

  async #open() {
    await this.page.goto(`http://127.0.0.1:${this.port}/bench`)
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
            requestAnimationFrame(() => setTimeout(() => globalThis.paints.push(performance.now() - event.timeStamp)))
          })
          watch.observe(document.querySelector('[data-said]'), { childList: true, characterData: true, subtree: true })
        },
        { capture: true },
      )
    })
  }

  /** One key on one lane: a knock, or a reading typed whole. Waits for its turn while the page is reloaded. */
  async #press(lane) {
    await this.#busy
    const { keyboard } = this.page
    const last = this.pressed.findLast((one) => one.lane === lane)
    await sleep(Math.max(BETWEEN_PRESSES_MS, last ? 1300 - (Date.now() - last.at) : 0))
    await this.#busy
    await keyboard.press(lane.toLowerCase())
    const reads = Math.random() < 0.3
    if (reads) {
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

  async #faults(endsAt) {
    while (Date.now() < endsAt - 8000) {
      await sleep((60_000 / KILLS_A_MINUTE / FAULTS.length) * (0.5 + Math.random()) * 0.8)
      if (Date.now() > endsAt - 8000) break
      const { serverKilled, databaseKilled, networkCut, reloaded, instrumentKilled } = this.faults
      const counts = [
        serverKilled / 4,
        databaseKilled * 2,
        networkCut,
        reloaded,
        this.senders ? instrumentKilled / 3 : Infinity,
      ]
      const fault = FAULTS[counts.indexOf(Math.min(...counts))]
      say(`· ${fault}`)
      await this[fault]()
    }
  }

  async killServer() {
    this.faults.serverKilled++
    process.kill(this.server.pid(), 'SIGKILL')
    await sleep(300 + Math.random() * 2500)
  }

  async killDatabase() {
    this.faults.databaseKilled++
    process.kill(this.cluster.pid(), 'SIGKILL')
    await sleep(1500)
  }

  async cutNetwork() {
    this.faults.networkCut++
    await this.context.setOffline(true)
    await sleep(3000 + Math.random() * 6000)
    await this.context.setOffline(false)
  }

  async reload() {
    this.faults.reloaded++
    let free
    this.#busy = new Promise((done) => {
      free = done
    })
    await sleep(400)
    await this.#keepPaints()
    await this.#open()
    free()
  }

  async #keepPaints() {
    this.paints.push(...(await this.page.evaluate(() => globalThis.paints.splice(0))))
  }

  async stop() {
    this.station?.kill('SIGTERM')
    this.senders?.kill('SIGTERM')
    await this.browser?.close()
    await this.server?.stop()
    await this.cluster?.stop()
  }
}

/** Knocks and readings of one lane, as many as its keys would have made. */
function pressesBefore(seconds) {
  return Array.from({ length: Math.floor(seconds / SECONDS_A_PRESS) }, (_, i) => ({
    ago: Math.round(seconds - i * SECONDS_A_PRESS),
    ...(i % 3 === 0 ? { kind: 'reading', typed: `${(20 + (i % 60)).toFixed(1)} °C` } : { kind: 'disturbance' }),
  }))
}

/**
 * How late a timer of this idle process comes [ms, the longest and the 99th of a hundred]: what the machine itself
 * stalls, with nothing of ours to do.
 */
function lateness() {
  const EVERY_MS = 50
  const late = []
  let due = performance.now() + EVERY_MS
  const timer = setInterval(() => {
    late.push(Math.max(0, performance.now() - due))
    due = performance.now() + EVERY_MS
  }, EVERY_MS)
  return () => {
    clearInterval(timer)
    late.sort((a, b) => a - b)
    return { longest: Math.round(late.at(-1)), p99: Math.round(late[Math.floor(late.length * 0.99)]) }
  }
}

const FAULTS = ['killServer', 'killDatabase', 'cutNetwork', 'reload', 'killInstrument']

async function heapMB({ devtools }) {
  await devtools.send('HeapProfiler.collectGarbage')
  await devtools.send('Performance.enable')
  const { metrics } = await devtools.send('Performance.getMetrics')
  return metrics.find((one) => one.name === 'JSHeapUsedSize').value / 1e6
}

runMain(main)
