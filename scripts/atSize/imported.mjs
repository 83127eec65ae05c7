/**
 * A table of ten thousand rows, of twenty set-ups, from sending the file to the last row stored; then all of it undone.
 */
import { randomUUID } from 'node:crypto'
import { sleep } from '../lib/processes.mjs'
import { say } from '../lib/say.mjs'

const IMPORTED = 10_000
const LIMIT_S = 4
const HEAD = 'Started,Set-up,Water (g),Start temp,Fuel before (g),Fuel after (g),Boil,Wind,Notes'

export async function imported(size, report) {
  const id = randomUUID()
  const setups = await setupsOfOneFuel(size)
  const file = tableOf(setups)
  const before = await size.one('select count(*)::int as n from run')
  const { people } = await size.get('/api/kit')
  const personId = people[0].id
  const began = performance.now()
  const secondsSince = () => (performance.now() - began) / 1000
  const { mapping, bad } = await sendAndPreview(size, id, file, { fuel: setups[0].fuel, person: personId })
  const previewedS = secondsSince()
  const store = { what: 'runs', mapping, personId, leaveOut: true }
  await size.ask(`/api/imports/${id}/store`, 'POST', JSON.stringify(store))
  const { now, steps } = await storedAt(size, id)
  report.seconds(`a table of ${IMPORTED} rows, sent, read and stored`, secondsSince(), LIMIT_S)
  const seen = [
    `seen by its preview after ${previewedS.toFixed(1)} s`,
    `progress told ${steps} times`,
    `${bad} rows could not be stored`,
  ]
  say(`     ${[...seen, now.trouble].filter(Boolean).join('; ')}`)
  report.hold('progress was told while it was stored', steps >= 3)
  await allRuns(size, report, id, { now, bad })
  await size.figuresStand()
  say(`     every figure of its set-ups worked out anew ${secondsSince().toFixed(1)} s after it was sent`)
  await size.ask(`/api/imports/${id}/undo`, 'POST', JSON.stringify({ personId, reason: 'measured' }))
  const finished = await size.one("select count(*)::int as n from run where state = 'finished'")
  report.hold('undone, none of it counts', (await listed(size, id)) === 0 && finished.n <= before.n)
}

/** A table says its fuel once for all its rows. */
async function setupsOfOneFuel(size) {
  const { rows } = await size.sql.query(
    `select s.name, min(r.fuel_batch_id::text) as fuel
       from run r join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id
      where s.name ~ ' [0-9]{3}$' and r.fuel_batch_id = (
        select r.fuel_batch_id from run r join setup_version v on v.id = r.setup_version_id
          join setup s on s.id = v.setup_id where s.name like '% 007' limit 1)
      group by s.name order by s.name limit 20`,
  )
  return rows
}

function tableOf(setups) {
  const row = (_, i) =>
    [
      new Date(Date.UTC(2012, 0, 1) + i * 3_600_000).toISOString(),
      setups[i % setups.length].name,
      473,
      `${(8 + (i % 100) / 10).toFixed(1)} °C`,
      212.4,
      (204 - (i % 30) / 10).toFixed(1),
      `${3 + (i % 3)}:${String(i % 60).padStart(2, '0')}`,
      'calm',
      `row ${i}`,
    ].join(',')
  return Buffer.from([HEAD, ...Array.from({ length: IMPORTED }, row)].join('\n'))
}

async function sendAndPreview(size, id, file, usual) {
  await size.ask(`/api/imports/${id}?name=ten-thousand.csv`, 'PUT', file)
  const { guessed } = await size.get(`/api/imports/${id}`)
  const mapping = { ...guessed, zone: 'UTC', usual: { ...guessed.usual, ...usual } }
  const preview = await size.ask(`/api/imports/${id}/preview`, 'POST', JSON.stringify({ what: 'runs', mapping }))
  return { mapping, bad: preview.value.bad }
}

/** Waits until it is stored. @returns how often progress was told, too */
async function storedAt(size, id) {
  const steps = new Set()
  for (;;) {
    const now = await size.get(`/api/imports/${id}`)
    if (now.state !== 'storing') return { now, steps: steps.size }
    steps.add(now.done)
    await sleep(50)
  }
}

const listed = async (size, id) => (await size.get(`/api/runs?import=${id}`)).count

async function allRuns(size, report, id, { now, bad }) {
  const after = await size.one(
    `select count(*)::int as n, sum(value)::float8 as water
       from run r join measurement m on m.run_id = r.id and m.quantity = 'water' where r.import_id = $1`,
    [id],
  )
  const isWhole = after.n === IMPORTED && bad === 0 && Math.abs(after.water - 0.473 * IMPORTED) < 1e-6 * IMPORTED
  report.hold(`all rows are runs (${after.n})`, now.state === 'stored' && now.stored === after.n && isWhole)
  report.hold('all are listed', (await listed(size, id)) === after.n)
}
