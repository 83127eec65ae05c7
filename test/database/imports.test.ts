/**
 * Files brought in, on PostgreSQL: whole or not at all, partly by choice, undone, remembered; documents that come back
 * as they went; a bench packed and unpacked.
 */
import { createHash } from 'node:crypto'
import { mkdtemp, readFile as readDisk, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ExcelJS from 'exceljs'
import fc from 'fast-check'
import { eq, getTableName, is, sql } from 'drizzle-orm'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import yauzl from 'yauzl'
import yazl from 'yazl'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { FUEL_KINDS } from '../../core/constants/fuels'
import { POT_MATERIALS } from '../../core/constants/physical'
import { BURNER_KINDS, HEADS, SCREENS, type RunDocument } from '../../core/formats/document'
import { reduce } from '../../core/reduce'
import { defaultOptions, fillRun, readReduceRequest } from '../../shared/reduceRequest'
import { emptyTypedRun } from '../../shared/typedRun'
import type { ImportPage, StoredMapping } from '../../shared/tableImport/imports'
import type { TableMapping } from '../../shared/tableImport/mapping'
import { IMPORT } from '../../shared/limits'
import { findRuns } from '../../server/runs/repository/findRuns'
import { channelTraces } from '../../server/database/repositories/traces'
import { importChunk, run, runSummary, setup, tableImport } from '../../server/database/schema'
import * as schema from '../../server/database/schema'
import { kitChoices } from '../../server/kit/kitChoices'
import { loadDemonstration } from '../../server/demo/load'
import { findImport, previewImport } from '../../server/import/imports'
import { stageImport } from '../../server/import/stage'
import { storeImport } from '../../server/import/store'
import { undoImport } from '../../server/import/undo'
import { savePhoto } from '../../server/kit/photos'
import { savePerson } from '../../server/kit/places'
import { LEFT_BEHIND, PACKAGED } from '../../server/package/repository/tables'
import { packWorkspace } from '../../server/package/packWorkspace'
import { packToFile } from '../../server/package/packToFile'
import { unjudged } from '../../server/package/repository/rowChecks'
import { unpackWorkspace } from '../../server/package/unpackWorkspace'
import { exportRuns } from '../../server/runs/exportRuns'
import { WaitingSeries } from '../../server/runs/waitingSeries'
import { figuresLeft } from '../../server/runs/repository/stale'
import { logRun } from '../../server/runs/logRun'
import { doToRuns } from '../../server/runs/manyRuns'
import { PgTable } from 'drizzle-orm/pg-core'
import { makeTestDatabase, type TestDatabase } from './database'
import { proofs } from '../proofs'

const NOW = Date.parse('2026-11-01T12:00:00Z')
let demo: TestDatabase
let personId: string
let gasId: string

beforeAll(async () => {
  demo = await makeTestDatabase('imports_demo', 'demonstration')
  await loadDemonstration(demo.db, () => undefined, NOW)
  const kit = await kitChoices(demo.db, NOW)
  personId = kit.people[0]!.id
  gasId = kit.fuels.find((one) => one.kind === 'isobutane-propane')!.id
}, 90_000)
afterAll(() => demo.drop())

const problemsOf = (outcome: object) =>
  'problems' in outcome ? (outcome.problems as { text: string }[]).map((one) => one.text).join(' ') : ''

async function stage({ db }: TestDatabase, name: string, bytes: Buffer | string): Promise<ImportPage> {
  const id = uuidv7()
  const staged = await stageImport(db, { id, name, bytes: Buffer.from(bytes as string) })
  if (staged.status !== 'saved') throw new Error(problemsOf(staged))
  const page = (await findImport(db, id))!
  return { ...page, guessed: page.guessed && { ...page.guessed, zone: page.guessed.zone || 'Atlantic/Azores' } }
}
async function store(
  { db }: TestDatabase,
  id: string,
  mapping: StoredMapping,
  more: { leaveOut?: boolean; again?: boolean } = {},
) {
  const { outcome, work } = await storeImport(
    db,
    id,
    { mapping, personId, leaveOut: more.leaveOut ?? false, again: more.again ?? false },
    NOW,
  )
  await work
  return outcome
}
const runsOf = (bench: TestDatabase, importId: string) =>
  bench.db.select({ id: run.id, state: run.state, origin: run.origin }).from(run).where(eq(run.importId, importId))

const MESSY = `Porch tests;;;;;;
Date;Stove;Water (mL);Start temp (°C);Fuel before (g);Fuel after (g);Boil
14/03/2026;Fumarole with narrow pot;500;17,2;212,4;205,1;3:48
15/03/2026;Tin can;500;16,9;205,1;197,9;3:52
16/03/2026;Tin can;half;16,9;205,1;197,9;3:52
17/03/2026;Tin can;500;16,9;197,9;205,1;3:52`
const settled = (page: ImportPage): TableMapping => ({
  ...page.guessed!,
  dateOrder: 'dmy',
  usual: { ...page.guessed!.usual, fuel: gasId, person: personId },
  names: { ...page.guessed!.names, setup: { 'Tin can': { make: true, burner: 'canister-top' } } },
})

describe('a table of runs', () => {
  it('is read without being stored, stored partly by choice, remembered, noticed again, and undone whole', async () => {
    const page = await stage(demo, 'porch.csv', MESSY)
    const before = await demo.db.$count(run)
    const mapping = settled(page)
    const preview = await previewImport(demo.db, page.id, { what: 'runs', mapping }, NOW)
    expect(
      preview.status === 'saved' && [
        preview.value.good,
        preview.value.bad,
        preview.value.faults.map((fault) => fault.row),
      ],
    ).toEqual([2, 2, [5, 6]])
    expect(await demo.db.$count(run)).toBe(before)
    await store(demo, page.id, { what: 'runs', mapping })
    expect((await findImport(demo.db, page.id))!).toMatchObject({
      state: 'staged',
      trouble: expect.stringContaining('2 rows cannot be stored') as string,
    })
    expect(await demo.db.$count(run)).toBe(before)
    expect(await store(demo, page.id, { what: 'runs', mapping }, { leaveOut: true })).toMatchObject({ status: 'saved' })
    expect(await findImport(demo.db, page.id)).toMatchObject({ state: 'stored', stored: 2, leftOut: 2 })
    expect(await demo.db.$count(importChunk, eq(importChunk.importId, page.id))).toBe(0)
    const [first] = await findRuns(
      demo.db,
      (await runsOf(demo, page.id)).map((one) => one.id),
    ).then((found) => found.sort((a, b) => a.record.startedAt.localeCompare(b.record.startedAt)))
    expect(first!.record).toMatchObject({ setup: 'Fumarole with narrow pot', startedAt: '2026-03-14T13:00:00.000Z' })
    expect(first!.record.measurements.find((one) => one.quantity === 'fuelBefore')).toMatchObject({
      value: 0.2124,
      typed: '212,4 g',
    })

    const again = await stage(demo, 'porch copy.csv', MESSY)
    expect(again.guessedFrom?.fileName).toBe('porch.csv')
    expect(again.guessed).toMatchObject({ dateOrder: 'dmy', names: { setup: { 'Tin can': { make: true } } } })
    expect(again.alike).toMatchObject({ id: page.id, stored: 2 })
    expect(
      problemsOf(await store(demo, again.id, { what: 'runs', mapping: again.guessed! }, { leaveOut: true })),
    ).toContain('came in before')

    expect((await undoImport(demo.db, page.id, { personId, reason: '' })).status).toBe('invalid')
    expect((await undoImport(demo.db, page.id, { personId, reason: 'the wrong month' })).status).toBe('saved')
    expect((await runsOf(demo, page.id)).map((one) => one.state)).toEqual(['void', 'void'])
    const [tin] = await demo.db.select().from(setup).where(eq(setup.name, 'Tin can'))
    expect(tin!.retiredAt).not.toBeNull()
    expect((await findImport(demo.db, again.id))!.alike).toBeNull()
  })

  it('published elsewhere stands apart from what was measured here', async () => {
    const page = await stage(
      demo,
      'theirs.csv',
      'Date,Stove,Fuel type,Water (g),Fuel (g),Boil time (s)\n2026-01-05,Fumarole with narrow pot,isobutane-propane,473,6.1,195',
    )
    const kit = await kitChoices(demo.db, NOW)
    const choice = { use: kit.fuels.find((one) => one.kind === 'isobutane-propane')!.id }
    const shown = async () =>
      (
        await demo.db
          .select({ id: runSummary.runId, g: runSummary.normalisedGPerL, line: runSummary.line })
          .from(runSummary)
          .where(eq(runSummary.setup, 'Fumarole with narrow pot'))
      )
        .filter((one) => one.line.origin === 'measured')
        .map((one) => [one.id, one.g])
        .sort()
    const before = await shown()
    await store(demo, page.id, {
      what: 'runs',
      mapping: {
        ...page.guessed!,
        origin: 'published',
        usual: { ...page.guessed!.usual, person: personId },
        names: { ...page.guessed!.names, fuel: { 'isobutane-propane': choice } },
      },
    })
    const [row] = await runsOf(demo, page.id)
    expect(row!.origin).toBe('published')
    await new WaitingSeries(demo.db).workOutAll()
    expect(await shown()).toEqual(before)
  })

  it('with an id twice, or one that is here, leaves those rows out and says so', async () => {
    const known = (await demo.db.select({ id: run.id }).from(run).limit(1))[0]!.id
    const id = uuidv7()
    const page = await stage(
      demo,
      'twice.csv',
      `Id,Started,Set-up,Water [g],Boil [s]\n${id},2026-03-01T10:00:00Z,Fumarole with narrow pot,473,190\n${id},2026-03-01T11:00:00Z,Fumarole with narrow pot,473,190\n${known},2026-03-01T11:00:00Z,Fumarole with narrow pot,473,190`,
    )
    const preview = await previewImport(
      demo.db,
      page.id,
      { what: 'runs', mapping: { ...page.guessed!, usual: { ...page.guessed!.usual, fuel: gasId, person: personId } } },
      NOW,
    )
    expect(preview.status === 'saved' && preview.value.faults.map((fault) => `${fault.row} ${fault.text}`)).toEqual([
      expect.stringMatching(/^3 Id: row 2 has the same/),
      expect.stringMatching(/^4 Id: a run of this id is here already/),
    ])
  })

  it('as a workbook: dates, times of day, formulas by what they came to, and a title above the headings', async () => {
    const book = new ExcelJS.Workbook()
    const sheet = book.addWorksheet('March')
    sheet.addRow(['Porch tests'])
    sheet.addRow(['Date', 'Stove', 'Water (g)', 'Fuel used (g)', 'Boil'])
    const row = sheet.addRow([
      new Date('2026-03-14T00:00:00Z'),
      'Fumarole with narrow pot',
      473,
      { formula: '212.4-205.1', result: 7.300000000000011 },
      new Date(Date.UTC(1899, 11, 30, 0, 3, 48)),
    ])
    row.getCell(5).numFmt = 'mm:ss'
    const page = await stage(demo, 'march.xlsx', Buffer.from(await book.xlsx.writeBuffer()))
    expect(page.heads[0]![2]).toEqual(['2026-03-14', 'Fumarole with narrow pot', '473', '7.3', '3:48'])
    const preview = await previewImport(
      demo.db,
      page.id,
      { what: 'runs', mapping: { ...page.guessed!, usual: { ...page.guessed!.usual, fuel: gasId, person: personId } } },
      NOW,
    )
    expect(preview.status === 'saved' && preview.value.rows[0]!.cells).toMatchObject({
      'Fuel used': '7.3 g',
      'Rolling boil': '3:48',
    })
  })

  it('a small file that unpacks to a large one is refused before it fills the memory', async () => {
    const zip = new yazl.ZipFile()
    zip.addBuffer(Buffer.from('<workbook/>'), 'xl/workbook.xml')
    zip.addBuffer(Buffer.alloc(IMPORT.maxUnpackedBytes + 1), 'xl/worksheets/sheet1.xml')
    zip.end()
    const parts: Buffer[] = []
    for await (const part of zip.outputStream as AsyncIterable<Buffer>) parts.push(part)
    const bytes = Buffer.concat(parts)
    expect(bytes.length).toBeLessThan(1_000_000)
    const staged = await stageImport(demo.db, { id: uuidv7(), name: 'runs.xlsx', bytes })
    expect(problemsOf(staged)).toContain('unpack to more than 150 MB')
    expect(await demo.db.$count(tableImport, eq(tableImport.fileName, 'runs.xlsx'))).toBe(0)
  })
})

it('a logger’s file of several channels goes to its run, moves its figures, is refused twice, and can be taken out again', async () => {
  const [one] = (
    await findRuns(
      demo.db,
      (await demo.db.select({ id: run.id }).from(run).where(eq(run.state, 'finished'))).map((row) => row.id),
    )
  ).filter(
    ({ stored }) =>
      stored.trace.length === 0 &&
      stored.kind === 'boil' &&
      stored.events.some((event) => event.kind === 'rollingBoil'),
  )
  const lines = Array.from(
    { length: 150 },
    (_, i) => `${i * 2},${(60 + i).toFixed(1)},11.2,${(212.4 - i * 0.05).toFixed(2)}`,
  )
  const page = await stage(demo, 'logger.csv', `time (s),Water °F,Air °C,Scale [g]\n${lines.join('\n')}`)
  const mapping = { ...page.guessedTrace!, runId: one!.record.id }
  const answer = async () =>
    (
      await demo.db.select({ ribbon: runSummary.ribbon }).from(runSummary).where(eq(runSummary.runId, one!.record.id))
    )[0]!.ribbon.water.length
  const before = await answer()
  expect((await store(demo, page.id, { what: 'trace', mapping })).status).toBe('saved')
  expect(await findImport(demo.db, page.id)).toMatchObject({ state: 'stored', stored: 450 })
  const [found] = await findRuns(demo.db, [one!.record.id])
  expect(found!.stored.trace.at(-1)).toEqual([298, Number((((209 - 32) * 5) / 9).toPrecision(9))])
  expect([...(await channelTraces(demo.db, one!.record.id, { but: 'water' })).keys()]).toEqual(['air', 'scale'])
  await new WaitingSeries(demo.db).workOutAll()
  expect(await answer()).toBeGreaterThan(before)
  const twice = await stage(
    demo,
    'logger again.csv',
    `time (s),Water °F\n${lines.map((line) => line.split(',').slice(0, 2).join(',')).join('\n')}`,
  )
  await store(demo, twice.id, { what: 'trace', mapping: { ...twice.guessedTrace!, runId: one!.record.id } })
  expect((await findImport(demo.db, twice.id))!.trouble).toContain('has a trace of it already')
  expect((await undoImport(demo.db, page.id, { personId, reason: 'another run’s' })).status).toBe('saved')
  await new WaitingSeries(demo.db).workOutAll()
  expect([(await findRuns(demo.db, [one!.record.id]))[0]!.stored.trace.length, await answer()]).toEqual([0, before])
})

describe('documents of the contract', () => {
  const number = (min: number, max: number, step = 0.1) =>
    fc
      .integer({ min: Math.round(min / step), max: Math.round(max / step) })
      .map((n) => Number((n * step).toPrecision(9)))
  const maybe = <T>(some: fc.Arbitrary<T>) => fc.option(some, { nil: null })
  const documents: fc.Arbitrary<RunDocument> = fc
    .record({
      id: fc.constant(''),
      setup: fc.constantFrom('one', 'two', '=three'),
      kind: fc.constantFrom('boil' as const, 'boilBurnOut' as const),
      origin: fc.constantFrom('measured' as const, 'published' as const),
      place: fc.record({
        altitudeM: maybe(number(0, 4000, 1)),
        stationPressureHPa: maybe(number(600, 1080)),
        airC: maybe(number(-20, 35)),
        windMS: maybe(number(0, 6)),
        windHeightM: maybe(number(0.1, 10)),
        humidityPct: maybe(number(5, 100, 1)),
      }),
      water: fc.record({
        massG: number(200, 2000),
        startC: number(0, 40),
        endMassG: maybe(number(100, 1900)),
        endC: maybe(number(50, 99)),
      }),
      pot: fc.record({
        massG: maybe(number(50, 500)),
        material: maybe(fc.constantFrom(...POT_MATERIALS)),
        diameterMm: maybe(number(60, 200, 1)),
        finned: maybe(fc.boolean()),
      }),
      lid: maybe(fc.boolean()),
      screen: maybe(fc.constantFrom(...SCREENS)),
      burner: fc.record({ kind: maybe(fc.constantFrom(...BURNER_KINDS)), head: maybe(fc.constantFrom(...HEADS)) }),
      fuel: fc.record({
        kind: fc.constantFrom(...FUEL_KINDS),
        lhvMJPerKg: maybe(number(15, 50)),
        usedG: number(2, 60),
        leftoverG: maybe(number(0, 5)),
        scaleResolutionG: maybe(fc.constantFrom(0.1, 1)),
        scaleAccuracyG: maybe(number(0.1, 1)),
      }),
      lossWPerK: maybe(fc.record({ value: number(0.1, 2), u: number(0.1, 0.5) })),
      boilBy: maybe(fc.constantFrom('call' as const, 'trace' as const)),
      thermometer: maybe(fc.record({ offsetK: number(-3, 3), offsetU: number(0.1, 2), lagS: number(0, 20) })),
      instruments: fc.record({
        scale: maybe(fc.constantFrom('bench scale', '=old')),
        thermometer: maybe(fc.constant('probe')),
      }),
      uncertainty: fc.record({ startC: number(0.1, 2), boilCallS: number(1, 10) }),
      events: fc.tuple(number(1, 60), number(100, 900)).map(([lit, boil]) => [
        { kind: 'lit', s: 0 },
        { kind: 'potOn', s: lit },
        { kind: 'disturbance', s: lit + 1, reason: 'a knock' },
        { kind: 'settingChanged', s: lit + 2, setting: 'low' },
        { kind: 'windChanged', s: lit + 3, windMS: 1.5 },
        { kind: 'potOff', s: lit + 4 },
        { kind: 'potOn', s: lit + 5 },
        { kind: 'rollingBoil', s: Number((lit + boil).toPrecision(9)) },
      ]),
      trace: maybe(
        fc.array(number(5, 99), { maxLength: 20 }).map((all) => all.map((c, i): [number, number] => [i * 2, c])),
      ),
    })
    .map((one) => fillRun(one as never))
  const exported = async (bench: TestDatabase, ids: string[]) => {
    let text = ''
    for await (const part of exportRuns(bench.db, ids, 'json')) text += String(part)
    const read = readReduceRequest(JSON.parse(text))
    if (!read.ok) throw new Error('not read')
    return read.request.runs as RunDocument[]
  }
  /** What a document's figures rest on; a part that is not said is not on, and a pot without anything said is none. */
  const rests = ({ pot, lid, screen, fuel, setup: _, ...rest }: RunDocument) => ({
    ...rest,
    events: rest.events.map((event) => ({ massG: null, waterC: null, reason: null, ...event })),
    lid: lid ?? false,
    screen: screen ?? 'none',
    pot: { ...pot, finned: pot.finned ?? false },
    fuel: { ...fuel, lhvMJPerKg: null },
  })

  // No source: what goes in comes out. Other documents each time; of one that fails fast-check tells the seed.
  it('any document that is valid comes out of import and export with all that its figures rest on', async () => {
    const bench = await makeTestDatabase('imports_law')
    personIdOf(await savePerson(bench.db, { id: personId, name: 'Odra Vell' }))
    try {
      await fc.assert(
        fc.asyncProperty(fc.array(documents, { minLength: 1, maxLength: 6 }), async (some) => {
          // New ids each time: one that failed may stand there already.
          const all = some.map((one) => ({ ...one, id: uuidv7() }))
          const page = await stage(bench, 'runs.json', JSON.stringify({ ...defaultOptions(), runs: all }))
          const outcome = await store(bench, page.id, {
            what: 'runs',
            mapping: { ...page.guessed!, day: '2026-05-01' },
          })
          expect([outcome.status, (await findImport(bench.db, page.id))!.trouble]).toEqual(['saved', ''])
          const back = await exported(
            bench,
            all.map((one) => one.id),
          )
          expect(back.map(rests)).toEqual(all.map(rests))
        }),
        { numRuns: proofs(100) },
      )
    } finally {
      await bench.drop()
    }
  }, 120_000)

  it('the demonstration’s come into an empty workspace and give the same figures, run for run', async () => {
    const bench = await makeTestDatabase('imports_docs')
    personIdOf(await savePerson(bench.db, { id: personId, name: 'Odra Vell' }))
    try {
      const ids = (await demo.db.select({ id: run.id }).from(run).where(eq(run.state, 'finished'))).map((one) => one.id)
      const there = await exported(demo, ids)
      const page = await stage(bench, 'runs.json', JSON.stringify({ ...defaultOptions(), runs: there }))
      await store(bench, page.id, { what: 'runs', mapping: { ...page.guessed!, day: '2026-05-01' } })
      expect((await findImport(bench.db, page.id))!).toMatchObject({ state: 'stored', stored: ids.length, trouble: '' })
      const figures = (runs: RunDocument[]) =>
        new Map(
          reduce({ ...defaultOptions(), runs }).runs.map((one) => [
            one.id,
            'error' in one
              ? one.error
              : [one.gPerL, one.timeToBoilS, one.efficiency, one.q0W].map((value) =>
                  value === null ? null : Number(value.toPrecision(6)),
                ),
          ]),
        )
      expect(figures(await exported(bench, ids))).toEqual(figures(there))
      await new WaitingSeries(bench.db).workOutAll()
      expect(await figuresLeft(bench.db)).toEqual({ stale: 0, total: ids.length })
    } finally {
      await bench.drop()
    }
  }, 120_000)
})
const personIdOf = (outcome: object) => expect(outcome).toMatchObject({ status: 'saved' })

describe('a whole workspace', () => {
  it('every table is packed, or stays behind for a reason', () => {
    const names = (Object.values(schema) as unknown[])
      .filter((one): one is PgTable => is(one, PgTable))
      .map((table) => getTableName(table))
    expect([...PACKAGED.map((one) => one.name), ...Object.keys(LEFT_BEHIND)].sort()).toEqual(names.sort())
  })

  it('packed, unpacked into an empty workspace and packed again is the same byte for byte, but for its date; its figures are the same', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'vulcanum-pack-'))
    const bench = await makeTestDatabase('imports_pack')
    try {
      const base = emptyTypedRun(uuidv7(), 'metric')
      const kit = await kitChoices(demo.db, NOW)
      await logRun(
        demo.db,
        {
          ...base,
          startedAt: '2026-05-04T10:00:00Z',
          personId,
          setupId: kit.setups[0]!.id,
          fuelBatchId: gasId,
          placeId: null,
          methodId: null,
          notes: '=1+1\n"quoted", \'=twice\nسطر',
          measured: { ...base.measured, water: '473 g' },
          times: { ...base.times, rollingBoil: '3:10' },
          overrides: { burnerAndFuel: 'a test' },
        },
        NOW,
      )
      expect(await demo.db.$count(run, eq(run.id, base.id))).toBe(1)
      await doToRuns(demo.db, { id: uuidv7(), what: 'tag', runIds: [base.id], personId, reason: '', tag: 'kept' })
      const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#804020' } })
        .jpeg()
        .toBuffer()
      expect(
        (
          await savePhoto(demo.db, {
            id: uuidv7(),
            of: { runId: base.id },
            bytes: picture,
            caption: '',
            atMs: null,
            personId,
          })
        ).status,
      ).toBe('saved')
      const [first, second] = [join(folder, 'first.zip'), join(folder, 'second.zip')]
      await writeFile(first, packWorkspace(demo.url, new Date('2026-11-01T00:00:00Z')))
      const came = await unpackWorkspace(bench.url, first)
      expect(came).toEqual({ status: 'saved', value: { runs: await demo.db.$count(run) } })
      await writeFile(second, packWorkspace(bench.url, new Date('2026-11-02T00:00:00Z')))
      const [a, b] = [await contents(first), await contents(second)]
      expect([...b.keys()]).toEqual([...a.keys()])
      for (const [path, bytes] of a)
        expect(b.get(path)!.toString('latin1').replace('2026-11-02', '2026-11-01'), path).toBe(bytes.toString('latin1'))
      expect([...a.keys()].filter((path) => path.startsWith('photos/'))).toHaveLength(2)
      await new WaitingSeries(demo.db).workOutAll()
      const lines = async ({ db }: TestDatabase) =>
        (
          await db
            .select({ id: runSummary.runId, line: runSummary.line, tags: runSummary.tags })
            .from(runSummary)
            .orderBy(runSummary.runId)
        ).map(({ id, line, tags }) => [id, line.gPerL, line.normalisedGPerL, tags])
      expect(await lines(bench)).toEqual(await lines(demo))
      expect(problemsOf(await unpackWorkspace(demo.url, first))).toContain('has something in it')
    } finally {
      await bench.drop()
      await rm(folder, { recursive: true })
    }
  }, 120_000)

  it('altered, broken off, of a newer version, or none at all: refused in words, and the bench stays empty', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'vulcanum-pack-'))
    const bench = await makeTestDatabase('imports_broken')
    try {
      const good = join(folder, 'good.zip')
      await writeFile(good, packWorkspace(demo.url, new Date()))
      const parts = await contents(good)
      const broken: [string, Buffer, RegExp][] = [
        [
          'altered',
          await zipOf(
            new Map(parts).set(
              'data/measurement.csv',
              Buffer.from(parts.get('data/measurement.csv')!.toString().replace('0.473', '0.474')),
            ),
          ),
          /measurement\.csv is not as it was packed/,
        ],
        ['broken off', (await readDisk(good)).subarray(0, 20_000), /broken off/],
        ['none', Buffer.from('nothing of the kind'), /no zip archive/],
        ['another zip', await zipOf(new Map([['a.txt', Buffer.from('a')]])), /no workspace that Vulcanum packed/],
        [
          'newer',
          await zipOf(
            new Map(parts).set(
              'datapackage.json',
              Buffer.from(
                parts
                  .get('datapackage.json')!
                  .toString()
                  .replace(/"schema": \d+/, '"schema": 999'),
              ),
            ),
          ),
          /newer version/,
        ],
      ]
      for (const [name, bytes, words] of broken) {
        const file = join(folder, `${name}.zip`)
        await writeFile(file, bytes)
        expect(problemsOf(await unpackWorkspace(bench.url, file)), name).toMatch(words)
      }
      expect([await bench.db.$count(run), await bench.db.$count(schema.person)]).toEqual([0, 0])
      const { rows } = await bench.db.execute<{ n: number }>(sql`select count(*)::int as n from method`)
      expect(rows[0]!.n).toBeGreaterThan(10)
    } finally {
      await bench.drop()
      await rm(folder, { recursive: true })
    }
  }, 60_000)
})

