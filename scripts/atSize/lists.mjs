/** First pages of the logbook, by the service and by its SQL alone. */
import { p95 } from './timed.mjs'

const CALLS = 50
const LIMITS = { listMs: 150, overSql: 1.6, besideSqlMs: 25 }

/** How many pass, by SQL on the facts themselves. */
const COUNTED = `select count(*)::int as n
     from run r join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id
     left join place_version pv on pv.id = r.place_version_id left join place p on p.id = pv.place_id
     join person who on who.id = r.person_id
    where r.origin = 'measured' and r.state = 'finished'`
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

/** @param setupName of the set-up that is filtered by */
export async function lists(size, report, setupName) {
  const asked = queries(await idsOf(size, setupName), setupName)
  const bare = JSON.parse(await size.cli('sql', ...asked.map(([query]) => query)))
  const all = []
  for (const [i, [query, where]] of asked.entries()) {
    const { api, sql, answer } = await timed(size, query, bare[i].statements)
    all.push(...api)
    const [apiMs, sqlMs] = [p95(api), p95(sql)]
    report.line(
      `/api/runs?${decodeURIComponent(query)}`,
      `${apiMs.toFixed(0)} ms, SQL ${sqlMs.toFixed(0)}`,
      `${LIMITS.listMs} ms, 1.6 × SQL + 25`,
      apiMs < LIMITS.listMs && apiMs < LIMITS.overSql * sqlMs + LIMITS.besideSqlMs,
    )
    const passing = (await size.one(`${COUNTED} ${where}`)).n
    report.hold(`${query}: ${answer.count} pass, as by the facts`, answer.count === passing)
    report.hold(`${query}: in order`, inOrder(answer.lines, query))
  }
  report.line('all first pages', `${p95(all).toFixed(0)} ms`, `${LIMITS.listMs} ms`, p95(all) < LIMITS.listMs)
}

/** One after the other, so that both meet the same machine; the first calls do not count. */
async function timed(size, query, statements) {
  const [api, sql] = [[], []]
  let answer
  for (let call = 0; call < CALLS + 3; call++) {
    const began = performance.now()
    answer = await size.get(`/api/runs?${query}`)
    const between = performance.now()
    for (const { sql: text, params } of statements) await size.sql.query(text, params)
    if (call < 3) continue
    api.push(between - began)
    sql.push(performance.now() - between)
  }
  return { api, sql, answer }
}

async function idsOf(size, setup) {
  const idOf = async (table, name) => (await size.one(`select id from ${table} where name = $1`, [name])).id
  return {
    setup: await idOf('setup', setup),
    hut: await idOf('place', 'Ash Gate hut'),
    saddle: await idOf('place', 'Ice saddle'),
    person: await idOf('person', 'Odra Vell'),
  }
}

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
