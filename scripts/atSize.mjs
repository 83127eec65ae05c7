/**
 * `npm run at-size`: a hundred thousand runs and twenty million samples, and what the logbook does with them: times,
 * memory, and whether the answers are right.
 */
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import pg from 'pg'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { ownCluster, peakMB } from './lib/ownBench.mjs'
import { at } from './lib/paths.mjs'
import { anyFreePort } from './lib/ports.mjs'
import { run, sleep } from './lib/processes.mjs'
import { runMain, say, step, Stop } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'

const HELP = `npm run at-size                      100 000 runs, 20 million samples
npm run at-size -- --runs 10000      fewer
npm run at-size -- --hold            served until Ctrl-C, to look at, and not measured
`
const CALLS = 50
const LIMITS = {
  listMs: 150,
  runPageMs: 1000,
  serverMB: 500,
  overSql: 1.6,
  besideSqlMs: 25,
  importS: 4,
  csvS: 8,
  anewS: 60,
}
const IMPORTED = 10_000
/** First pages of the logbook; the facts that say how many pass, by SQL on the facts themselves. */
const COUNTED =
  "select count(*)::int as n from run r join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id left join place_version pv on pv.id = r.place_version_id left join place p on p.id = pv.place_id join person who on who.id = r.person_id where r.origin = 'measured' and r.state = 'finished'"
/** @param ids of a set-up, two places and a person */
const queries = ({ setup, hut, saddle, person }, setupName) => [
  ['', ''],
  [`setup=${setup}`, `and s.name = '${setupName}'`],
  [`place=${hut}`, "and p.name = 'Ash Gate hut'"],
  [
    'from=2019-01-01&to=2019-12-31',
    "and (r.started_at at time zone r.zone)::date between '2019-01-01' and '2019-12-31'",
  ],
  ['sort=normalisedGPerL.up', ''],
  ['sort=setup.up', ''],
  [`sort=timeToBoilS.down&place=${saddle}`, "and p.name = 'Ice saddle'"],
  ['words=gust', "and r.notes ilike '%gust%'"],
  ['group=setup', ''],
  ['group=day&sort=gPerL.down', ''],
  [`person=${person}&sort=gPerL.up`, "and who.name = 'Odra Vell'"],
]

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const runs = args.includes('--runs') ? Number(args[args.indexOf('--runs') + 1]) : 100_000
  if (!(runs >= 1000)) throw new Stop(HELP)
  await requireChromium()
  const bench = new Bench()
  try {
    await bench.load(runs)
    if (args.includes('--hold')) return await bench.hold()
    const broken = await bench.measure(runs)
    if (broken.length > 0) throw new Stop(`Not held: ${broken.join('; ')}`)
    say('Everything held.')
  } finally {
    await bench.stop()
  }
}

class Bench {
  broken = []