describe('a package that is whole by its hashes', () => {
  it('every JSON column of it is held against a shape', () => {
    expect(unjudged(PACKAGED)).toEqual([])
  })

  it('and says what cannot be, is refused by file, column and reason; a byte that is another never passes; the bench stays as it was', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'vulcanum-pack-'))
    const bench = await makeTestDatabase('imports_shapes')
    try {
      const good = join(folder, 'good.zip')
      await writeFile(good, packWorkspace(demo.url, new Date()))
      const parts = await contents(good)
      const cases: [string, string, (text: string) => string, RegExp][] = [
        [
          'no tables',
          'datapackage.json',
          (text) => JSON.stringify({ ...(JSON.parse(text) as object), resources: [] }),
          /data\/person\.csv is missing/,
        ],
        [
          'resources that are none',
          'datapackage.json',
          (text) => JSON.stringify({ ...(JSON.parse(text) as object), resources: [null, 1] }),
          /no workspace that Vulcanum packed/,
        ],
        [
          'properties of another shape',
          'data/thing_version.csv',
          (text) => text.replace(/"massKg"": \d[\d.]*/, '"massKg"": {}'),
          /thing_version\.csv, column properties/,
        ],
        [
          'a method without its body',
          'data/method_version.csv',
          (text) => text.replace(/"steps"": \[/, '"steps"": 5, ""stops"": ['),
          /method_version\.csv, column body/,
        ],
        [
          'an event that is none',
          'data/event.csv',
          (text) => text.replace(',rollingBoil,', ',rollingBoils,'),
          /event\.csv, column kind: read "rollingBoils"/,
        ],
        [
          'a time before all',
          'data/run.csv',
          (text) => text.replace(/,20\d\d-/, ',0020-'),
          /run\.csv, column started_at|run\.csv, column created_at/,
        ],
        [
          'a zone that is none',
          'data/place.csv',
          (text) => text.replace(/[A-Z][a-z]+\/[A-Z][a-z]+/, 'Nowhere/None'),
          /place\.csv, column zone/,
        ],
        [
          'a figure that is none',
          'data/measurement.csv',
          (text) => text.replace(/,\d+\.\d+,/, ',NaN,'),
          /measurement\.csv, column value/,
        ],
      ]
      for (const [name, path, change, words] of cases) {
        const file = join(folder, 'case.zip')
        await writeFile(file, await rehashed(parts, path, change))
        expect(problemsOf(await unpackWorkspace(bench.url, file)), name).toMatch(words)
      }
      const whole = await readDisk(good)
      for (let i = 1; i < 24; i++) {
        const at = Math.floor(whole.length * (i / 24))
        const file = join(folder, 'flipped.zip')
        await writeFile(file, Buffer.from(whole).fill(whole[at]! ^ 0x21, at, at + 1))
        const outcome = await unpackWorkspace(bench.url, file)
        // A byte of the archive's own dates or of its unread headers changes nothing of what is in it.
        if (outcome.status === 'saved') {
          expect(await bench.db.$count(run)).toBe(await demo.db.$count(run))
          break
        }
        expect(outcome.status, `byte ${at}`).toBe('invalid')
      }
    } finally {
      await bench.drop()
      await rm(folder, { recursive: true })
    }
  }, 120_000)

  it('downloads that nobody reads hold no connection to the database', async () => {
    const streams = await Promise.all([
      packToFile(demo.url, NOW_DATE),
      packToFile(demo.url, NOW_DATE),
      packToFile(demo.url, NOW_DATE),
    ])
    expect(streams.filter((one) => one === null)).toHaveLength(1)
    const mine = streams.filter((one) => one !== null)
    const { rows } = await demo.db.execute<{ n: number }>(
      sql`select count(*)::int as n from pg_stat_activity where datname = current_database() and state like 'idle in transaction%'`,
    )
    expect(rows[0]!.n).toBe(0)
    for (const one of mine) expect((await readAll(one)).subarray(0, 2).toString()).toBe('PK')
  }, 60_000)
})
const NOW_DATE = new Date('2026-11-01T00:00:00Z')
async function readAll(stream: AsyncIterable<Buffer>): Promise<Buffer> {
  const chunks: Buffer[] = []
  for await (const chunk of stream) chunks.push(chunk)
  return Buffer.concat(chunks)
}
/** One file of a package changed, and the package made whole again by its hashes. */
async function rehashed(parts: Map<string, Buffer>, path: string, change: (text: string) => string): Promise<Buffer> {
  const before = parts.get(path)!.toString()
  const after = Buffer.from(change(before))
  expect(after.toString() === before, `${path} was changed`).toBe(false)
  const all = new Map(parts).set(path, after)
  if (path === 'datapackage.json') return zipOf(all)
  const descriptor = JSON.parse(all.get('datapackage.json')!.toString()) as {
    resources: { path: string; hash: string; bytes: number }[]
  }
  for (const one of descriptor.resources)
    if (one.path === path)
      Object.assign(one, { hash: `sha256:${createHash('sha256').update(after).digest('hex')}`, bytes: after.length })
  return zipOf(all.set('datapackage.json', Buffer.from(JSON.stringify(descriptor))))
}

async function contents(file: string): Promise<Map<string, Buffer>> {
  const found = new Map<string, Buffer>()
  await new Promise<void>((done, fail) =>
    yauzl.open(file, { lazyEntries: true }, (error, zip) => {
      if (error) return fail(error)
      zip.on('entry', (entry: yauzl.Entry) =>
        zip.openReadStream(entry, (failed, stream) => {
          if (failed) return fail(failed)
          const parts: Buffer[] = []
          stream
            .on('data', (part: Buffer) => parts.push(part))
            .on('end', () => {
              found.set(entry.fileName, Buffer.concat(parts))
              zip.readEntry()
            })
        }),
      )
      zip.on('end', done)
      zip.readEntry()
    }),
  )
  return found
}
async function zipOf(parts: Map<string, Buffer>): Promise<Buffer> {
  const zip = new yazl.ZipFile()
  for (const [path, bytes] of parts) zip.addBuffer(bytes, path)
  zip.end()
  const out: Buffer[] = []
  for await (const part of zip.outputStream as AsyncIterable<Buffer>) out.push(part)
  return Buffer.concat(out)
}
