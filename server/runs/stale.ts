/** Rows of the logbook whose facts are newer than their figures. */
import { asc, isNotNull, ne, sql, type SQL } from 'drizzle-orm'
import { CORE_VERSION } from '../../core/version'
import type { Connection } from '../database/connection'
import { run, runSummary } from '../database/schema'
import { FIGURES_CHANNEL } from './longAnswers'
import { hasKey } from './series'

/** Marks rows, each time anew, and tells the background at the commit. */
export async function markStale(tx: Connection, where: SQL): Promise<void> {
  // In one order, as all who write many rows: two that cross would wait for each other.
  await tx.select({ id: runSummary.runId }).from(runSummary).where(where).orderBy(asc(runSummary.runId)).for('update')
  await tx
    .update(runSummary)
    .set({ staleSince: sql`clock_timestamp()` })
    .where(where)
  await tx.execute(sql`select pg_notify(${FIGURES_CHANNEL}, '')`)
}

/** The rows of some series. */
export const rowsIn = (keys: readonly string[]): SQL =>
  sql`${runSummary.runId} in (select ${run.id} from ${run} where ${hasKey(keys)})`

/** What an earlier core worked out. */
export const markOldCore = (db: Connection): Promise<void> => markStale(db, ne(runSummary.coreVersion, CORE_VERSION))

export interface FiguresLeft {
  stale: number
  total: number
}
export async function figuresLeft(db: Connection): Promise<FiguresLeft> {
  const [row] = await db
    .select({ stale: sql<number>`count(*)::int` })
    .from(runSummary)
    .where(isNotNull(runSummary.staleSince))
  const [all] = await db.select({ n: sql<number>`count(*)::int` }).from(runSummary)
  return { stale: row!.stale, total: all!.n }
}
