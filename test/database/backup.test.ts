/**
 * Back-ups: written while others write, read back as they stood; of earlier versions too; and what is none changes
 * nothing.
 */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDatabase, type Database } from '../../server/database/connection'
import { person } from '../../server/database/schema'
import { loadDemonstration } from '../../server/demo/load'
import { backUp, restore } from '../../scripts/lib/backup.mjs'
import { findPrograms } from '../../scripts/lib/postgresPrograms.mjs'
import { allLines } from './lines'
import { makeEmptyDatabase, makeTestDatabase } from './database'

const adminUrl = process.env.DATABASE_ADMIN_URL!
const programs = findPrograms()!
const folder = mkdtempSync(join(tmpdir(), 'vulcanum-backup-test-'))
const file = (name: string) => join(folder, name)
const dropAll = async (start: string) => {
  const { db, close } = openDatabase(adminUrl, 1)
  const { rows } = await db.execute<{ datname: string }>(
    sql`select datname from pg_database where datname like ${`${start}%`}`,
  )
  for (const { datname } of rows) await db.execute(sql.raw(`drop database "${datname}" with (force)`))
  await close()
}
async function reading<T>(url: string, read: (db: Database) => Promise<T>): Promise<T> {
  const { db, close } = openDatabase(url, 1)
  return read(db).finally(close)
}
/** Everything that is stored, but for caches: each table's rows as text. */
const contents = (url: string) =>
  reading(url, async (db) => {
    const { rows: tables } = await db.execute<{ name: string }>(
      sql`select table_name as name from information_schema.tables where table_schema = 'public' and table_name not in ('run_summary', 'run_reading', 'result') order by 1`,
    )
    return Promise.all(
      tables.map(async ({ name }) => [
        name,
        (await db.execute(sql.raw(`select t::text as row from "${name}" t order by 1`))).rows,
      ]),
    )
  })

beforeAll(() => dropAll('backup_'))
afterAll(async () => {
  await dropAll('backup_')
  rmSync(folder, { recursive: true, force: true })
})

describe('a back-up', () => {
  it('is written while others write, and put back it is what stood then; what stood meanwhile is kept beside it', async () => {
    const { db, url, drop } = await makeTestDatabase('backup_now', 'demonstration')
    await loadDemonstration(db, () => undefined, Date.parse('2026-11-01T12:00:00Z'))
    const before = await contents(url)
    expect((await backUp({ programs, url, file: file('now') })).bytes).toBeGreaterThan(10_000)
    const addPerson = () => db.insert(person).values({ id: crypto.randomUUID(), name: 'came later' })
    await Promise.all([backUp({ programs, url, file: file('meanwhile') }), addPerson()])
    const kept = await restore({ programs, adminUrl, url, file: file('now'), empty: false })
    expect(await contents(url)).toEqual(before)
    expect(
      await reading(url.replace(/\/[^/]+$/, `/${kept}`), async (other) =>
        (await other.select({ name: person.name }).from(person)).map((one) => one.name),
      ),
    ).toContain('came later')
    // The connections of before were ended; the next question makes new ones.
    expect((await allLines(db)).length).toBeGreaterThan(100)
    await expect(backUp({ programs, url, file: file('now') })).rejects.toThrow(/is there already/)
    await drop()
  }, 120_000)

  it('of a version that wrote no hash comes in where that is said, and only then', async () => {
    const { url } = await makeTestDatabase('backup_unhashed', 'own')
    const whole = readFileSync(file('now'))
    writeFileSync(file('unhashed'), whole.subarray(0, whole.lastIndexOf('\nvulcanum-backup')))
    const fresh = url.replace(/\/[^/]+$/, '/backup_unhashed_fresh')
    await expect(restore({ programs, adminUrl, url: fresh, file: file('unhashed'), empty: false })).rejects.toThrow(
      /--unchecked/,
    )
    expect(
      await restore({ programs, adminUrl, url: fresh, file: file('unhashed'), empty: false, unchecked: true }),
    ).toBeNull()
    expect((await reading(fresh, allLines)).length).toBeGreaterThan(100)
  }, 120_000)

  it.each(['first-schema', 'second-schema', 'third-schema'])(
    'of the %s comes into this version with its runs',
    async (name) => {
      const { url } = await makeEmptyDatabase(`backup_${name.replace('-', '_')}`)
      await reading(url, (db) =>
        db.execute(sql.raw(readFileSync(new URL(`../reference/frozen/${name}.sql`, import.meta.url), 'utf8'))),
      )
      const typed = await reading(
        url,
        async (db) => (await db.execute(sql`select quantity, typed from measurement order by id`)).rows,
      )
      await backUp({ programs, url, file: file(name) })
      const fresh = url.replace(/\/[^/]+$/, `/backup_restored_${name.replace('-', '_')}`)
      expect(await restore({ programs, adminUrl, url: fresh, file: file(name), empty: false })).toBeNull()
      expect(
        await reading(
          fresh,
          async (db) => (await db.execute(sql`select quantity, typed from measurement order by id`)).rows,
        ),
      ).toEqual(typed)
      expect((await reading(fresh, allLines)).length).toBeGreaterThan(5)
    },
    120_000,
  )

  it('that is none, broke off, is of another bench or of a newer version is refused in words, and nothing changes', async () => {
    const { db, url } = await makeTestDatabase('backup_mine', 'own')
    await db.insert(person).values({ id: crypto.randomUUID(), name: 'mine' })
    const before = await contents(url)
    const whole = readFileSync(file('now'))
    writeFileSync(file('none'), 'not a back-up')
    writeFileSync(file('broken'), whole.subarray(0, whole.length >> 1))
    const again = { programs, adminUrl, url, empty: true }
    await expect(restore({ ...again, file: file('missing') })).rejects.toThrow(/There is no file/)
    await expect(restore({ ...again, file: file('none') })).rejects.toThrow(/no back-up that this version wrote/)
    await expect(restore({ ...again, file: file('none'), unchecked: true })).rejects.toThrow(/is not a back-up/)
    await expect(restore({ ...again, file: file('broken') })).rejects.toThrow(/does not end with its hash/)
    await expect(restore({ ...again, file: file('broken'), unchecked: true })).rejects.toThrow(
      /could not be restored\. Nothing was changed|broke off/,
    )
    // Wherever one byte is another, it is told before anything is read; spread over the file, its last bytes with them.
    for (let i = 0; i < 14; i++) {
      const at = i === 13 ? whole.length - 2 : Math.floor((whole.length - 1) * (i / 13))
      writeFileSync(file('flipped'), Buffer.from(whole).fill(whole[at]! ^ 0x10, at, at + 1))
      await expect(restore({ ...again, file: file('flipped') }), `byte ${at}`).rejects.toThrow(
        /is not as it was written|does not end with its hash/,
      )
    }
    await expect(restore({ ...again, file: file('now') })).rejects.toThrow(/could not be prepared|demonstration/)
    const newer = await makeTestDatabase('backup_newer', 'own')
    await newer.db.execute(
      sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('later', 9999999999999)`,
    )
    await backUp({ programs, url: newer.url, file: file('newer') })
    await expect(restore({ ...again, file: file('newer') })).rejects.toThrow(/newer version of Vulcanum/)
    expect(await contents(url)).toEqual(before)
  }, 120_000)
})
