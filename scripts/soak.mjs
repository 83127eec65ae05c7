/**
 * `npm run soak`: six lanes live under faults, each followed by instruments, for as long as asked; server and database
 * are only killed, and come again as `npm start` brings them; every press and every sample is looked for in the
 * database afterwards, once, in order, at its time.
 */
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import pg from 'pg'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { keepServer } from './lib/keepServer.mjs'
import { ownCluster } from './lib/ownBench.mjs'
import { anyFreePort } from './lib/ports.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { mark, stage } from './lib/stageBench.mjs'
import { Faults } from './soak/faults.mjs'
import { Instruments } from './soak/instruments.mjs'
import { judge } from './soak/judge.mjs'
import { watchMachine } from './lib/machine.mjs'
import { PressingPage, WatchingPage } from './soak/pages.mjs'

const HELP = `npm run soak                     30 minutes, the server killed 50 times
npm run soak -- --minutes 2      shorter; the faults keep their rate
              --after 28     on a bench where so many minutes of presses and samples stand already, for what grows with them
              --silent       without the instruments: four channels of each lane, ten samples a second
              --patience 3       milliseconds may be three times the limits, for a machine that others use; presses are judged alike
`
const LANES = ['A', 'B', 'C', 'D', 'E', 'F']
/** Of one lane of six, as the keys come. */
const SECONDS_A_PRESS = 4
/** After the last fault all that was pressed is sent within this. */
const SETTLED_MS = 60_000

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

/** The cluster, the server and the browser of one soak. */
class Bench {
  instruments = null
  #watching = new WatchingPage()

  static async start() {
    const bench = new Bench()
    bench.cluster = await ownCluster('soak')
    bench.folder = bench.cluster.folder
    bench.databaseUrl = await bench.cluster.make('soak')
    bench.instrumentPort = await anyFreePort()
    bench.server = await keepServer({
      port: await anyFreePort(),
      databaseUrl: bench.databaseUrl,
      output: 'ignore',
      instrumentPort: bench.instrumentPort,
    })
    bench.url = bench.server.url
    bench.pressing = new PressingPage(bench.url)
    bench.browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
    return bench
  }

  async run({ minutes, after, patience, followed }) {
    await stage(
      this.url,
      LANES.map((lane) => stagedLane(lane, after)),
    )
    this.pressing.take(await this.#lanes())
    if (followed) await this.#follow(after)
    await this.#watching.start(this.browser, this.url)
    await this.pressing.start(this.browser)
    const machine = watchMachine(join(this.folder, 'page'))
    const faults = new Faults(this)
    const memory = await this.#pressUnder(faults, minutes)
    await this.#settle(machine)
    memory.push(await this.#watching.heapMB())
    await this.pressing.keepPaints()
    const samples = (await this.instruments?.settled()) ?? null
    const { pressed, paints } = this.pressing
    const shown = { pressed, paints, memory, ...(await this.#watching.seen()) }
    const lanes = await this.#lanes()
    return judge({ ...shown, lanes, faults: faults.counts, minutes, patience, samples, machine: await machine() })
  }

  async #follow(after) {
    this.instruments = new Instruments(this, LANES)
    await this.instruments.start(after * 60)
  }

  /** @returns the watching page's memory when it was warm [MB] */
  async #pressUnder(faults, minutes) {
    const endsAt = Date.now() + minutes * 60_000
    const warmAt = Date.now() + Math.min(5, minutes / 4) * 60_000
    const going = faults.until(endsAt)
    const memory = []
    while (Date.now() < endsAt) {
      await this.pressing.press(LANES[Math.floor(Math.random() * LANES.length)])
      if (memory.length === 0 && Date.now() > warmAt) memory.push(await this.#watching.heapMB())
    }
    await going
    return memory
  }

  async #settle(machine) {
    await this.pressing.context.setOffline(false)
    try {
      await this.pressing.settled(SETTLED_MS)
    } catch {
      throw new Stop(
        `What was pressed still waits in the browser after ${SETTLED_MS / 1000} s. ${await this.#standing(machine)}`,
      )
    }
  }

  /** What each part says when something hangs. */
  async #standing(machine) {
    const ask = async (what, asking) => {
      const began = performance.now()
      const said = await Promise.race([
        asking().catch((error) => error.message),
        new Promise((done) => setTimeout(() => done('nothing within 5 s'), 5000)),
      ])
      return `${what}: ${said} (${Math.round(performance.now() - began)} ms)`
    }
    const text = async (path) => (await fetch(`${this.url}${path}`)).text()
    const parts = [
      await ask('health', () => text('/api/health')),
      await ask('bench', async () => `${(await text('/api/bench')).length} bytes`),
      await ask('database', () => activity(this.databaseUrl)),
      await ask('machine', async () => JSON.stringify(await machine())),
      await ask('page', () => this.pressing.says()),
    ]
    return `\n${parts.join('\n')}`
  }

  async #lanes() {
    return (await (await fetch(`${this.url}/api/bench`)).json()).lanes
  }

  async stop() {
    this.instruments?.stop()
    await this.browser?.close()
    await this.server?.stop()
    await this.cluster?.stop()
  }
}

const stagedLane = (lane, after) => ({
  lane,
  measured: { fuelBefore: '210 g' },
  marks: [
    [after * 60 + 120, mark('lit')],
    [after * 60 + 110, mark('potOn')],
    ...pressesBefore(after * 60).map(({ ago, kind, typed }) => [ago, mark(kind, typed)]),
  ],
})

/** Knocks and readings of one lane, as many as its keys would have made. */
function pressesBefore(seconds) {
  return Array.from({ length: Math.floor(seconds / SECONDS_A_PRESS) }, (_, i) => ({
    ago: Math.round(seconds - i * SECONDS_A_PRESS),
    ...(i % 3 === 0 ? { kind: 'reading', typed: `${(20 + (i % 60)).toFixed(1)} °C` } : { kind: 'disturbance' }),
  }))
}

/** Who waits for what in the database. */
async function activity(databaseUrl) {
  const client = new pg.Client({ connectionString: databaseUrl, connectionTimeoutMillis: 4000 })
  await client.connect()
  const { rows } = await client.query(
    `select state, wait_event, left(query, 60) as query, round(extract(epoch from clock_timestamp() - state_change)) as s
       from pg_stat_activity where datname = current_database() and state <> 'idle'`,
  )
  await client.end()
  return JSON.stringify(rows)
}

runMain(main)
