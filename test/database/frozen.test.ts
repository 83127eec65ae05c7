/** Data of earlier schemas, frozen as it was dumped: it migrates to the newest, and reads as it did. */
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { sql } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { openDatabase } from '../../server/database/connection'
import { claimDatabase, migrateDatabase } from '../../server/database/migrate'
import { findRun } from '../../server/runs/repository/findRuns'
import { listSetups } from '../../server/kit/setups'
import { ensureShippedMethods, listMethods } from '../../server/methods/methods'
import { answerRun } from '../../server/runs/answerRun'
import { backfillRows } from '../../server/runs/recompute'
import { allLines } from './lines'
import { runPage } from '../../server/runs/runPage'
import { makeEmptyDatabase, MIGRATIONS } from './database'

const frozen = (name: string) =>
  readFileSync(fileURLToPath(new URL(`../reference/frozen/${name}.sql`, import.meta.url)), 'utf8')
const undo: (() => Promise<void>)[] = []
afterAll(async () => {
  for (const drop of undo) await drop()
})

describe.each([
  ['first-schema', 9, 5],
  ['second-schema', 12, 6],
])('%s', (name, runs, setups) => {
  it('migrates, and every run reads with a figure that its readings give', async () => {
    const { url, drop } = await makeEmptyDatabase(`frozen_${name.replace('-', '_')}`)
    const { db, close } = openDatabase(url)
    undo.push(async () => {
      await close()
      await drop()
    })
    await db.execute(sql.raw(frozen(name)))
    const typed = await db.execute<{ quantity: string; typed: string }>(
      sql`select quantity, typed from public.measurement order by id`,
    )
    await migrateDatabase(db, MIGRATIONS)
    await ensureShippedMethods(db)
    expect(await claimDatabase(db, 'demonstration')).toEqual({ purpose: 'demonstration', loaded: true })
    await backfillRows(db)
    expect((await db.execute(sql`select quantity, typed from public.measurement order by id`)).rows).toEqual(typed.rows)
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
