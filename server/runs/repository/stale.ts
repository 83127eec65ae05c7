/** Series whose facts are newer than the figures in the rows of their runs. */
import { and, asc, eq, inArray, isNotNull, lte, ne, sql, type AnyColumn, type SQL } from 'drizzle-orm'
import { CORE_VERSION } from '../../../core/version'
import type { Connection } from '../../database/connection'
import { run, runSummary, series } from '../../database/schema'
import { notifyFigures } from './notify'
import { LISTED } from './series'

const withKey = (keys: readonly string[]): SQL => sql`${series.key} = any(${sql.param([...keys])}::text[])`

/** Marks series, each time anew, and tells the background at the commit. */
export async function markStale(tx: Connection, keys: readonly string[]): Promise<void> {
  if (keys.length === 0) return
  // In one order, as all who write many rows: two that cross would wait for each other.
  await tx.execute(sql`
    insert into ${series} (key, stale_since)
      select key, clock_timestamp() from unnest(${sql.param([...keys])}::text[]) as key group by key order by key
    on conflict (key) do update set stale_since = excluded.stale_since`)
  await notifyFigures(tx)
}

/** What an earlier core worked out. */
export async function markOldCore(db: Connection): Promise<void> {
  const old = await db
    .selectDistinct({ key: run.seriesKey })
    .from(runSummary)
    .innerJoin(run, eq(run.id, runSummary.runId))
    .where(and(ne(runSummary.coreVersion, CORE_VERSION), isNotNull(run.seriesKey)))
  const keys = old.map((one) => one.key!)
  await markStale(db, keys)
  // What was answered by it is answered anew, whether its facts have changed or not.
  await db.update(series).set({ comparedRevision: null }).where(withKey(keys))
}

/** The series that have waited longest. */
export async function stalest(db: Connection, most: number): Promise<string[]> {
  const rows = await db
    .select({ key: series.key })
    .from(series)
    .where(isNotNull(series.staleSince))
    .orderBy(asc(series.staleSince), asc(series.key))
    .limit(most)
  return rows.map((row) => row.key)
}

/** Until when these have been marked, for `markFresh` after they were worked out; null: none of them is. */
export async function markedUntil(db: Connection, keys: readonly string[]): Promise<string | null> {
  const [row] = await db
    .select({ at: sql<string | null>`max(${series.staleSince})::text` })
    .from(series)
    .where(withKey(keys))
  return row!.at
}

/** What was marked after that stays so. */
export async function markFresh(db: Connection, keys: readonly string[], until: string | null): Promise<void> {
  if (until === null) return
  await db
    .update(series)
    .set({ staleSince: null })
    .where(and(withKey(keys), lte(series.staleSince, sql`${until}::timestamptz`)))
}

const STALE_KEYS = sql`(select ${series.key} from ${series} where ${series.staleSince} is not null)`

/** Whether a run stands in one of them. */
export const isStale = (runId: AnyColumn): SQL<boolean> =>
  sql<boolean>`exists (select 1 from ${run} where ${run.id} = ${runId} and ${run.seriesKey} in ${STALE_KEYS})`

export interface FiguresLeft {
  stale: number
  total: number
}
export async function figuresLeft(db: Connection): Promise<FiguresLeft> {
  const [row] = await db
    .select({ stale: sql<number>`count(*)::int` })
    .from(run)
    .where(and(LISTED, inArray(run.seriesKey, STALE_KEYS)))
  const [all] = await db.select({ n: sql<number>`count(*)::int` }).from(runSummary)
  return { stale: row!.stale, total: all!.n }
}
