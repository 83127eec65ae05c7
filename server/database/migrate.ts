/** Brings a database to the newest schema, and says what it is for. */
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import { sql } from 'drizzle-orm'
import type { Database } from './connection'
import { workspace } from './schema'

export type Purpose = 'demonstration' | 'own'

/** Two starts at once migrate one after the other. */
const MIGRATION_LOCK = 7_203_411

export async function migrateDatabase(db: Database, migrationsFolder: string): Promise<void> {
  await db.execute(sql`select pg_advisory_lock(${MIGRATION_LOCK})`)
  try {
    await migrate(db, { migrationsFolder })
  } finally {
    await db.execute(sql`select pg_advisory_unlock(${MIGRATION_LOCK})`)
  }
}

/** What the database is for: as marked, or marked so now where it never was. */
export async function claimDatabase(db: Database, wanted: Purpose): Promise<{ purpose: Purpose; loaded: boolean }> {
  await db.insert(workspace).values({ purpose: wanted }).onConflictDoNothing()
  const [row] = await db.select().from(workspace)
  return { purpose: row!.purpose, loaded: row!.loaded }
}
