/**
 * Keeps the rows of the logbook in step with the facts: a small series at once, in the transaction of its facts; a
 * large one is marked, and worked out in the background.
 */
import type { SQL } from 'drizzle-orm'
import type { Connection } from '../database/connection'
import { bareSummaries } from './bareSummaries'
import { notifyFigures } from './repository/notify'
import { followVoids, listedWhere, unlisted, withoutRow } from './repository/listed'
import { countUp, isApart, keepKeysOf, keepMissingKeys, keysOf, lockSeries, membersOf } from './repository/series'
import { dropMeansOfNone } from './repository/setupSummaries'
import { markStale } from './repository/stale'
import { APART_AT_ONCE } from './waitingSeries'
import { workOutAlone, workOutApart, workOutSeries } from './workOut'

/** As many runs are worked out while a person waits. About a millisecond each, facts and all. */
const AT_ONCE = 80

/** Called in the transaction that changed the facts of these runs. Series they have left are worked out too. */
export async function recompute(tx: Connection, runIds: readonly string[]): Promise<void> {
  if (runIds.length === 0) return
  const keys = await keysOf(tx, runIds)
  await lockSeries(tx, keys)
  await keepKeysOf(tx, runIds)
  await countUp(tx, keys)
  await dropMeansOfNone(tx, keys)
  if ((await membersOf(tx, keys)).length > AT_ONCE) return later(tx, runIds, keys)
  for (const key of keys) await workOutSeries(tx, key)
  // What these runs answer, held against others, is found in the background.
  await notifyFigures(tx)
}

/**
 * Those that are new stand in the list at once, by their own readings, or, where they are many, without figures;
 * whether one is void counts at once too.
 */
async function later(tx: Connection, runIds: readonly string[], keys: readonly string[]): Promise<void> {
  const fresh = await withoutRow(tx, runIds)
  if (fresh.length > AT_ONCE) await bareSummaries(tx, fresh)
  else await workOutApart(tx, fresh)
  await followVoids(tx, runIds)
  await markStale(tx, keys)
}

/** Every run that a condition on `run` picks, as after `recompute` of each. */
export async function recomputeWhere(tx: Connection, where: SQL): Promise<void> {
  await recompute(tx, await listedWhere(tx, where))
}

/** Gives a row to every run that has none; says how many had none. */
export async function backfillRows(db: Connection): Promise<number> {
  await keepMissingKeys(db)
  const bare = await unlisted(db)
  const apart = bare.filter((one) => isApart(one.key)).map((one) => one.id)
  for (let from = 0; from < apart.length; from += APART_AT_ONCE) {
    const ids = apart.slice(from, from + APART_AT_ONCE)
    await db.transaction(async (tx) => {
      await lockSeries(tx, ids)
      await workOutApart(tx, ids)
    })
  }
  for (const key of new Set(bare.filter((one) => !isApart(one.key)).map((one) => one.key)))
    await db.transaction((tx) => workOutAlone(tx, key))
  return bare.length
}
