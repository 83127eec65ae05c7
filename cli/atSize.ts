/**
 * Part of `npm run at-size`, on the code the server runs: `rows` works out every row that is missing; `sql` prints the
 * statements that each given query of the logbook comes to.
 */
import { drizzle } from 'drizzle-orm/node-postgres'
import pg from 'pg'
import * as schema from '../server/database/schema'
import { openDatabase } from '../server/database/connection'
import { backfillRows } from '../server/runs/recompute'
import { listRuns } from '../server/runs/repository/listRuns'
import { PAGE_OF_RUNS } from '../shared/limits'
import { readRunList } from '../shared/runList'

const [, , what, ...queries] = process.argv
const url = process.env.DATABASE_URL!

async function rows(): Promise<void> {
  const { db, close } = openDatabase(url, 2)
  const n = await backfillRows(db)
  await close()
  process.stdout.write(`${n}\n`)
}

async function statements(): Promise<void> {
  const pool = new pg.Pool({ connectionString: url, max: 1 })
  const seen: { sql: string; params: unknown[] }[] = []
  const db = drizzle(pool, { schema, logger: { logQuery: (sql, params) => void seen.push({ sql, params }) } })
  const all: { query: string; statements: typeof seen }[] = []
  for (const query of queries) {
    seen.length = 0
    await listRuns(db, readRunList(Object.fromEntries(new URLSearchParams(query))), {
      after: null,
      limit: PAGE_OF_RUNS,
    })
    all.push({ query, statements: [...seen] })
  }
  await pool.end()
  process.stdout.write(JSON.stringify(all))
}

await (what === 'rows' ? rows() : statements())
