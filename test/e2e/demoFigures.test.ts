/** Two truths are one: every figure of the demonstration is the database's, on the screen, in the API and in SQL. */
import pg from 'pg'
import { formatClock, formatPositiveWithU } from '../../core/quantity/format'
import type { ReduceAnswer, RunAnswer } from '../../core/formats/answer'
import type { RunList } from '../../shared/runList'
import type { RunIds, RunPage } from '../../shared/runRecord'
import { expect, open, showColumns, test } from './page'

/** What other tests log meanwhile is of today. */
const OURS = 'voided=shown&to=2026-08-31'

test('every run of the demonstration: its line on the screen, its page’s answer and its row in SQL say the same', async ({
  page,
  request,
}) => {
  test.setTimeout(420_000)
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL })
  await client.connect()
  const rows = new Map(
    (
      await client.query<{ run_id: string; line: object; ribbon: object; ids: RunIds }>(
        `select run_id, line, ribbon, json_build_object('setupId', setup_id, 'placeId', place_id, 'fuelId', fuel_id, 'methodId', method_id, 'personId', person_id) as ids from run_summary`,
      )
    ).rows.map(({ run_id, line, ribbon, ids }) => [run_id, { ...line, ...ids, ribbon }]),
  )
  const lines = ((await (await request.get(`/api/runs?${OURS}`)).json()) as RunList).lines.filter((line) =>
    line.id.startsWith('019'),
  )
  expect(lines.length).toBeGreaterThanOrEqual(120)
  await open(page, `/runs?${OURS}`)
  await showColumns(page, ['when', 'boil', 'measured', 'normalised'])
  const shown = new Map(
    await page.locator('tbody tr').evaluateAll((all) =>
      all.map((row) => {
        const cell = (column: string) => row.querySelector(`td[data-column=${column}]`)!.textContent!.trim()
        return [
          row.querySelector('a')!.getAttribute('href')!.split('/').at(-1)!,
          { boil: cell('boil'), measured: cell('measured'), normalised: cell('normalised') },
        ] as const
      }),
    ),
  )
  for (const line of lines) {
    expect({ ...rows.get(line.id), tags: line.tags, stale: false }, line.id).toEqual(line)
    const { answer, record } = (await (await request.get(`/api/runs/${line.id}`)).json()) as RunPage
    const { setupId, placeId, fuelId, personId } = record
    expect({ setupId, placeId, fuelId, methodId: record.method?.id ?? null, personId }).toEqual({
      setupId: line.setupId,
      placeId: line.placeId,
      fuelId: line.fuelId,
      methodId: line.methodId,
      personId: line.personId,
    })
    expect(
      {
        timeToBoilS: answer.timeToBoilS,
        gPerL: answer.gPerL,
        normalisedGPerL: answer.normalisedGPerL,
        normalisedU: answer.normalisedU,
        status: answer.status,
        ended: answer.ended,
      },
      `${line.id} ${record.setup}`,
    ).toEqual({
      timeToBoilS: line.timeToBoilS,
      gPerL: line.gPerL,
      normalisedGPerL: line.normalisedGPerL,
      normalisedU: line.normalisedU,
      status: line.status,
      ended: line.ended,
    })
    expect(shown.get(line.id), line.id).toEqual({
      boil: line.timeToBoilS === null ? '' : formatClock(line.timeToBoilS),
      measured: line.gPerL === null ? '' : line.gPerL.toFixed(1),
      normalised:
        line.normalisedGPerL === null
          ? ''
          : formatPositiveWithU(line.normalisedGPerL, line.normalisedU === null ? null : 2 * line.normalisedU),
    })
    // The kept result is the answer the page got, and the readings it rests on are those of SQL.
    const kept = (
      await client.query<{ json: ReduceAnswer }>(
        'select json from result where run_id = $1 order by created_at desc limit 1',
        [line.id],
      )
    ).rows[0]!.json
    if (record.method?.name !== 'Claim check')
      expect((kept.runs[0] as RunAnswer).normalisedGPerL).toBe(answer.normalisedGPerL)
    const stored = (
      await client.query<{ quantity: string; value: number }>(
        'select quantity, value from measurement m where run_id = $1 and not exists (select 1 from measurement l where l.supersedes_id = m.id)',
        [line.id],
      )
    ).rows
    expect(Object.fromEntries(record.measurements.map((one) => [one.quantity, one.value]))).toEqual(
      Object.fromEntries(stored.map((one) => [one.quantity, one.value])),
    )
  }
  const tests = new Set(lines.map((line) => line.method))
  expect(tests.size).toBe(16)
  expect(lines.filter((line) => line.voided)).toHaveLength(1)
  expect(lines.filter((line) => line.breakIn)).toHaveLength(1)
  expect(lines.filter((line) => line.worstFlag?.text === 'impossible')).toHaveLength(1)
  await client.end()
})