  async load(runs) {
    this.cluster = await ownCluster('at-size')
    this.url = await step('Preparing the demonstration', () => this.cluster.make('at_size'))
    this.sql = new pg.Client({ connectionString: this.url })
    await this.sql.connect()
    await step(`Loading ${runs} runs`, () =>
      this.sql.query(readFileSync(at('scripts', 'atSize', 'load.sql'), 'utf8').replaceAll(':runs', String(runs))),
    )
    await step('Working out their rows', () => this.#cli('rows'))
    await this.sql.query('vacuum analyze')
    const {
      rows: [held],
    } = await this.sql.query(
      'select (select count(*)::int from run_summary) as rows, (select sum(cardinality(t_ms))::int from trace_chunk) as samples',
    )
    say(`${held.rows} rows, ${held.samples} samples`)
  }

  #cli = (...args) =>
    run(process.execPath, ['--import', 'tsx', 'cli/atSize.ts', ...args], {
      env: { ...process.env, DATABASE_URL: this.url },
    })

  async hold() {
    this.server = await startServer({ port: await anyFreePort(), databaseUrl: this.url, onExit: undefined })
    say(`${this.server.url}\n${this.url}\nCtrl-C stops it.`)
    await new Promise((done) => process.once('SIGINT', done))
  }

  async measure(runs) {
    this.server = await startServer({
      port: await anyFreePort(),
      databaseUrl: this.url,
      onExit: (code) => this.broken.push(`the server ended (${code})`),
    })
    this.#hold('rows for all runs', (await this.#one('select count(*)::int as n from run_summary')).n >= runs)
    const {
      rows: [{ name }],
    } = await this.sql.query("select name from setup where name like '% 007'")
    await this.#lists(queries(await this.#ids(name), name))
    await this.#runPage()
    await this.#anew(name)
    await this.#exports(runs)
    await this.#import()
    for (let left = 1; left > 0; await sleep(300))
      left = (await (await fetch(`${this.server.url}/api/figures`)).json()).stale
    const {
      rows: [{ n }],
    } = await this.sql.query('select count(*)::int as n from series where stale_since is not null')
    this.#hold('no figure waits', n === 0)
    const mb = peakMB(this.server.pid)
    this.#line('server memory, at its highest', `${mb.toFixed(0)} MB`, `${LIMITS.serverMB} MB`, mb < LIMITS.serverMB)
    return this.broken
  }

  async #lists(queries) {
    const bare = JSON.parse(await this.#cli('sql', ...queries.map(([query]) => query)))
    const all = []
    for (const [i, [query, where]] of queries.entries()) {
      const [api, sql] = [[], []]
      let answer
      for (let call = 0; call < CALLS + 3; call++) {
        const began = performance.now()
        answer = await (await fetch(`${this.server.url}/api/runs?${query}`)).json()
        const between = performance.now()
        for (const { sql: text, params } of bare[i].statements) await this.sql.query(text, params)
        if (call < 3) continue
        api.push(between - began)
        sql.push(performance.now() - between)
      }
      all.push(...api)
      const [apiMs, sqlMs] = [p95(api), p95(sql)]
      this.#line(
        `/api/runs?${decodeURIComponent(query)}`,
        `${apiMs.toFixed(0)} ms, SQL ${sqlMs.toFixed(0)}`,
        `${LIMITS.listMs} ms, 1.6 × SQL + 25`,
        apiMs < LIMITS.listMs && apiMs < LIMITS.overSql * sqlMs + LIMITS.besideSqlMs,
      )
      this.#hold(
        `${query}: ${answer.count} pass, as by the facts`,
        answer.count === (await this.#one(`${COUNTED} ${where}`)).n,
      )
      this.#hold(`${query}: in order`, inOrder(answer.lines, query))
    }
    this.#line('all first pages', `${p95(all).toFixed(0)} ms`, `${LIMITS.listMs} ms`, p95(all) < LIMITS.listMs)
  }

