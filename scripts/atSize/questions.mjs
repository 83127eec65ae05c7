/** What the runs can answer, over all of them: the list, all anew, those of one series, and one of each kind. */
import { p95, timedMs } from './timed.mjs'
import { sleep } from '../lib/processes.mjs'

/** A question is held to its limits over at most so many runs. */
const MOST_RUNS = 10_000
const LIMITS = { listMs: 300, anewS: 60, oneSeriesS: 2, firstMs: 500, againMs: 150 }
const PAGES = {
  part: 'two',
  asUsed: 'two',
  fuels: 'two',
  together: 'two',
  people: 'people',
  ranking: 'ranking',
  wind: 'lines',
  flame: 'lines',
}
const LINES = { wind: 'wind', flame: 'flameLine' }

export async function questions(size, report) {
  await answered(size)
  const before = await said(size)
  await size.sql.query('update series set compared_revision = null')
  const anewS = await answered(size)
  report.seconds(`${before.length} questions answered anew`, anewS, LIMITS.anewS)
  const after = await said(size)
  report.hold('answered anew they say what they said', JSON.stringify(after) === JSON.stringify(before))
  const [{ key }] = (await size.sql.query('select series_key as key from setup_summary order by n desc limit 1')).rows
  await size.sql.query('update series set compared_revision = null, stale_since = clock_timestamp() where key = $1', [
    key,
  ])
  report.seconds('what rests on one series, with its figures', await answered(size), LIMITS.oneSeriesS)
  await listed(size, report)
}

/** Until every question stands. @returns how long that took [s] */
async function answered(size) {
  const began = performance.now()
  await size.sql.query("select pg_notify('vulcanum_figures', '')")
  for (let left = 1; left > 0; await sleep(50)) {
    const { n } = await size.one(
      'select count(*)::int as n from series where stale_since is not null or compared_revision is distinct from revision',
    )
    left = n
  }
  return (performance.now() - began) / 1000
}

const said = async (size) =>
  (
    await size.sql.query(
      "select question->>'sentence' as asks, question->>'line' as line from found_question order by 1, 2",
    )
  ).rows

async function listed(size, report) {
  const times = []
  for (let i = 0; i < 20; i++) times.push(await timedMs(() => size.get('/api/compare')))
  report.line(
    'what the runs can answer',
    `${p95(times).toFixed(0)} ms`,
    `${LIMITS.listMs} ms`,
    p95(times) < LIMITS.listMs,
  )
  const all = (await size.get('/api/compare')).groups.flatMap((group) => group.questions)
  for (const kind of Object.keys(PAGES)) {
    const [one] = all
      .filter((question) => question.kind === kind && runsOf(question) <= MOST_RUNS)
      .sort((a, b) => runsOf(b) - runsOf(a))
    if (one) await asked(size, report, one)
  }
}

/** "6 and 5 runs", "37 set-ups, 9897 runs". */
const runsOf = ({ runs }) => [...runs.matchAll(/(\d+)(?! set-ups)\b/g)].reduce((sum, [, n]) => sum + Number(n), 0)

async function asked(size, report, { kind, asks, runs }) {
  const query = kind in LINES ? { kind: LINES[kind], setups: asks.setup, fuel: asks.fuel } : asks
  const path = `/api/compare/${PAGES[kind]}?${new URLSearchParams(query)}`
  const ask = () => timedMs(() => size.get(path))
  const first = await ask()
  const again = p95([await ask(), await ask(), await ask(), await ask(), await ask()])
  report.line(
    `one of ${kind}, ${runs}`,
    `${first.toFixed(0)}, then ${again.toFixed(0)} ms`,
    `${LIMITS.firstMs}, then ${LIMITS.againMs} ms`,
    first < LIMITS.firstMs && again < LIMITS.againMs,
  )
}
