/** The connection to PostgreSQL: one pool a process. */
import { sql } from 'drizzle-orm'
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres'
import pg from 'pg'
import * as schema from './schema'

export type Database = NodePgDatabase<typeof schema> & { $client: pg.Pool }
/** Either the database or a transaction in it. */
export type Connection = NodePgDatabase<typeof schema> | Parameters<Parameters<Database['transaction']>[0]>[0]

export function openDatabase(url: string, maximum = 10): { db: Database; close: () => Promise<void> } {
  const pool = new pg.Pool({ connectionString: url, max: maximum, connectionTimeoutMillis: 10_000 })
  // A connection that breaks is replaced by the pool; without a listener it would end the process, idle or not.
  pool.on('error', () => undefined)
  pool.on('connect', (client) => client.on('error', () => undefined))
  return { db: drizzle(pool, { schema }), close: () => pool.end() }
}

/** Over one connection of somebody's, whose transactions are theirs. */
export const connectionOver = (client: pg.ClientBase): Database =>
  drizzle(client as pg.Client, { schema }) as unknown as Database

/** Whether it answers; throws where it does not. */
export async function ping(db: Connection): Promise<void> {
  await db.execute(sql`select 1`)
}

/**
 * Where a database is, for a thread that opens connections of its own; null of a transaction, whose own writing no
 * other connection sees.
 */
export const urlOf = (db: Connection): string | null =>
  '$client' in db ? ((db as Database).$client.options.connectionString ?? null) : null