  async #runPage() {
    const { id } = await this.#one(
      'select t.run_id as id from trace t join trace_chunk c on c.trace_id = t.id group by t.run_id having count(*) = 9',
    )
    const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
      // Another run's page first: what is measured is this run, not a server that has never drawn one.
      const [{ id: other }] = (await (await fetch(`${this.server.url}/api/runs`)).json()).lines
      for (let i = 0; i < 2; i++) await page.goto(`${this.server.url}/runs/${other}`, { waitUntil: 'networkidle' })
      const times = []
      for (let i = 0; i < 5; i++) {
        const began = performance.now()
        await page.goto(`${this.server.url}/runs/${id}`, { waitUntil: 'commit' })
        await page.waitForFunction(
          () => globalThis.useNuxtApp?.().isHydrating === false && document.querySelector('[aria-label=Trace] canvas'),
        )
        times.push(performance.now() - began)
      }
      const worst = Math.max(...times)
      this.#line(
        'a run with 36 000 samples, to a usable page',
        `${worst.toFixed(0)} ms`,
        `${LIMITS.runPageMs} ms`,
        worst < LIMITS.runPageMs,
      )
    } finally {
      await browser.close()
    }
  }

  /** Every figure stale at once, as by a fuel's property: the server works them out anew, and they say what they said. */
  async #anew(setup) {
    const before = await this.#lines(setup)
    const began = performance.now()
    await this.sql
      .query(`insert into series (key, stale_since) select series_key, clock_timestamp() from run where series_key is not null group by series_key
      on conflict (key) do update set stale_since = excluded.stale_since`)
    const { n: rowCount } = await this.#one('select count(*)::int as n from run_summary')
    const marked = (performance.now() - began) / 1000
    await this.sql.query("select pg_notify('vulcanum_figures', '')")
    for (let left = 1; left > 0; await sleep(200))
      left = (await (await fetch(`${this.server.url}/api/figures`)).json()).stale
    const seconds = (performance.now() - began) / 1000
    this.#line(
      `${rowCount} figures worked out anew (marked in ${marked.toFixed(1)} s)`,
      `${seconds.toFixed(1)} s`,
      `${LIMITS.anewS} s`,
      seconds < LIMITS.anewS,
    )
    this.#hold(
      'worked out anew they say what they said',
      JSON.stringify(await this.#lines(setup)) === JSON.stringify(before),
    )
  }

  async #ids(setup) {
    const idOf = async (table, name) =>
      (await this.sql.query(`select id from ${table} where name = $1`, [name])).rows[0].id
    return {
      setup: await idOf('setup', setup),
      hut: await idOf('place', 'Ash Gate hut'),
      saddle: await idOf('place', 'Ice saddle'),
      person: await idOf('person', 'Odra Vell'),
    }
  }

  #lines = async (setup) =>
    (await this.sql.query('select line from run_summary where setup = $1 order by run_id', [setup])).rows.map(
      (row) => row.line,
    )

  async #exports(runs) {
    const began = performance.now()
    const answer = await fetch(`${this.server.url}/api/runs/export`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ format: 'csv', filter: {} }),
    })
    let lines = 0
    for await (const chunk of answer.body) for (const byte of chunk) lines += byte === 10 ? 1 : 0
    const seconds = (performance.now() - began) / 1000
    this.#line(`all as CSV, ${lines} lines`, `${seconds.toFixed(1)} s`, `${LIMITS.csvS} s`, seconds < LIMITS.csvS)
    this.#hold('the CSV has a line for each run', lines > Math.min(runs, 99_000))
  }

  /**
   * A table of ten thousand rows, of twenty set-ups, from sending the file to the last row stored; then all of it
   * undone.
   */
  async #import() {
    // Of one fuel: a table says it once for all its rows.
    const { rows: setups } = await this.sql.query(
      "select s.name, min(r.fuel_batch_id::text) as fuel from run r join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id where s.name ~ ' [0-9]{3}$' and r.fuel_batch_id = (select r.fuel_batch_id from run r join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id where s.name like '% 007' limit 1) group by s.name order by s.name limit 20",
    )
    const rows = Array.from(
      { length: IMPORTED },
      (_, i) =>
        `${new Date(Date.UTC(2012, 0, 1) + i * 3_600_000).toISOString()},${setups[i % setups.length].name},473,${(8 + (i % 100) / 10).toFixed(1)} °C,212.4,${(204 - (i % 30) / 10).toFixed(1)},${3 + (i % 3)}:${String(i % 60).padStart(2, '0')},calm,row ${i}`,
    )
    const file = Buffer.from(
      ['Started,Set-up,Water (g),Start temp,Fuel before (g),Fuel after (g),Boil,Wind,Notes', ...rows].join('\n'),
    )
    const id = randomUUID()
    const before = await this.#one('select count(*)::int as n from run')
    const kit = await (await fetch(`${this.server.url}/api/kit`)).json()
    const began = performance.now()
    await this.#ask(`/api/imports/${id}?name=ten-thousand.csv`, 'PUT', file)
    const page = await (await fetch(`${this.server.url}/api/imports/${id}`)).json()
    const mapping = {
      ...page.guessed,
      zone: 'UTC',
      usual: { ...page.guessed.usual, fuel: setups[0].fuel, person: kit.people[0].id },
    }
    const preview = (await this.#ask(`/api/imports/${id}/preview`, 'POST', JSON.stringify({ what: 'runs', mapping })))
      .value
    const previewed = performance.now() - began
    await this.#ask(
      `/api/imports/${id}/store`,
      'POST',
      JSON.stringify({ what: 'runs', mapping, personId: kit.people[0].id, leaveOut: true }),
    )
    const steps = new Set()
    let now = { state: 'storing' }
    for (; now.state === 'storing'; await sleep(50)) {
      now = await (await fetch(`${this.server.url}/api/imports/${id}`)).json()
      if (now.state === 'storing') steps.add(now.done)
    }
    const seconds = (performance.now() - began) / 1000
    this.#line(
      `a table of ${IMPORTED} rows, sent, read and stored`,
      `${seconds.toFixed(1)} s`,
      `${LIMITS.importS} s`,
      seconds < LIMITS.importS,
    )
    say(
      `     seen by its preview after ${(previewed / 1000).toFixed(1)} s; progress told ${steps.size} times; ${preview.bad} rows could not be stored${now.trouble ? `; ${now.trouble}` : ''}`,
    )
    this.#hold('progress was told while it was stored', steps.size >= 3)
    const after = await this.#one(
      `select count(*)::int as n, sum(value)::float8 as water from run r join measurement m on m.run_id = r.id and m.quantity = 'water' where r.import_id = '${id}'`,
    )
    this.#hold(
      `all rows are runs (${after.n})`,
      now.state === 'stored' &&
        after.n === IMPORTED - preview.bad &&
        now.stored === after.n &&
        preview.bad === 0 &&
        Math.abs(after.water - 0.473 * IMPORTED) < 1e-6 * IMPORTED,
    )
    this.#hold(
      'all are listed',
      (await (await fetch(`${this.server.url}/api/runs?import=${id}`)).json()).count === after.n,
    )
    for (let left = 1; left > 0; await sleep(300))
      left = (await (await fetch(`${this.server.url}/api/figures`)).json()).stale
    say(
      `     every figure of its set-ups worked out anew ${((performance.now() - began) / 1000).toFixed(1)} s after it was sent`,
    )
    await this.#ask(
      `/api/imports/${id}/undo`,
      'POST',
      JSON.stringify({ personId: kit.people[0].id, reason: 'measured' }),
    )
    this.#hold(
      'undone, none of it counts',
      (await (await fetch(`${this.server.url}/api/runs?import=${id}`)).json()).count === 0 &&
        (await this.#one("select count(*)::int as n from run where state = 'finished'")).n <= before.n,
    )
  }

  #ask = async (path, method, body) => {
    const answer = await fetch(`${this.server.url}${path}`, {
      method,
      body,
      headers: { 'content-type': method === 'PUT' ? 'application/octet-stream' : 'application/json' },
    })
    const read = await answer.json()
    if (!answer.ok)
      throw new Stop(`${path}: ${read.problems?.map((problem) => problem.text).join(' ') ?? answer.status}`)
    return read
  }

  #one = async (text) => (await this.sql.query(text)).rows[0]
  #line(what, value, limit, holds) {
    say(`${holds ? 'ok  ' : 'MISS'} ${what.padEnd(58)} ${value.padStart(18)}   ${limit}`)
    this.#hold(what, holds)
  }

  #hold(what, holds) {
    if (!holds) this.broken.push(what)
  }

  async stop() {
    await this.sql?.end().catch(() => undefined)
    await this.server?.stop()
    await this.cluster?.stop()
  }
}

const p95 = (times) => [...times].sort((a, b) => a - b)[Math.ceil(0.95 * times.length) - 1]

/** Whether lines stand in the order that was asked for, where it is one of figures. */
function inOrder(lines, query) {
  const [by, direction] = (new URLSearchParams(query).get('sort') ?? 'startedAt.down').split('.')
  if (new URLSearchParams(query).get('group') || by === 'setup') return true
  const sign = direction === 'down' ? -1 : 1
  return lines.every(
    (line, i) =>
      i === 0 ||
      line[by] === null ||
      (lines[i - 1][by] !== null &&
        sign * (line[by] < lines[i - 1][by] ? -1 : line[by] > lines[i - 1][by] ? 1 : 0) >= 0),
  )
}

runMain(main)
