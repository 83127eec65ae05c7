/** `npm run soak`: six lanes live under faults, each followed by instruments, for as long as asked; every press and every sample is looked for in the database afterwards, once, in order, at its time. */
import { fork } from 'node:child_process'
import { once } from 'node:events'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { requireBuild } from './lib/build.mjs'
import { startCluster } from './lib/cluster.mjs'
import { ensureDatabase, prepareDatabase } from './lib/databases.mjs'
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { at, makeDataFolder, root } from './lib/paths.mjs'
import { anyFreePort } from './lib/ports.mjs'
import { requirePrograms } from './lib/postgresPrograms.mjs'
import { sleep } from './lib/processes.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { mark, stage } from './lib/stageBench.mjs'
import { unprivilegedUser } from './lib/unprivileged.mjs'

const HELP = `npm run soak                     30 minutes, the server killed 50 times
npm run soak -- --minutes 2      shorter; the faults keep their rate
              --silent       without the instruments: six lanes of four channels, ten samples a second
              --patience 3       milliseconds may be three times the limits, for a machine that others use; presses are judged alike
`
const LANES = ['A', 'B', 'C', 'D', 'E', 'F']
const KILLS_A_MINUTE = 50 / 30
/** Longer than a glove's double press: each key is an event of its own. */
const BETWEEN_PRESSES_MS = 260
const LIMITS = { paintP95Ms: 50, longestTaskMs: 100, grownMB: 20, offMs: 400, frameMs: 34, framesShare: 0.95 }

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const asked = (name, usual) => (args.includes(name) ? Number(args[args.indexOf(name) + 1]) : usual)
  const minutes = asked('--minutes', 30)
  const patience = asked('--patience', 1)
  if (!(minutes > 0 && patience >= 1)) throw new Stop(HELP)
  requireNode()
  makeDataFolder()
  await requireDependencies()
  await requireBuild()
  await requireChromium()
  const bench = await Bench.start()
  try {
    const summary = await bench.run(minutes, patience, !args.includes('--silent'))
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
    bench.folder = mkdtempSync(join(tmpdir(), 'vulcanum-soak-'))
    chmodSync(bench.folder, 0o711)
    bench.clusterArgs = { programs: await requirePrograms(), folder: join(bench.folder, 'cluster'), stateFolder: bench.folder, user: unprivilegedUser() }
    bench.cluster = await startCluster(bench.clusterArgs)
    await ensureDatabase(bench.cluster.url('postgres'), 'soak')
    bench.databaseUrl = bench.cluster.url('soak')
    await prepareDatabase(bench.databaseUrl, { empty: false })
    bench.port = await anyFreePort()
    bench.instrumentPort = await anyFreePort()
    await bench.serve()
    bench.browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
    return bench
  }

  async serve() {
    this.server = await startServer({ port: this.port, databaseUrl: this.databaseUrl, output: 'ignore', instrumentPort: this.instrumentPort })
  }

  async run(minutes, patience, followed) {
    const { url } = this.server
    await stage(url, LANES.map(lane => ({ lane, measured: { fuelBefore: '210 g' }, marks: [[120, mark('lit')], [110, mark('potOn')]] })))
    this.context = await this.browser.newContext({ viewport: { width: 1280, height: 800 } })
    this.page = await this.context.newPage()
    if (followed) await this.#follow(url)
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
    const { tasks, frames } = await watcher.page.evaluate(() => ({ tasks: globalThis.tasks, frames: globalThis.frames }))
    const samples = followed ? await this.#samplesJudged() : null
    return this.#judge(await (await fetch(`${url}/api/bench`)).json(), { minutes, patience, memory, tasks, frames, samples, machineLateMs: machine() })
  }

  /** Four channels of each lane, by a program of its own that never hears of the faults. */
  async #follow(url) {
    const feeds = []
    for (const lane of LANES) {
      const answer = await fetch(`${url}/api/instruments/feeds`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ id: uuidv7(), name: `soak ${lane}`, lanes: Object.fromEntries(['water', 'scale', 'wind', 'air'].map(channel => [channel, [lane]])) }) })
      feeds.push({ lane, token: (await answer.json()).value.token })
    }
    this.sentFile = join(this.folder, 'sent.json')
    this.senders = fork(at('scripts', 'soak', 'senders.ts'), [], { cwd: root, execArgv: ['--import', 'tsx'], stdio: ['ignore', 'ignore', 'inherit', 'ipc'] })
    this.senders.send({ port: this.instrumentPort, feeds, file: this.sentFile })
    const station = await fetch(`${url}/api/instruments/feeds`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ id: uuidv7(), name: 'soak station', lanes: { pressure: ['A'] } }) })
    this.stationToken = (await station.json()).value.token
    this.#startStation()
  }

  /** An instrument that is killed again and again: what was acknowledged to it is there. */
  #startStation() {
    this.station = fork(at('scripts', 'soak', 'station.mjs'), [String(this.instrumentPort), this.stationToken, ...['station.log', 'station.acked'].map(name => join(this.folder, name))], { cwd: root, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] })
  }

  async killInstrument() {
    this.faults.instrumentKilled++
    this.station.kill('SIGKILL')
    await sleep(200)
    this.#startStation()
  }

  /** What was sent against what is stored: each sample once, with its moment and its value. */
  async #samplesJudged() {
    this.station.kill('SIGTERM')
    this.senders.send('stop')
    await once(this.senders, 'message')
    const sent = JSON.parse(readFileSync(this.sentFile, 'utf8'))
    const client = new pg.Client({ connectionString: this.databaseUrl })
    await client.connect()
    const { rows } = await client.query('select r.lane, t.channel, extract(epoch from r.started_at) * 1000 as zero_ms, c.t_ms, c.v from run r join trace t on t.run_id = r.id join trace_chunk c on c.trace_id = t.id where r.state in (\'draft\', \'live\') order by c.seq')
    await client.end()
    const judged = { sent: 0, stored: 0, wrong: 0, stationAcknowledged: 0, stationWrong: 0 }
    const pressures = name => readFileSync(join(this.folder, name), 'utf8').trim().split('\n').filter(line => line.includes(',pressure,')).map(line => `${line.split(',')[0]} ${Number(line.split(',')[2])}`)
    const stored = rows.filter(row => row.lane === 'A' && row.channel === 'pressure').flatMap(row => row.t_ms.map((t, i) => `${Math.round(Number(row.zero_ms) + t)} ${Number((row.v[i] / 100).toFixed(6))}`))
    const [acked, logged, known] = [new Set(pressures('station.acked')), new Set(pressures('station.log')), new Set(stored)]
    judged.stationAcknowledged = acked.size
    judged.stationWrong = [...acked].filter(one => !known.has(one)).length + stored.filter(one => !logged.has(one)).length + stored.length - known.size
    for (const lane of LANES) {
      for (const [channel, samples] of Object.entries(sent[lane])) {
        const factor = channel === 'scale' ? 1000 : 1
        const stored = rows.filter(row => row.lane === lane && row.channel === channel).flatMap(row => row.t_ms.map((t, i) => [Math.round(Number(row.zero_ms) + t), Number((row.v[i] * factor).toFixed(6))])).sort((a, b) => a[0] - b[0])
        judged.sent += samples.length
        judged.stored += stored.length
        judged.wrong += samples.filter(([ms, value], i) => stored[i]?.[0] !== ms || stored[i]?.[1] !== value).length
      }
    }
    return judged
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
      new PerformanceObserver(list => globalThis.tasks.push(...list.getEntries().map(entry => Math.round(entry.duration)))).observe({ type: 'longtask' })
    })
    return { page, devtools: await context.newCDPSession(page) }
  }

  async #open() {
    await this.page.goto(`http://127.0.0.1:${this.port}/bench`)
    await this.page.locator('[data-lane=F]').waitFor()
    // From the key to the frame after the mark stands on the page.
    await this.page.evaluate(() => {
      globalThis.paints = []
      addEventListener('keydown', (event) => {
        if (event.key !== 'k') return
        const watch = new MutationObserver(() => {
          watch.disconnect()
          requestAnimationFrame(() => setTimeout(() => globalThis.paints.push(performance.now() - event.timeStamp)))
        })
        watch.observe(document.querySelector('[data-said]'), { childList: true, characterData: true, subtree: true })
      }, { capture: true })
    })
  }

  /** One key on one lane: a knock, or a reading typed whole. Waits for its turn while the page is reloaded. */
  async #press(lane) {
    await this.#busy
    const { keyboard } = this.page
    const last = this.pressed.findLast(one => one.lane === lane)
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
      const counts = [serverKilled / 4, databaseKilled * 2, networkCut, reloaded, this.senders ? instrumentKilled / 2 : Infinity]
      await this[FAULTS[counts.indexOf(Math.min(...counts))]]()
    }
  }

  async killServer() {
    this.faults.serverKilled++
    process.kill(this.server.pid, 'SIGKILL')
    await sleep(300 + Math.random() * 2500)
    await this.serve()
  }

  async killDatabase() {
    this.faults.databaseKilled++
    process.kill(Number(readFileSync(join(this.clusterArgs.folder, 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGKILL')
    await sleep(1500)
    this.cluster = await startCluster(this.clusterArgs)
    if (this.cluster.url('soak') !== this.databaseUrl) throw new Stop('The cluster came back at another address.')
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
    this.#busy = new Promise((done) => { free = done })
    await sleep(400)
    await this.#keepPaints()
    await this.#open()
    free()
  }

  async #keepPaints() {
    this.paints.push(...await this.page.evaluate(() => globalThis.paints.splice(0)))
  }

  #judge({ lanes }, { minutes, patience, memory, tasks, frames, samples, machineLateMs }) {
    const broken = []
    let worstOffMs = 0
    for (const lane of lanes) {
      const stored = lane.state.marks.filter(one => one.kind === 'disturbance' || one.kind === 'reading')
      const wanted = this.pressed.filter(one => one.lane === lane.lane)
      const [got, asked] = [stored, wanted].map(list => list.map(one => (one.kind === 'reading' ? one.payload?.typed ?? one.typed : 'k')).join(' '))
      if (got !== asked) broken.push(`lane ${lane.lane}: ${wanted.length} pressed, ${stored.length} stored, or not in their order`)
      else for (let i = 0; i < stored.length; i++) worstOffMs = Math.max(worstOffMs, Math.abs(stored[i].atMs - wanted[i].at))
    }
    const sorted = [...this.paints].sort((a, b) => a - b)
    const paintP95Ms = p95(this.paints)
    // In sixths of the whole: what grows with the marks shows here.
    const paintP95BySixth = Array.from({ length: 6 }, (_, i) => p95(this.paints.slice(Math.floor((i * this.paints.length) / 6), Math.floor(((i + 1) * this.paints.length) / 6))))
    const grownMB = Number((memory.at(-1) - memory[0]).toFixed(1))
    const longestTaskMs = Math.max(0, ...tasks)
    const framesInTime = Number((frames.filter(ms => ms <= LIMITS.frameMs * patience).length / Math.max(1, frames.length)).toFixed(4))
    if (framesInTime < LIMITS.framesShare) broken.push(`${(100 * framesInTime).toFixed(1)} % of frames within ${LIMITS.frameMs * patience} ms`)
    if (samples !== null && (samples.sent === 0 || samples.wrong > 0 || samples.stationAcknowledged === 0 || samples.stationWrong > 0 || samples.stored !== samples.sent)) broken.push(`of ${samples.sent} samples sent ${samples.stored} are stored, ${samples.wrong} not in their place; of the killed station’s ${samples.stationAcknowledged} acknowledged ${samples.stationWrong} wrong`)
    if (sorted.length === 0) broken.push('no press was timed')
    if (paintP95Ms >= LIMITS.paintP95Ms * patience) broken.push(`mark to paint ${paintP95Ms} ms (p95)`)
    if (longestTaskMs > LIMITS.longestTaskMs * patience) broken.push(`a task of ${longestTaskMs} ms`)
    if (grownMB >= LIMITS.grownMB) broken.push(`memory grew by ${grownMB} MB`)
    if (worstOffMs > LIMITS.offMs * patience) broken.push(`a mark is ${worstOffMs} ms from its press`)
    return { minutes, pressed: this.pressed.length, ...this.faults, paintP95Ms, paintP95BySixth, timed: sorted.length, machineLateMs, longestTaskMs, tasksOver50Ms: tasks.length, grownMB, worstOffMs, frames: frames.length, framesInTime, samples, broken }
  }

  async stop() {
    this.station?.kill('SIGTERM')
    this.senders?.kill('SIGTERM')
    await this.browser?.close()
    await this.server?.stop()
    await this.cluster?.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }
}
const p95 = times => Math.round([...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0)

/** How late a timer of this idle process comes [ms, the longest and the 99th of a hundred]: what the machine itself stalls, with nothing of ours to do. */
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
  return metrics.find(one => one.name === 'JSHeapUsedSize').value / 1e6
}

runMain(main)
