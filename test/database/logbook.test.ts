/**
 * The logbook on PostgreSQL: pages, filters and groups against the plain list; rows that follow the facts whatever
 * happens at once; many runs voided, tagged, exported, compared.
 */
import ExcelJS from 'exceljs'
import fc from 'fast-check'
import Papa from 'papaparse'
import { eq, inArray, isNotNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { reduce } from '../../core/reduce'
import { readReduceRequest } from '../../shared/reduceRequest'
import {
  NO_FILTER,
  RUN_GROUPS,
  RUN_REMARKS,
  RUN_SORTS,
  SETTLED_KEYS,
  readRunList,
  writeRunList,
  type RunListQuery,
  type RunSortKey,
} from '../../shared/runList'
import type { RunLine } from '../../shared/runRecord'
import { emptyTypedRun, type TypedRun } from '../../shared/typedRun'
import { fuelBatch, run, runReading, runSummary, setup as setupTable, setupSummary } from '../../server/database/schema'
import { kitChoices } from '../../server/kit/kitChoices'
import { findSetup, listSetups } from '../../server/kit/setups'
import { saveSetup } from '../../server/kit/saveSetup'
import { loadDemonstration } from '../../server/demo/load'
import { find } from '../../server/find/repository/find'
import { compareRuns } from '../../server/runs/compareRuns'
import { correctRun } from '../../server/runs/correctRun'
import { exportRuns, type ExportFormat } from '../../server/runs/exportRuns'
import { backfillRows, recomputeWhere } from '../../server/runs/recompute'
import { WaitingSeries } from '../../server/runs/waitingSeries'
import { figuresLeft, markStale, stalest } from '../../server/runs/repository/stale'
import { answerRun } from '../../server/runs/answerRun'
import { made, newRecord } from '../../server/runs/burnOne'
import { saveBatch } from '../../server/kit/fuels'
import { findRun, findRuns } from '../../server/runs/repository/findRuns'
import { keysOfNew } from '../../server/runs/repository/series'
import { tableRuns } from '../../server/runs/repository/tableRuns'
import { TABLE_COLUMNS, tableRowOf, type TableRecord } from '../../shared/runTable'
import type { TypedRecord } from '../../shared/record'
import { listedOptions } from '../../shared/reduceOptions'
import type { RunAnswer } from '../../core/formats/answer'
import { isSameMean } from '../../core/reduce/sameMean'
import { readCursor } from '../../server/runs/repository/listOrder'
import { listGroups, listRuns, runChoices } from '../../server/runs/repository/listRuns'
import { logRun } from '../../server/runs/logRun'
import { doToRuns } from '../../server/runs/manyRuns'
import { today } from '../../server/runs/today'
import { careForRun } from '../../server/runs/runCare'
import { allLines } from './lines'
import { makeTestDatabase, type TestDatabase } from './database'
import { proofs } from '../proofs'

const NOW = Date.parse('2026-11-01T12:00:00Z')
let bench: TestDatabase
let personId: string
let typed: (setup: string, change?: Partial<TypedRun>) => TypedRun

beforeAll(async () => {
  bench = await makeTestDatabase('logbook_test', 'demonstration')
  await loadDemonstration(bench.db, () => undefined, NOW)
  const kit = await kitChoices(bench.db, NOW)
  const base = emptyTypedRun('', 'metric')
  personId = kit.people[0]!.id
  typed = (setup, change = {}) => ({
    ...base,
    id: uuidv7(),
    startedAt: '2026-05-04T10:00:00Z',
    zone: 'Atlantic/Azores',
    personId,
    placeId: kit.places[0]!.id,
    setupId: kit.setups.find((one) => one.name === setup)!.id,
    fuelBatchId: kit.fuels.find((one) => one.kind === 'isobutane-propane')!.id,
    measured: {
      ...base.measured,
      air: '19',
      wind: 'calm',
      water: '473 g',
      waterStart: '17',
      fuelBefore: '212.4',
      fuelAfter: '205.1',
      scaleResolution: '0.1 g',
    },
    times: { ...base.times, rollingBoil: '2:31' },
    ...change,
  })
}, 60_000)
afterAll(() => bench.drop())

/** All pages one after another. */
async function paged(query: RunListQuery, limit: number): Promise<RunLine[]> {
  const lines: RunLine[] = []
  for (let after = null as ReturnType<typeof readCursor>; ;) {
    const page = await listRuns(bench.db, query, { after, limit })
    lines.push(...page.lines)
    if (page.next === null) return lines
    after = readCursor(page.next, query)
    expect(after, `${page.next} is a page of ${JSON.stringify(query)}`).not.toBeNull()
  }
}

let places: Map<string, string>
beforeAll(async () => {
  places = new Map((await runChoices(bench.db)).place.map((one) => [one.name, one.id]))
})
const filters = fc.record({
  place: fc.constantFrom('', 'Ice saddle', 'Ash Gate hut').map((name) => name && places.get(name)!),
  remark: fc.constantFrom('' as const, ...RUN_REMARKS),
  voided: fc.constantFrom('' as const, 'shown' as const),
  words: fc.constantFrom('', 'cone', 'lapilli wrap', '%', 'a_b'),
})
const queries: fc.Arbitrary<RunListQuery> = fc.record({
  filter: filters.map((some) => ({ ...NO_FILTER, ...some })),
  sort: fc.record({ by: fc.constantFrom(...RUN_SORTS), down: fc.boolean() }),
  group: fc.option(fc.constantFrom(...RUN_GROUPS)),
})

describe('the list', () => {
  it('law: pages of any size, in any order, filter and group, are the whole list once; figures that are missing stand last', async () => {
    await fc.assert(
      fc.asyncProperty(queries, fc.integer({ min: 1, max: 40 }), async (query, limit) => {
        const lines = await paged(query, limit)
        const whole = await listRuns(bench.db, query, { after: null, limit: 1000 })
        expect(lines.map((line) => line.id)).toEqual(whole.lines.map((line) => line.id))
        expect(whole.count).toBe(lines.length)
        expect((await listGroups(bench.db, query)).reduce((sum, group) => sum + group.count, 0)).toBe(
          query.group === null ? 0 : lines.length,
        )
        const { by, down } = query.sort
        if (query.group !== null || SETTLED_KEYS.includes(by)) return
        const values = lines.map((line) => line[by as 'gPerL'])
        expect(values).toEqual(
          [...values].sort((a, b) =>
            a === null || b === null ? Number(a === null) - Number(b === null) : down ? b - a : a - b,
          ),
        )
      }),
      { numRuns: proofs(600) },
    )
  }, 60_000)

  it('law: passes what the plain filter passes', async () => {
    const all = await allLines(bench.db)
    await fc.assert(
      fc.asyncProperty(filters, async (some) => {
        const { lines } = await listRuns(
          bench.db,
          { filter: { ...NO_FILTER, ...some }, sort: { by: 'startedAt', down: true }, group: null },
          { after: null, limit: 1000 },
        )
        const words = some.words.split(' ').filter(Boolean)
        const says = (line: RunLine) =>
          [line.setup, line.place ?? '', line.fuel ?? '', line.method ?? '', line.person].join(' ').toLowerCase()
        const plain = all.filter(
          (line) =>
            line.origin === 'measured' &&
            (!some.place || line.placeId === some.place) &&
            (some.voided === 'shown' || !line.voided),
        )
        // Words are looked for in notes and parts too: what the line says is enough, not needed.
        if (some.remark === '')
          expect(lines.length).toBeGreaterThanOrEqual(
            plain.filter((line) => words.every((word) => says(line).includes(word))).length,
          )
        expect(lines.every((line) => plain.some((one) => one.id === line.id))).toBe(true)
        if (some.remark === '' && words.length === 0) expect(lines).toHaveLength(plain.length)
      }),
      { numRuns: proofs(400) },
    )
  })

  it('law: its query in an address is read back as it was written', () => {
    fc.assert(
      fc.property(queries, (query) => {
        expect(readRunList(writeRunList(query))).toEqual(query)
      }),
    )
  })

  it('what is no page of the list, and what is found by words, are told apart', async () => {
    const cursor = (of: unknown, by: RunSortKey = 'startedAt') =>
      readCursor(Buffer.from(JSON.stringify(of)).toString('base64url'), {
        filter: NO_FILTER,
        sort: { by, down: true },
        group: null,
      })
    const id = '01970000-0000-7000-8000-000000000001'
    const day = '2026-05-01 10:00:00+00'
    expect([cursor([null, id], 'gPerL'), cursor(['12.5', id], 'gPerL'), cursor([day, id])]).not.toContain(null)
    expect([
      readCursor('x', { filter: NO_FILTER, sort: { by: 'startedAt', down: true }, group: null }),
      cursor({ id }),
      cursor([day]),
      cursor([null, id]),
      cursor([day, '1; drop table run']),
      cursor([day, '-'.repeat(36)]),
      cursor(['soon', id]),
      cursor([5, id]),
      cursor(['0000-01-01', id]),
      cursor(['', id], 'gPerL'),
    ]).toEqual(Array(10).fill(null))
    const found = await find(bench.db, 'lapilli wrap')
    expect(new Set(found.map((one) => one.kind))).toContain('set-up')
    expect(found.filter((one) => one.kind === 'run').every((one) => /lapilli/i.test(one.words))).toBe(true)
    expect((await find(bench.db, 'ice saddle')).map((one) => one.kind)).toContain('place')
  })
})

/** The rows as they would be if they were all worked out now. */
async function rowsAnew(): Promise<RunLine[]> {
  return bench.db
    .transaction(async (tx) => {
      await tx.delete(runSummary)
      await tx.delete(runReading)
      await backfillRows(tx)
      const lines = await allLines(tx)
      throw Object.assign(new Error('back'), { lines })
    })
    .catch((error: Error & { lines?: RunLine[] }) => {
      if (error.lines) return error.lines
      throw error
    })
}
const untagged = (lines: RunLine[]) =>
  lines.map(({ tags: _tags, ...line }) => line).sort((a, b) => (a.id < b.id ? -1 : 1))

describe('rows', () => {
  it('law: after corrections, voids and break-ins at once, they are what the facts give', async () => {
    const runs = Array.from({ length: 6 }, (_, i) =>
      typed('Fumarole with narrow pot', {
        measured: {
          ...typed('Fumarole with narrow pot').measured,
          wind: i % 2 ? '1.8 m/s' : 'calm',
          fuelAfter: `${(204 + i / 10).toFixed(1)}`,
        },
      }),
    )
    for (const one of runs) expect(await logRun(bench.db, one, NOW)).toMatchObject({ status: 'created' })
    const care = (id: string, what: 'void' | 'breakIn') =>
      careForRun(bench.db, id, { id: uuidv7(), what, personId, reason: 'for the test' })
    const correct = (id: string, to: string) =>
      correctRun(bench.db, id, {
        id: uuidv7(),
        revision: 1,
        units: 'metric',
        personId,
        what: 'fuelAfter',
        typed: to,
        reason: 'misread',
      })
    await Promise.all([
      correct(runs[0]!.id, '203.9'),
      care(runs[1]!.id, 'void'),
      correct(runs[2]!.id, '204.9'),
      care(runs[3]!.id, 'breakIn'),
      correct(runs[5]!.id, '203.1'),
      new WaitingSeries(bench.db).workOutNext(),
    ])
    expect(untagged(await allLines(bench.db))).toEqual(untagged(await rowsAnew()))
  }, 60_000)

  it('a large series is worked out in the background: a new run stands in the list at once, what is stale says so, and in the end all is as the facts give', async () => {
    const many = Array.from({ length: 85 }, (_, i) =>
      typed('Ignimbrite, plain pot', {
        measured: { ...typed('Ignimbrite, plain pot').measured, fuelAfter: `${(204 + (i % 20) / 10).toFixed(1)}` },
      }),
    )
    for (const one of many)
      expect(await logRun(bench.db, one, NOW, { refresh: false })).toMatchObject({ status: 'created' })
    expect(await backfillRows(bench.db)).toBe(85)
    const one = typed('Ignimbrite, plain pot')
    await logRun(bench.db, one, NOW)
    const listed = (await allLines(bench.db)).filter((line) => line.setup === 'Ignimbrite, plain pot')
    expect(listed.find((line) => line.id === one.id)).toMatchObject({ voided: false, stale: true })
    expect(listed.filter((line) => line.stale).length).toBeGreaterThan(80)
    // What becomes stale while the work goes on is worked out once more.
    const [, corrected] = await Promise.all([
      new WaitingSeries(bench.db).workOutNext(),
      correctRun(bench.db, one.id, {
        id: uuidv7(),
        revision: 1,
        units: 'metric',
        personId,
        what: 'fuelAfter',
        typed: '204.0',
        reason: 'misread',
      }),
    ])
    expect(corrected).toEqual({ status: 'corrected' })
    await new WaitingSeries(bench.db).workOutAll()
    expect((await figuresLeft(bench.db)).stale).toBe(0)
    expect(untagged(await allLines(bench.db))).toEqual(untagged(await rowsAnew()))
  }, 120_000)

  it('take what a trace said as it was kept where only the fuel changed', async () => {
    const [traced] = await bench.db
      .select({ id: run.id, batchId: run.fuelBatchId, seriesKey: run.seriesKey })
      .from(run)
      .innerJoin(runReading, eq(runReading.runId, run.id))
      .where(isNotNull(runReading.reading))
    const readings = () => bench.db.select().from(runReading).orderBy(runReading.runId)
    const before = { readings: await readings(), lines: await allLines(bench.db) }
    const [{ lhv }] = (await bench.db
      .select({ lhv: fuelBatch.lhvJPerKg })
      .from(fuelBatch)
      .where(eq(fuelBatch.id, traced!.batchId!))) as [{ lhv: number | null }]
    const heat = (lhvJPerKg: number | null) =>
      bench.db.transaction(async (tx) => {
        await tx.update(fuelBatch).set({ lhvJPerKg }).where(eq(fuelBatch.id, traced!.batchId!))
        await recomputeWhere(tx, eq(run.fuelBatchId, traced!.batchId!))
      })
    await heat(41e6)
    await new WaitingSeries(bench.db).workOutAll()
    const lineOf = (lines: RunLine[]) => lines.find((line) => line.id === traced!.id)!
    const after = await allLines(bench.db)
    expect(await readings()).toEqual(before.readings)
    expect(lineOf(after).efficiency).not.toBe(lineOf(before.lines).efficiency)
    expect(lineOf(after).ribbon).toEqual(lineOf(before.lines).ribbon)
    expect(untagged(after)).toEqual(untagged(await rowsAnew()))
    await heat(lhv)
    await new WaitingSeries(bench.db).workOutAll()
    expect(untagged(await allLines(bench.db))).toEqual(untagged(before.lines))
  }, 60_000)

  it('follow a set-up that is called otherwise', async () => {
    const { id } = (await listSetups(bench.db)).find((one) => one.name === 'Dacite with mug')!
    const { record } = (await findSetup(bench.db, id))!
    const before = (await allLines(bench.db)).filter((line) => line.setup === 'Dacite with mug').length
    expect(
      await saveSetup(bench.db, {
        ...record,
        units: 'metric',
        fields: { ...record.fields, name: 'Dacite with the mug' },
      }),
    ).toMatchObject({ status: 'saved' })
    expect((await allLines(bench.db)).filter((line) => line.setup === 'Dacite with the mug')).toHaveLength(before)
  })

  it('one that cannot be worked out does not hold up the others, and stays marked', async () => {
    const [bad, good] = (
      await bench.db
        .selectDistinct({ key: run.seriesKey })
        .from(run)
        .where(inArray(run.state, ['finished', 'void']))
        .orderBy(run.seriesKey)
        .limit(2)
    ).map((row) => row.key!)
    await markStale(bench.db, [bad!])
    await markStale(bench.db, [good!])
    await bench.db.execute(
      sql.raw(
        `create function refuse() returns trigger language plpgsql as 'begin if (select series_key from run where id = new.run_id) = ''${bad}'' then raise exception ''refused''; end if; return new; end'`,
      ),
    )
    await bench.db.execute(
      sql`create trigger refuse before insert or update on run_summary for each row execute function refuse()`,
    )
    const waiting = new WaitingSeries(bench.db)
    await expect(waiting.workOutNext()).rejects.toThrow()
    expect(await waiting.workOutNext()).toBe(true)
    expect(await stalest(bench.db, 10)).toEqual([bad])
    await bench.db.execute(sql`drop trigger refuse on run_summary`)
    await new WaitingSeries(bench.db).workOutAll()
    await recomputeWhere(bench.db, inArray(run.kind, ['simmer']))
    expect((await figuresLeft(bench.db)).stale).toBe(0)
  }, 60_000)
})

describe('a series', () => {
  const answered = async (id: string) =>
    (await answerRun(bench.db, (await findRun(bench.db, id))!)).runs[0] as RunAnswer
  const cone = (fuelBatchId: string, wind: string, boil: string, fuel: Partial<TypedRun['measured']>) =>
    typed('Lahar in the cone', {
      fuelBatchId,
      measured: { ...typed('Lahar in the cone').measured, wind, fuelBefore: '', fuelAfter: '', ...fuel },
      times: { ...typed('Lahar in the cone').times, rollingBoil: boil },
    })

  it('a property of a batch that moves one run’s fuel moves the answers of all that borrow from it, not the logbook’s alone', async () => {
    const [byVolume, weighed] = ['tin 7', 'tin 8'].map((name) =>
      newRecord({ kind: 'ethanol', fuel: 'Ethanol', batch: name }),
    ) as [TypedRecord, TypedRecord]
    for (const batch of [byVolume, weighed]) made(await saveBatch(bench.db, batch))
    const runs = [
      cone(byVolume.id, 'calm', '7:10', { fuelUsed: '24 ml' }),
      cone(byVolume.id, '1.5 m/s', '8:40', { fuelUsed: '31 ml' }),
      cone(byVolume.id, '2.5 m/s', '9:50', { fuelUsed: '38 ml' }),
      cone(weighed.id, '2 m/s', '9:10', { fuelUsed: '27 g' }),
    ]
    for (const one of runs) expect(await logRun(bench.db, one, NOW)).toMatchObject({ status: 'created' })
    const { id } = runs[3]!
    const before = await answered(id)
    expect(before.ladder.find((one) => one.rung === 'wind')!.basis).toMatch(/ownSeries|classDefault/)
    const denser = { densityKgPerM3: '0.85', source: 'weighed in a cylinder' }
    made(
      await saveBatch(bench.db, {
        ...byVolume,
        revision: 1,
        fields: { ...byVolume.fields, ...denser },
        reason: 'had drawn water',
      }),
    )
    const line = (await allLines(bench.db)).find((one) => one.id === id)!
    expect(line.normalisedGPerL).not.toBeCloseTo(before.normalisedGPerL!, 3)
    expect((await answered(id)).normalisedGPerL).toBe(line.normalisedGPerL)
  })

  it('has one mean, wherever it is read; what is partly normalised, or another kind of test, is in none of it', async () => {
    const lines = await allLines(bench.db)
    const summaries = await bench.db.select().from(setupSummary)
    for (const key of new Set(summaries.map((one) => one.key))) {
      const summary = summaries.find((one) => one.key === key)!
      const rows = await bench.db.select({ id: runSummary.runId }).from(runSummary).where(eq(runSummary.meanKey, key))
      const first = (await findRun(bench.db, rows[0]!.id))!
      const { setups, runs } = await answerRun(bench.db, first, listedOptions(first.method))
      const mean = setups[0]!.means.find((one) => isSameMean(one, (runs[0] as RunAnswer).mean))!
      expect([mean.meanGPerL, mean.meanU, mean.n]).toEqual([summary.meanGPerL, summary.meanU, summary.n])
      const logs = summary.figuresGPerL.reduce((sum, one) => sum + Math.log(one), 0)
      expect(Math.exp(logs / summary.n)).toBeCloseTo(summary.meanGPerL, 9)
      const own = lines.filter((line) => rows.some((row) => row.id === line.id))
      expect(own.map((line) => [line.status, line.kind])).toEqual(own.map(() => ['normalised', summary.kind]))
      expect(summary.runIds).toEqual(expect.arrayContaining(own.map((line) => line.id)))
    }
    expect(summaries.length).toBeGreaterThan(10)
    const { moved } = await today(bench.db)
    expect(moved.length).toBeGreaterThan(0)
    for (const one of moved) expect(summaries.map((summary) => summary.meanGPerL)).toContain(one.now.gPerL)
  }, 60_000)
})

describe('many runs at once', () => {
  const act = (what: string, runIds: string[], change: object = {}) => ({
    id: uuidv7(),
    what,
    runIds,
    personId,
    reason: 'the scale stood in the wind',
    tag: 'Spring',
    ...change,
  })

  it('are voided together or not at all, once, and counted again', async () => {
    const runs = [typed('Fumarole with narrow pot'), typed('Ignimbrite, plain pot')]
    for (const one of runs) await logRun(bench.db, one, NOW)
    const ids = runs.map((one) => one.id)
    expect(await doToRuns(bench.db, act('void', [...ids, uuidv7()]))).toMatchObject({
      status: 'invalid',
      problems: [{ text: expect.stringMatching(/1 of 3 are not here any more.*Nothing was changed/) }],
    })
    expect(await doToRuns(bench.db, act('void', ids, { reason: ' ' }))).toMatchObject({
      status: 'invalid',
      problems: [{ path: 'reason' }],
    })
    const once = act('void', ids)
    expect([await doToRuns(bench.db, once), await doToRuns(bench.db, once)]).toEqual([
      { status: 'saved', value: { done: 2 } },
      { status: 'saved', value: { done: 0 } },
    ])
    expect((await allLines(bench.db)).filter((line) => ids.includes(line.id)).map((line) => line.voided)).toEqual([
      true,
      true,
    ])
    await doToRuns(bench.db, act('unvoid', ids))
    // The first act sent late changes nothing any more.
    expect(await doToRuns(bench.db, once)).toEqual({ status: 'saved', value: { done: 0 } })
    await new WaitingSeries(bench.db).workOutAll()
    expect(untagged(await allLines(bench.db))).toEqual(untagged(await rowsAnew()))
  }, 60_000)

  it('are tagged, found by the tag, and untagged', async () => {
    const ids = (await allLines(bench.db)).slice(0, 3).map((line) => line.id)
    expect(await doToRuns(bench.db, act('tag', ids))).toEqual({ status: 'saved', value: { done: 3 } })
    const tagged = async () =>
      (await listRuns(bench.db, readRunList({ tag: 'spring', voided: 'shown' }), { after: null, limit: 10 })).lines
    expect((await tagged()).map((line) => [line.id, line.tags]).sort()).toEqual(
      ids.map((id) => [id, ['spring']]).sort(),
    )
    await doToRuns(bench.db, act('untag', ids.slice(0, 1)))
    expect(await tagged()).toHaveLength(2)
  })
})

async function exported(ids: string[], format: ExportFormat): Promise<Buffer> {
  const chunks: Buffer[] = []
  for await (const chunk of exportRuns(bench.db, ids, format)) chunks.push(Buffer.from(chunk as string))
  return Buffer.concat(chunks)
}

it('knows the key of a run’s series before the run is stored', async () => {
  const rows = await bench.db.select().from(run).where(eq(run.state, 'finished'))
  const keyOf = await keysOfNew(bench.db, rows)
  expect(rows.some((row) => row.breakIn)).toBe(true)
  for (const row of rows) expect(keyOf(row), row.id).toBe(row.seriesKey)
})

describe('export', () => {
  it('says of every run in a table what its page says, whatever was corrected, taken back or stopped', async () => {
    const sent = typed('Fumarole with narrow pot', {
      times: { ...emptyTypedRun('', 'metric').times, rollingBoil: '4:00' },
    })
    await logRun(bench.db, sent, NOW)
    for (const [what, text] of [
      ['water', '1 lb'],
      ['rollingBoil', '4:20'],
    ] as const) {
      const { record } = (await findRun(bench.db, sent.id))!
      const correction = {
        id: uuidv7(),
        revision: record.revision,
        units: 'metric',
        personId: sent.personId,
        reason: 'misread',
      }
      const eventId = record.events.find((one) => one.kind === what)?.id ?? null
      const outcome = await correctRun(bench.db, sent.id, { ...correction, what, typed: text, eventId })
      expect(outcome, what).toMatchObject({ status: 'corrected' })
    }
    const rows = await bench.db
      .select()
      .from(run)
      .where(inArray(run.state, ['finished', 'void']))
    const ids = rows.map((row) => row.id)
    const narrow = await tableRuns(bench.db, ids)
    const whole = new Map((await findRuns(bench.db, ids, { traces: false })).map(({ record }) => [record.id, record]))
    const cellsOf = (record: TableRecord) =>
      TABLE_COLUMNS.filter(({ key }) => key !== 'tags' && !key.startsWith('figure.')).map((column) => [
        column.key,
        column.of(tableRowOf(record, null)),
      ])
    for (const { record } of narrow) {
      const { method, container, ...rest } = whole.get(record.id)!
      const asOnItsPage = { ...rest, method: method?.name ?? null, container: container?.name ?? null }
      expect(cellsOf(record), record.id).toEqual(cellsOf(asOnItsPage))
    }
    expect(narrow.map(({ record }) => record.id)).toEqual(ids)
    const corrected = cellsOf(narrow.find(({ record }) => record.id === sent.id)!.record)
    expect(corrected).toContainEqual(['measured.water.mass', 453.59237])
    expect(corrected).toContainEqual(['times.rollingBoil', 260])
  })

  it('writes the same cells as CSV and XLSX, none of which a spreadsheet runs, and documents that reduce to the figures of the list', async () => {
    const sly = typed('Fumarole with narrow pot', { notes: '=HYPERLINK("http://x.example")' })
    await logRun(bench.db, sly, NOW)
    const lines = (await allLines(bench.db))
      .filter((line) => line.id === sly.id || (line.kind === 'boil' && line.method === 'Boil'))
      .slice(0, 30)
    const ids = lines.map((line) => line.id)
    const {
      data: [headers, ...rows],
    } = Papa.parse<string[]>(
      (await exported(ids, 'csv'))
        .toString('utf8')
        .replace(/^\ufeff/, '')
        .trim(),
    )
    const book = new ExcelJS.Workbook()
    await book.xlsx.load((await exported(ids, 'xlsx')) as unknown as ArrayBuffer)
    const sheet = book.worksheets[0]!
    const cells = (row: number) =>
      headers!.map((_, column) => String(sheet.getRow(row).getCell(column + 1).value ?? ''))
    expect([headers, ...rows]).toEqual(Array.from({ length: ids.length + 1 }, (_, i) => cells(i + 1)))
    expect(rows.flat().filter((cell) => /^[=+@]/.test(cell))).toEqual([])
    expect(rows.find((row) => row[0] === sly.id)![headers!.indexOf('Notes')]).toBe(`'${sly.notes}`)
    expect(rows.map((row) => row[headers!.indexOf('Normalised [g/L]')])).toEqual(
      lines.map((line) => (line.normalisedGPerL === null ? '' : String(Number(line.normalisedGPerL.toPrecision(12))))),
    )
    const read = readReduceRequest(JSON.parse((await exported(ids, 'json')).toString()))
    expect(read.ok && read.request.runs.map((one) => one.id)).toEqual(ids)
    const figures = read.ok ? reduce(read.request).runs : []
    expect(figures.map((one) => ('error' in one ? one.error : one.gPerL))).toEqual(lines.map((line) => line.gPerL))
  }, 60_000)
})

describe('comparing and today', () => {
  const counting = (all: RunLine[], setup: string) =>
    all
      .filter(
        (line) =>
          line.setup === setup &&
          line.normalisedGPerL !== null &&
          !line.voided &&
          !line.breakIn &&
          line.worstFlag?.severity !== 'error',
      )
      .slice(0, 5)

  it('picked runs are held by set-up, like with like first; what has no figure is named with why', async () => {
    const all = await allLines(bench.db)
    const some = (setup: string) => counting(all, setup)
    const voided = all.find((line) => line.voided)!
    const answer = await compareRuns(
      bench.db,
      [...some('Fumarole with narrow pot'), ...some('Ignimbrite, plain pot'), voided].map((line) => line.id),
    )
    expect(answer.arms.map((arm) => arm.n)).toEqual([5, 5])
    expect(answer.pairs).toHaveLength(1)
    expect(answer.leftOut).toEqual([{ id: voided.id, setup: voided.setup, why: 'it is void' }])
  })

  it('two set-ups of one name are two arms; grams of two fuels are said to be so, with the heat in them', async () => {
    const all = await allLines(bench.db)
    const [narrow, spirit] = ['Fumarole with narrow pot', 'Lahar in the cone'] as const
    const picked = [...counting(all, narrow), ...counting(all, spirit)].map((line) => line.id)
    const { id } = (await listSetups(bench.db)).find((one) => one.name === spirit)!
    const rename = (name: string) => bench.db.update(setupTable).set({ name }).where(eq(setupTable.id, id))
    await rename(narrow)
    const answer = await compareRuns(bench.db, picked)
    await rename(spirit)
    expect(answer.arms.map((arm) => [arm.name, arm.n]).sort()).toEqual([
      [`${narrow}, Isobutane-propane`, 5],
      [`${narrow}, Methanol`, 4],
    ])
    // Like stands with like: burn-outs are another kind of test than boils.
    expect(answer.leftOut.map((one) => one.why)).toEqual(['its kind of test or its end is another than the others’'])
    expect(answer.pairs[0]!.text).toMatch(
      /used \d+ % more fuel.* Grams of Methanol against grams of Isobutane-propane: 0\.\d+ times the heat\.$/,
    )
    for (const { text } of answer.likeWithLike.differences) expect(text).not.toMatch(/\d\.\d{3}/)
  })

  it('today names what wants a decision, and a decision takes it off', async () => {
    const before = await today(bench.db)
    expect(before.day!.runs.length).toBeGreaterThan(0)
    expect(before.settle.map((one) => one.kind)).toContain('impossible')
    const { run: asked } = before.settle.find((one) => one.kind === 'impossible')!
    expect(
      await careForRun(bench.db, asked.id, {
        id: uuidv7(),
        what: 'decide',
        question: 'settle',
        answer: 'leave',
        reason: 'a warning to others',
        personId,
      }),
    ).toMatchObject({ status: 'saved' })
    const after = await today(bench.db)
    expect(after.settle.map((one) => one.run.id)).not.toContain(asked.id)
    expect(after.unsettled).toBe(before.unsettled - 1)
  })
})
