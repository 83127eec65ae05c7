/** Data of earlier schemas, frozen as it was dumped: it migrates to the newest, and reads as it did. */
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { sql } from 'drizzle-orm'
import { text } from 'node:stream/consumers'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { RunDocument } from '../../core/formats/document'
import { openDatabase, type Database } from '../../server/database/connection'
import { claimDatabase, migrateDatabase } from '../../server/database/migrate'
import { readBenchNow } from '../../server/bench/lanes'
import { LiveSamples } from '../../server/bench/liveSamples'
import type { Notices } from '../../server/database/notices'
import type { SamplesPush } from '../../shared/bench'
import { photo } from '../../server/database/schema'
import { listImports } from '../../server/import/imports'
import { exportRuns } from '../../server/runs/exportRuns'
import { WaitingSeries } from '../../server/runs/waitingSeries'
import { findRun } from '../../server/runs/repository/findRuns'
import { listSetups } from '../../server/kit/setups'
import { ensureShippedMethods, listMethods } from '../../server/methods/methods'
import { answerRun } from '../../server/runs/answerRun'
import { backfillRows } from '../../server/runs/recompute'
import { allLines } from './lines'
import { runPage } from '../../server/runs/runPage'
import { makeEmptyDatabase, MIGRATIONS } from './database'

const path = (name: string) => fileURLToPath(new URL(`../reference/frozen/${name}`, import.meta.url))
const frozen = (name: string) => readFileSync(path(`${name}.sql`), 'utf8')
const undo: (() => Promise<void>)[] = []
afterAll(async () => {
  for (const drop of undo) await drop()
})

const readings = async (db: Database) =>
  (await db.execute(sql`select quantity, typed from public.measurement order by id`)).rows

/** As it was dumped, in a database of its own, brought to the newest schema. */
async function migrated(name: string, before: (db: Database) => Promise<void> = async () => undefined) {
  const { url, drop } = await makeEmptyDatabase(`frozen_${name.replace('-', '_')}`)
  const { db, close } = openDatabase(url)
  undo.push(async () => {
    await close()
    await drop()
  })
  await db.execute(sql.raw(frozen(name)))
  await before(db)
  await migrateDatabase(db, MIGRATIONS)
  await ensureShippedMethods(db)
  expect(await claimDatabase(db, 'demonstration')).toEqual({ purpose: 'demonstration', loaded: true })
  await backfillRows(db)
  await new WaitingSeries(db).workOutAll()
  return db
}

/** Before set-ups had means and a database was a workspace: a live bench, imports, a fed run, photos. */
describe('third-schema', () => {
  let db: Database
  beforeAll(async () => {
    db = await migrated('third-schema')
  }, 60_000)

  it('exports its runs as the version that wrote it did', async () => {
    const ids = (await allLines(db)).map((line) => line.id).sort()
    const documents = JSON.parse(await text(exportRuns(db, ids, 'json'))) as { runs: RunDocument[] }
    const written = JSON.parse(readFileSync(path('third-schema.json'), 'utf8')) as RunDocument[]
    expect(written).toHaveLength(8)
    // That version said no setting of the valve, no container, no instruments, and not how the water was measured.
    const since = { setting: null, container: null, thermometer: null, instruments: { scale: null, thermometer: null } }
    expect(documents.runs).toEqual(
      written.map((one) => ({ ...one, ...since, water: { ...one.water, by: expect.any(String) as string } })),
    )
    expect(written.flatMap((one) => one.events.filter((event) => event.kind === 'flameOut'))).toHaveLength(2)
  })

  it('has its bench as it burned: the lanes, their marks, notes and samples', async () => {
    const { lanes } = await readBenchNow(db, Date.parse('2026-10-20T12:05:00Z'))
    expect(
      lanes.map(({ lane, setup, state, notes }) => [lane, setup, state.marks.map(({ kind }) => kind), notes]),
    ).toEqual([
      ['A', 'Cup', ['lit', 'potOn', 'reading'], [expect.objectContaining({ text: 'wind from the sea' })]],
      ['B', 'Tray', [], []],
    ])
    const notices = { subscribe: () => () => undefined } as unknown as Notices
    const pushed: SamplesPush[] = []
    await new LiveSamples({ db, notices }).since({}, (told) => pushed.push(...(JSON.parse(told) as SamplesPush[])))
    expect(pushed).toMatchObject([{ runId: lanes[0]!.runId, channel: 'water' }])
    expect(pushed[0]!.points).toHaveLength(30)
  })

  it('has its photos, tags and imports, stored and undone', async () => {
    const photos = await db.select({ caption: photo.caption, of: photo.runId, bytes: photo.bytes }).from(photo)
    expect(photos.map(({ caption, of }) => [caption, of !== null]).sort()).toEqual([
      ['', false],
      ['soot on the tray', true],
    ])
    for (const { bytes } of photos) expect([...bytes.subarray(0, 3)]).toEqual([0xff, 0xd8, 0xff])
    const lines = await allLines(db)
    expect(lines.filter((line) => line.tags.includes('autumn'))).toHaveLength(2)
    expect(lines.filter((line) => line.voided)).toHaveLength(2)
    expect((await listImports(db)).map(({ fileName, state, stored }) => [fileName, state, stored]).sort()).toEqual([
      ['porch.csv', 'stored', 2],
      ['shed.csv', 'undone', 1],
    ])
  })
})

describe.each([
  ['first-schema', 9, 5],
  ['second-schema', 12, 6],
])('%s', (name, runs, setups) => {
  it('migrates, and every run reads with a figure that its readings give', async () => {
    let typed: unknown
    const db = await migrated(name, async (before) => {
      typed = await readings(before)
    })
    expect(await readings(db)).toEqual(typed)
    const lines = await allLines(db)
    expect(lines).toHaveLength(runs)
    for (const line of lines) {
      const page = await runPage(db, (await findRun(db, line.id))!, {})
      expect(page.answer.normalisedGPerL, line.id).toBe(line.normalisedGPerL)
      expect(page).toMatchObject({
        findings: null,
        observations: [],
        photos: [],
        record: { method: null, container: null, breakIn: false, setupN: 1 },
      })
    }
    expect((await listSetups(db)).map((one) => one.version.n)).toEqual(Array(setups).fill(1))
    expect((await listMethods(db)).filter((one) => one.shipped)).toHaveLength(16)
    const boiled = lines.find((line) => line.ended === 'boiled' && line.status === 'normalised')!
    expect((await answerRun(db, (await findRun(db, boiled.id))!)).runs[0]).toMatchObject({ gPerL: boiled.gPerL })
  })
})
