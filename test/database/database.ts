/** A database of its own for a test file, made and dropped on the throw-away cluster. */
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { openDatabase, type Database } from '../../server/database/connection'
import { ensureShippedMethods } from '../../server/methods/methods'
import { claimDatabase, migrateDatabase, type Purpose } from '../../server/database/migrate'

export const MIGRATIONS = fileURLToPath(new URL('../../server/database/migrations', import.meta.url))

async function admin(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: adminUrl() })
  await client.connect()
  await client.query(sql).finally(() => client.end())
}

function adminUrl(): string {
  const url = process.env.DATABASE_ADMIN_URL
  if (!url) throw new Error('Run these with npm run test:db, which starts a cluster for them')
  return url
}

export interface TestDatabase {
  db: Database
  url: string
  drop: () => Promise<void>
}

/** A database without any schema. */
export async function makeEmptyDatabase(name: string): Promise<{ url: string; drop: () => Promise<void> }> {
  await admin(`create database ${name}`)
  return { url: adminUrl().replace(/\/postgres$/, `/${name}`), drop: () => admin(`drop database ${name}`) }
}

export async function makeTestDatabase(name: string, purpose: Purpose = 'own'): Promise<TestDatabase> {
  const { url, drop } = await makeEmptyDatabase(name)
  const { db, close } = openDatabase(url)
  await migrateDatabase(db, MIGRATIONS)
  await ensureShippedMethods(db)
  await claimDatabase(db, purpose)
  return {
    db,
    url,
    drop: async () => {
      await close()
      await drop()
    },
  }
}
