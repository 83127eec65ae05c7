/**
 * Keeps the rows of the logbook in step with the facts: a small series at once, in the transaction of its facts; a
 * large one is marked, and worked out in the background.
 */
import { and, eq, isNull, sql, type SQL } from 'drizzle-orm'
import { anyOf } from '../database/anyOf'
import type { Connection } from '../database/connection'
import { run, runSummary } from '../database/schema'
import { bareSummaries } from './bareSummaries'
import { countUp, isApart, keepKeys, keepMissingKeys, keysOf, LISTED, lockSeries, membersOf } from './series'
import { dropMeansOfNone } from './setupSummaries'
import { markStale } from './stale'
import { APART_AT_ONCE } from './waitingSeries'
import { workOutAlone, workOutApart, workOutSeries } from './workOut'

/** As many runs are worked out while a person waits. About a millisecond each, facts and all. */
const AT_ONCE = 80

/** Called in the transaction that changed the facts of these runs. Series they have left are worked out too. */
export async function recompute(tx: Connection, runIds: readonly string[]): Promise<void> {
  if (runIds.length === 0) return
  const keys = await keysOf(tx, runIds)
  await lockSeries(tx, keys)
  await keepKeys(tx, and(LISTED, anyOf(run.id, runIds))!)
  await countUp(tx, keys)
  await dropMeansOfNone(tx, keys)
  if ((await membersOf(tx, keys)).length > AT_ONCE) return later(tx, runIds, keys)
  for (const key of keys) await workOutSeries(tx, key)
}

/**
 * Those that are new stand in the list at once, by their own readings, or, where they are many, without figures;
 * whether one is void counts at once too.
 */
async function later(tx: Connection, runIds: readonly string[], keys: readonly string[]): Promise<void> {
  const had = new Set(
    (await tx.select({ id: runSummary.runId }).from(runSummary).where(anyOf(runSummary.runId, runIds))).map(
      (row) => row.id,
    ),
  )
  const fresh = runIds.filter((id) => !had.has(id))
  if (fresh.length > AT_ONCE) await bareSummaries(tx, fresh)
  else await workOutApart(tx, fresh)
  const isVoid = sql`exists (select 1 from ${run} where ${run.id} = ${runSummary.runId} and ${run.state} = 'void')`
  await tx
    .update(runSummary)
    .set({ voided: isVoid })
    .where(and(anyOf(runSummary.runId, [...had]), sql`${runSummary.voided} is distinct from ${isVoid}`))
  await markStale(tx, keys)
}

/** Every run that a condition on `run` picks, as after `recompute` of each. */
export async function recomputeWhere(tx: Connection, where: SQL): Promise<void> {
  const picked = await tx.select({ id: run.id }).from(run).where(and(LISTED, where))
  await recompute(
    tx,
    picked.map((one) => one.id),
  )
}

/** Gives a row to every run that has none; says how many had none. */
export async function backfillRows(db: Connection): Promise<number> {
  await keepMissingKeys(db)
  const bare = await db
    .select({ id: run.id, key: run.seriesKey })
    .from(run)
    .leftJoin(runSummary, eq(runSummary.runId, run.id))
    .where(and(isNull(runSummary.runId), LISTED))
  const apart = bare.filter((one) => isApart(one.key!)).map((one) => one.id)
  for (let from = 0; from < apart.length; from += APART_AT_ONCE) {
    const ids = apart.slice(from, from + APART_AT_ONCE)
    await db.transaction(async (tx) => {
      await lockSeries(tx, ids)
      await workOutApart(tx, ids)
    })
  }
  for (const key of new Set(bare.filter((one) => !isApart(one.key!)).map((one) => one.key!)))
    await db.transaction((tx) => workOutAlone(tx, key))
  return bare.length
}
