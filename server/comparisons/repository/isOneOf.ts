import { sql, type SQL } from 'drizzle-orm'

/** However many keys there are, one parameter. */
export const isOneOf = (column: SQL, keys: readonly string[]): SQL =>
  sql`${column} = any(${sql.param([...keys])}::text[])`
