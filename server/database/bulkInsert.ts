/**
 * Many rows of one table in one statement, a list for each column: a tenth of the time of as many placeholders, and
 * half of that of rows as JSON.
 */
import { getTableColumns, sql, type SQL } from 'drizzle-orm'
import type { PgTable } from 'drizzle-orm/pg-core'
import type { Connection } from './connection'

const AT_A_TIME = 2000

/**
 * The statements that insert rows, made ready when they are asked for. All rows have the same keys; what a row does not
 * name gets the column's default. No column is a list itself.
 */
export function* inserting<T extends PgTable>(table: T, rows: readonly T['$inferInsert'][]): Generator<SQL> {
  if (rows.length === 0) return
  const columns = getTableColumns(table)
  const named = Object.keys(rows[0]!).map((key) => ({
    key,
    name: columns[key]!.name,
    type: columns[key]!.getSQLType(),
  }))
  const names = sql.join(
    named.map(({ name }) => sql.identifier(name)),
    sql`, `,
  )
  for (let from = 0; from < rows.length; from += AT_A_TIME) {
    const part = rows.slice(from, from + AT_A_TIME) as Record<string, unknown>[]
    const lists = named.map(({ key, type }) => sql`${listText(part.map((row) => row[key]))}::${sql.raw(type)}[]`)
    yield sql`insert into ${table} (${names}) select * from unnest(${sql.join(lists, sql`, `)})`
  }
}

/**
 * A list as PostgreSQL reads it. Written here and not by the driver, which would only begin when the database waits for
 * it.
 */
function listText(values: readonly unknown[]): string {
  return `{${values.map((value) => (value === null || value === undefined ? 'NULL' : quoted(wordOf(value)))).join(',')}}`
}
const quoted = (word: string): string => `"${word.replace(/["\\]/g, '\\$&')}"`
function wordOf(value: unknown): string {
  if (value instanceof Date) return value.toISOString()
  return typeof value === 'object' ? JSON.stringify(value) : String(value)
}

export async function bulkInsert<T extends PgTable>(
  db: Connection,
  table: T,
  rows: readonly T['$inferInsert'][],
): Promise<void> {
  await inTurn(db, inserting(table, rows))
}

/** One statement after another; while the database works on one, the next is made ready. */
export async function inTurn(db: Connection, statements: Iterable<SQL>): Promise<void> {
  const each = statements[Symbol.iterator]()
  for (let next = each.next(); !next.done;) {
    const working = db.execute(next.value).then(() => undefined)
    // Its failure is met below.
    working.catch(() => undefined)
    // Sent first, then made ready: what follows holds this thread.
    await new Promise((done) => setImmediate(done))
    try {
      next = each.next()
    } finally {
      await working
    }
  }
}
