/**
 * `npm run at-size`: a hundred thousand runs and twenty million samples, and what the logbook does with them: times,
 * memory, and whether the answers are right.
 */
import { chromium } from '@playwright/test'
import { byHand } from './atSize/byHand.mjs'
import { imported } from './atSize/imported.mjs'
import { lists } from './atSize/lists.mjs'
import { questions } from './atSize/questions.mjs'
import { Report } from './atSize/report.mjs'
import { Size } from './atSize/size.mjs'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { peakMB } from './lib/ownBench.mjs'
import { runMain, say, Stop } from './lib/say.mjs'

const HELP = `npm run at-size                      100 000 runs, 20 million samples
npm run at-size -- --runs 10000      fewer
npm run at-size -- --hold            served until Ctrl-C, to look at, and not measured
`
const LIMITS = { runPageMs: 1000, serverMB: 500, csvS: 8, anewS: 60 }

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const runs = args.includes('--runs') ? Number(args[args.indexOf('--runs') + 1]) : 100_000
  if (!(runs >= 1000)) throw new Stop(HELP)
  await requireChromium()
  const size = new Size()
  try {
    await size.load(runs)
    if (args.includes('--hold')) return await hold(size)
    const { broken } = await measure(size, runs)
    if (broken.length > 0) throw new Stop(`Not held: ${broken.join('; ')}`)
    say('Everything held.')
  } finally {
    await size.stop()
  }
}

async function hold(size) {
  await size.serve()
  say(`${size.server.url}\n${size.url}\nCtrl-C stops it.`)
  await new Promise((done) => process.once('SIGINT', done))
}

async function measure(size, runs) {
  const report = new Report()
  await size.serve((code) => report.hold(`the server ended (${code})`, false))
  const { n } = await size.one('select count(*)::int as n from run_summary')
  report.hold('rows for all runs', n >= runs)
  const { name } = await size.one("select name from setup where name like '% 007'")
  await lists(size, report, name)
  await pages(size, report)
  await anew(size, report, name)
  await questions(size, report)
  await exported(size, report, runs)
  await imported(size, report)
  await size.figuresStand()
  const waiting = await size.one('select count(*)::int as n from series where stale_since is not null')
  report.hold('no figure waits', waiting.n === 0)
  const mb = peakMB(size.server.pid)
  report.line('server memory, at its highest', `${mb.toFixed(0)} MB`, `${LIMITS.serverMB} MB`, mb < LIMITS.serverMB)
  return report
}

async function pages(size, report) {
  const { id } = await size.one(
    'select t.run_id as id from trace t join trace_chunk c on c.trace_id = t.id group by t.run_id having count(*) = 9',
  )
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const worst = Math.max(...(await openings(size, browser, id)))
    report.line(
      'a run with 36 000 samples, to a usable page',
      `${worst.toFixed(0)} ms`,
      `${LIMITS.runPageMs} ms`,
      worst < LIMITS.runPageMs,
    )
    await byHand(size, report, await browser.newPage({ viewport: { width: 1280, height: 800 } }))
  } finally {
    await browser.close()
  }
}

/** How long each takes to a usable page [ms]. */
async function openings(size, browser, id) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const { url } = size.server
  // Another run's page first: what is measured is this run, not a server that has never drawn one.
  const [{ id: other }] = (await size.get('/api/runs')).lines
  for (let i = 0; i < 2; i++) await page.goto(`${url}/runs/${other}`, { waitUntil: 'networkidle' })
  const times = []
  for (let i = 0; i < 5; i++) {
    const began = performance.now()
    await page.goto(`${url}/runs/${id}`, { waitUntil: 'commit' })
    await page.waitForFunction(
      () => globalThis.useNuxtApp?.().isHydrating === false && document.querySelector('[aria-label=Trace] svg'),
    )
    times.push(performance.now() - began)
  }
  return times
}

/** Every figure stale at once, as by a fuel's property: the server works them out anew, and they say what they said. */
async function anew(size, report, setup) {
  const lines = async () =>
    JSON.stringify(
      (await size.sql.query('select line from run_summary where setup = $1 order by run_id', [setup])).rows,
    )
  const before = await lines()
  const began = performance.now()
  await size.sql.query(`insert into series (key, stale_since)
      select series_key, clock_timestamp() from run where series_key is not null group by series_key
      on conflict (key) do update set stale_since = excluded.stale_since`)
  const { n } = await size.one('select count(*)::int as n from run_summary')
  const markedS = (performance.now() - began) / 1000
  await size.sql.query("select pg_notify('vulcanum_figures', '')")
  await size.figuresStand(200)
  const took = (performance.now() - began) / 1000
  report.seconds(`${n} figures worked out anew (marked in ${markedS.toFixed(1)} s)`, took, LIMITS.anewS)
  report.hold('worked out anew they say what they said', (await lines()) === before)
}

async function exported(size, report, runs) {
  const began = performance.now()
  const answer = await fetch(`${size.server.url}/api/runs/export`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ format: 'csv', filter: {} }),
  })
  let lines = 0
  for await (const chunk of answer.body) for (const byte of chunk) lines += byte === 10 ? 1 : 0
  report.seconds(`all as CSV, ${lines} lines`, (performance.now() - began) / 1000, LIMITS.csvS)
  report.hold('the CSV has a line for each run', lines > Math.min(runs, 99_000))
}

runMain(main)
