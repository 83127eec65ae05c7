/** The other services: drafts, corrections, what is so now, the first burn; and traces as they are kept. */
import { eq, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { DraftBody } from '../../shared/draft'
import { emptyTypedRun, type TypedRun } from '../../shared/typedRun'
import type { TypedCorrection } from '../../shared/correction'
import { keepDraft, listDrafts } from '../../server/database/repositories/drafts'
import { kitChoices } from '../../server/kit/kitChoices'
import { nowConditions, setNow } from '../../server/database/repositories/now'
import { findRun } from '../../server/runs/repository/findRuns'
import { insertWaterTrace, tracesOf } from '../../server/database/repositories/traces'
import { event, measurement, placeVersion, run as runTable, runSummary, traceChunk } from '../../server/database/schema'
import { burnOne } from '../../server/runs/burnOne'
import { correctRun } from '../../server/runs/correctRun'
import { backfillRows } from '../../server/runs/recompute'
import { allLines } from './lines'
import { logRun } from '../../server/runs/logRun'
import { makeTestDatabase, type TestDatabase } from './database'

const NOW = Date.parse('2026-06-01T12:00:00Z')
let bench: TestDatabase
let typed: () => TypedRun

beforeAll(async () => {
  bench = await makeTestDatabase('services_test')
  // An empty workspace becomes one that can burn by its own first service.
  const kit = await burnOne(
    bench.db,
    {
      units: 'metric',
      who: 'Somebody',
      burner: 'A can',
      burnerKind: 'alcohol',
      fuelKind: 'methanol',
      place: 'Porch',
      altitude: '',
      zone: 'UTC',
    },
    340,
  )
  const base = emptyTypedRun('', 'metric')
  typed = () => ({
    ...base,
    ...kit,
    id: uuidv7(),
    startedAt: '2026-05-04T10:00:00Z',
    measured: {
      ...base.measured,
      air: '19',
      wind: 'calm',
      water: '473 g',
      waterStart: '14 °C',
      fuelUsed: '21 g',
      scaleResolution: '0.1 g',
    },
    times: { ...base.times, rollingBoil: '8:50' },
  })
})
afterAll(() => bench.drop())

describe('the first burn', () => {
  it('makes just what a run needs, and the place is where one is', async () => {
    const kit = await kitChoices(bench.db, NOW)
    expect([kit.people.length, kit.places.length, kit.setups.length, kit.fuels.length]).toEqual([1, 1, 1, 1])
    expect((await nowConditions(bench.db)).place).toMatchObject({ name: 'Porch', altitudeM: 340 })
    expect(await logRun(bench.db, typed(), NOW)).toMatchObject({ status: 'created' })
  })
})

describe('drafts', () => {
  const bodyOf = (one: TypedRun, notes: string): DraftBody => ({ typed: { ...one, notes }, lane: null })

  it('are kept by revision: the same again is known, a stale page is told, force is a decision, and logging ends them', async () => {
    const one = typed()
    expect(await keepDraft(bench.db, { body: bodyOf(one, 'a'), revision: 0, force: false })).toEqual({
      status: 'kept',
      revision: 1,
    })
    expect(await keepDraft(bench.db, { body: bodyOf(one, 'a'), revision: 0, force: false })).toEqual({
      status: 'kept',
      revision: 1,
    })
    expect(await keepDraft(bench.db, { body: bodyOf(one, 'b'), revision: 1, force: false })).toEqual({
      status: 'kept',
      revision: 2,
    })
    expect(await keepDraft(bench.db, { body: bodyOf(one, 'c'), revision: 1, force: false })).toMatchObject({
      status: 'changedElsewhere',
      theirs: { revision: 2, body: { typed: { notes: 'b' } } },
    })
    expect(await keepDraft(bench.db, { body: bodyOf(one, 'c'), revision: 1, force: true })).toEqual({
      status: 'kept',
      revision: 3,
    })
    expect((await listDrafts(bench.db)).map((draft) => draft.id)).toContain(one.id)
    await logRun(bench.db, one, NOW)
    expect((await listDrafts(bench.db)).map((draft) => draft.id)).not.toContain(one.id)
    expect(await keepDraft(bench.db, { body: bodyOf(one, 'late'), revision: 3, force: true })).toEqual({
      status: 'logged',
    })
  })
})

describe('corrections', () => {
  async function logged(): Promise<{ id: string; correction: (change: Partial<TypedCorrection>) => TypedCorrection }> {
    const one = typed()
    await logRun(bench.db, one, NOW)
    return {
      id: one.id,
      correction: (change) => ({
        id: uuidv7(),
        revision: 1,
        units: 'metric',
        personId: one.personId,
        what: 'fuelUsed',
        typed: '20 g',
        reason: 'misread',
        ...change,
      }),
    }
  }

  it('append: the old row stays, the current value is the new one, the list follows', async () => {
    const { id, correction } = await logged()
    const before = (await allLines(bench.db)).find((line) => line.id === id)!.gPerL!
    expect(await correctRun(bench.db, id, correction({}))).toEqual({ status: 'corrected' })
    const rows = await bench.db.select().from(measurement).where(eq(measurement.runId, id))
    expect(
      rows
        .filter((row) => row.quantity === 'fuelUsed')
        .map((row) => row.typed)
        .sort(),
    ).toEqual(['20 g', '21 g'])
    const { record } = (await findRun(bench.db, id))!
    expect(record).toMatchObject({
      revision: 2,
      history: [{ what: 'fuelUsed', was: '21 g', now: '20 g', reason: 'misread', person: 'Somebody' }],
    })
    expect(record.measurements.filter((one) => one.quantity === 'fuelUsed').map((one) => one.typed)).toEqual(['20 g'])
    expect((await allLines(bench.db)).find((line) => line.id === id)!.gPerL! / before).toBeCloseTo(20 / 21, 9)
  })

  it('of a time move the event, and sent twice are one', async () => {
    const { id, correction } = await logged()
    const late = correction({ what: 'rollingBoil', typed: '8:40' })
    expect(await correctRun(bench.db, id, late)).toEqual({ status: 'corrected' })
    expect(await correctRun(bench.db, id, late)).toEqual({ status: 'known' })
    const { record } = (await findRun(bench.db, id))!
    expect(record.events.filter((event) => event.kind === 'rollingBoil').map((event) => event.atMs)).toEqual([520_000])
    expect(record.history).toHaveLength(1)
  })

  it('of the second of two of a kind leave the first where it is; where it is not said which, it is asked', async () => {
    const { id, correction } = await logged()
    const flameOut = (seq: number, atMs: number) => ({
      id: uuidv7(),
      runId: id,
      seq,
      kind: 'flameOut' as const,
      atMs,
      source: 'bench',
      payload: {},
      personId: correction({}).personId,
    })
    await bench.db.insert(event).values([flameOut(10, 540_000), flameOut(11, 600_000)])
    const times = async () =>
      (await findRun(bench.db, id))!.record.events.filter((one) => one.kind === 'flameOut').map((one) => one.atMs)
    const later = { what: 'flameOut' as const, typed: '10:20' }
    expect(await correctRun(bench.db, id, correction(later))).toMatchObject({
      status: 'invalid',
      problems: [{ path: 'eventId', text: expect.stringMatching(/stands 2 times/) }],
    })
    expect(await correctRun(bench.db, id, correction({ ...later, eventId: uuidv7() }))).toMatchObject({
      problems: [{ text: expect.stringMatching(/does not stand any more/) }],
    })
    const second = (await findRun(bench.db, id))!.record.events.find((one) => one.atMs === 600_000)!
    expect(await correctRun(bench.db, id, correction({ ...later, eventId: second.id }))).toEqual({
      status: 'corrected',
    })
    expect(await times()).toEqual([540_000, 620_000])
  })

  it('two at once from one revision: one is stored, the other told', async () => {
    const { id, correction } = await logged()
    const outcomes = await Promise.all(
      ['20 g', '19 g', '18 g'].map((text) => correctRun(bench.db, id, correction({ typed: text }))),
    )
    expect(outcomes.map((outcome) => outcome.status).sort()).toEqual(['conflict', 'conflict', 'corrected'])
  })

  it.each<[string, Partial<TypedCorrection>, string, RegExp]>([
    ['without a reason', { reason: '  ' }, 'reason', /Type why/],
    ['that cannot be read', { typed: '1 oz' }, 'typed', /Ounces of weight, or fluid/],
    ['that contradicts', { what: 'waterStart', typed: '99.9 °C' }, 'typed', /not below the boiling point/],
    ['of a boil before pot-on', { what: 'rollingBoil', typed: '0:00' }, 'typed', /Swapped/],
    ['of nothing known', { what: 'colour' as never }, 'what', /not known/],
  ])('%s are refused in words, and nothing changes', async (_, change, path, words) => {
    const { id, correction } = await logged()
    const outcome = await correctRun(bench.db, id, correction(change))
    expect('problems' in outcome && outcome.problems.find((problem) => problem.path === path)?.text).toMatch(words)
    expect((await findRun(bench.db, id))!.record).toMatchObject({ revision: 1, history: [] })
  })

  it('are judged by the pressure that the figure rests on: the place’s own, where none was read', async () => {
    const { id, correction } = await logged()
    // A place whose barometer says 700 hPa: water boils at 89.9 °C there, whatever its altitude would give.
    const [row] = await bench.db.select({ at: runTable.placeVersionId }).from(runTable).where(eq(runTable.id, id))
    const placeVersionId = row!.at!
    await bench.db.update(placeVersion).set({ stationPressurePa: 70_000 }).where(eq(placeVersion.id, placeVersionId))
    const warm = correction({ what: 'waterStart', typed: '92 °C' })
    expect(await correctRun(bench.db, id, warm)).toMatchObject({
      status: 'invalid',
      problems: [{ text: expect.stringMatching(/not below the boiling point \(89\.9 °C\)/) }],
    })
    const one = { ...typed(), measured: { ...typed().measured, waterStart: '92 °C' } }
    expect(await logRun(bench.db, one, NOW)).toMatchObject({ status: 'invalid' })
    await bench.db.update(placeVersion).set({ stationPressurePa: null }).where(eq(placeVersion.id, placeVersionId))
  })

  it('of no run at all is said', async () => {
    const { correction } = await logged()
    expect(await correctRun(bench.db, uuidv7(), correction({}))).toMatchObject({ status: 'notFound' })
  })
})

describe('what is so now', () => {
  it('goes with the place: readings of another place are not kept', async () => {
    const [here] = (await kitChoices(bench.db, NOW)).places
    const air = { quantity: 'air' as const, value: 12, typed: '12 °C', unit: 'degC' }
    await setNow(bench.db, { placeId: here!.id, readings: [air], clear: [] })
    await setNow(bench.db, { placeId: here!.id, readings: [], clear: [] })
    expect((await nowConditions(bench.db)).readings.map((one) => one.typed)).toEqual(['12 °C'])
    await setNow(bench.db, { placeId: null, readings: [], clear: [] })
    expect(await nowConditions(bench.db)).toEqual({ place: null, readings: [] })
  })
})

describe('traces and rows', () => {
  it('10 000 samples come back as they went, in chunks of at most 4 096', async () => {
    const one = typed()
    await logRun(bench.db, one, NOW)
    const samples = Array.from({ length: 10_000 }, (_, i) => [i / 10, 10 + i / 120] as [number, number])
    await insertWaterTrace(bench.db, one.id, samples)
    expect((await tracesOf(bench.db, 'water', [one.id])).get(one.id)).toEqual(samples)
    const sizes = await bench.db.select({ n: sql<number>`cardinality(${traceChunk.tMs})` }).from(traceChunk)
    expect(sizes.map((size) => size.n).sort()).toEqual([1808, 4096, 4096])
  })

  it('runs logged before rows were kept get theirs', async () => {
    const one = typed()
    await logRun(bench.db, one, NOW)
    await bench.db.delete(runSummary).where(eq(runSummary.runId, one.id))
    expect(await backfillRows(bench.db)).toBe(1)
    expect((await allLines(bench.db)).some((line) => line.id === one.id)).toBe(true)
  })
})
