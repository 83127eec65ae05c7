/**
 * The one place that knows which runs are a series: those whose figures rest on each other, of one heat hash, one fuel
 * and one origin. A void run or a break-in stands apart: it is its own.
 */
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm'
import { anyOf } from '../../database/anyOf'
import type { Origin } from '../../../core/formats/document'
import type { Connection } from '../../database/connection'
import { run, series } from '../../database/schema'
import { isUuid } from '../../../shared/uuid'

/** Runs that the logbook lists: a draft or a live one has no figures yet. */
export const LISTED: SQL = inArray(run.state, ['finished', 'void'])

/** What the facts of a run say its key is. Two measured heating values of one kind of fuel are two fuels. */
const KEY_BY_FACTS = sql<string>`(select case when run.state = 'void' or run.break_in then run.id::text
  else concat_ws('.', v.heat_hash, coalesce(f.kind || coalesce('@' || b.lhv_j_per_kg::text, ''), '-'), run.origin) end
  from setup_version v left join fuel_batch b on b.id = run.fuel_batch_id left join fuel f on f.id = b.fuel_id
  where v.id = run.setup_version_id)`

export interface NewRun {
  id: string
  setupVersionId: string
  fuelBatchId: string | null
  breakIn: boolean
  origin: Origin
}
/** @returns the key of each run that is about to be stored, so that it need not be written twice */
export async function keysOfNew(tx: Connection, runs: readonly NewRun[]): Promise<(one: NewRun) => string> {
  const alike = ({ setupVersionId, fuelBatchId, origin }: NewRun) => [setupVersionId, fuelBatchId, origin].join()
  const kinds = [...new Map(runs.map((one) => [alike(one), one])).values()]
  const lists = [
    sql`${sql.param(kinds.map((one) => one.id))}::uuid[]`,
    sql`${sql.param(kinds.map((one) => one.setupVersionId))}::uuid[]`,
    sql`${sql.param(kinds.map((one) => one.fuelBatchId))}::uuid[]`,
    sql`${sql.param(kinds.map((one) => one.origin))}::text[]`,
  ]
  const { rows } = await tx.execute<{ id: string; key: string }>(sql`
    select run.id, ${KEY_BY_FACTS} as key from (
      select *, 'finished' as state, false as break_in
      from unnest(${sql.join(lists, sql`, `)}) as new (id, setup_version_id, fuel_batch_id, origin)) as run`)
  const keyById = new Map(rows.map(({ id, key }) => [id, key]))
  const keyByKind = new Map(kinds.map((one) => [alike(one), keyById.get(one.id)!]))
  return (one) => (one.breakIn ? one.id : keyByKind.get(alike(one))!)
}

/** Keys of series are no ids. */
export const isApart = (key: string): boolean => isUuid(key)

/** The keys under which these runs stood, and those under which they stand by their facts. */
export async function keysOf(tx: Connection, runIds: readonly string[]): Promise<string[]> {
  const rows = await tx
    .select({ was: run.seriesKey, now: KEY_BY_FACTS })
    .from(run)
    .where(and(LISTED, anyOf(run.id, runIds)))
  return [...new Set(rows.flatMap(({ was, now }) => (was === null ? [now] : [was, now])))]
}

/** Stores the keys that the facts of these runs say. */
async function keepKeys(tx: Connection, where: SQL): Promise<void> {
  const other = and(where, sql`${run.seriesKey} is distinct from ${KEY_BY_FACTS}`)
  // In one order, as all who write many rows: two that cross would wait for each other.
  await tx.select({ id: run.id }).from(run).where(other).orderBy(asc(run.id)).for('update')
  await tx.update(run).set({ seriesKey: KEY_BY_FACTS }).where(other)
}
export const keepKeysOf = (tx: Connection, runIds: readonly string[]): Promise<void> =>
  keepKeys(tx, and(LISTED, anyOf(run.id, runIds))!)
/** Of a run that stands on the bench. */
export const keepKeyOf = (tx: Connection, runId: string): Promise<void> => keepKeys(tx, eq(run.id, runId))
/** Those that a migration, a package or a bench left without. */
export const keepMissingKeys = (tx: Connection): Promise<void> => keepKeys(tx, isNull(run.seriesKey))

/** What was cached of these series is old. */
export async function countUp(tx: Connection, keys: readonly string[]): Promise<void> {
  const counted = keys.filter((key) => !isApart(key)).sort()
  if (counted.length === 0) return
  await tx
    .insert(series)
    .values(counted.map((key) => ({ key })))
    .onConflictDoUpdate({ target: series.key, set: { revision: sql`${series.revision} + 1` } })
}

/** The listed runs of some series, oldest first. */
export async function membersOf(db: Connection, keys: readonly string[]): Promise<string[]> {
  const rows = await db
    .select({ id: run.id })
    .from(run)
    .where(and(LISTED, hasKey(keys)))
    .orderBy(asc(run.startedAt), asc(run.id))
  return rows.map((row) => row.id)
}
const hasKey = (keys: readonly string[]): SQL => sql`${run.seriesKey} = any(${sql.param([...keys])}::text[])`

/** How often facts behind a series have changed, and how many runs it has. */
export async function seriesAt(db: Connection, key: string): Promise<{ revision: number; runs: number }> {
  const [at] = await db.select({ revision: series.revision }).from(series).where(eq(series.key, key))
  const [all] = await db
    .select({ runs: sql<number>`count(*)::int` })
    .from(run)
    .where(and(LISTED, eq(run.seriesKey, key)))
  return { revision: at?.revision ?? 0, runs: all!.runs }
}

/** Locks that series share: ten thousand void runs are as many series, and the database holds only so many locks. */
const SERIES_LOCKS = 256
const LOCK_SPACE = 7_202_606
/**
 * One at a time works at a series, so that the last to write has read all. All locks are taken before anything is
 * written, in one order.
 */
export async function lockSeries(tx: Connection, keys: readonly string[]): Promise<void> {
  await tx.execute(
    sql`select pg_advisory_xact_lock(${LOCK_SPACE}::int, lock) from (
      select distinct abs(hashtext(key) % ${SERIES_LOCKS}::int) as lock
      from unnest(${sql.param([...keys])}::text[]) as key order by 1) as locks`,
  )
}
