/** Many runs voided or tagged together. */
import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { run, runSummary, runTag, runVoid, type RunState } from '../../database/schema'

/** Those of these that the logbook lists, until the transaction ends. */
export const lockListed = (tx: Connection, ids: readonly string[]): Promise<{ id: string; state: RunState }[]> =>
  tx
    .select({ id: run.id, state: run.state })
    .from(run)
    .where(and(inArray(run.id, [...ids]), inArray(run.state, ['finished', 'void'])))
    .orderBy(run.id)
    .for('update')

/** @returns the runs of those that were not there yet */
export async function insertVoids(tx: Connection, rows: readonly (typeof runVoid.$inferInsert)[]): Promise<string[]> {
  const said = await tx
    .insert(runVoid)
    .values([...rows])
    .onConflictDoNothing()
    .returning({ runId: runVoid.runId })
  return said.map((one) => one.runId)
}

export async function setStates(tx: Connection, ids: readonly string[], state: RunState): Promise<void> {
  await tx
    .update(run)
    .set({ state, revision: sql`${run.revision} + 1` })
    .where(inArray(run.id, [...ids]))
}

/** Where a tag stands among these runs. */
export const standingTags = (
  tx: Connection,
  ids: readonly string[],
  tag: string,
): Promise<{ id: string; runId: string }[]> =>
  tx
    .select({ id: runTag.id, runId: runTag.runId })
    .from(runTag)
    .where(and(inArray(runTag.runId, [...ids]), eq(runTag.name, tag), isNull(runTag.removedAt)))

export async function insertTags(
  tx: Connection,
  runIds: readonly string[],
  name: string,
  personId: string,
): Promise<void> {
  await tx.insert(runTag).values(runIds.map((runId) => ({ id: uuidv7(), runId, name, personId })))
}

export async function takeTagsOff(tx: Connection, tagIds: readonly string[]): Promise<void> {
  await tx
    .update(runTag)
    .set({ removedAt: sql`now()` })
    .where(inArray(runTag.id, [...tagIds]))
}

export async function taggedRuns(db: Connection): Promise<string[]> {
  const rows = await db.selectDistinct({ id: runTag.runId }).from(runTag)
  return rows.map((row) => row.id)
}

/** The rows' copy of the tags that stand. */
export async function showTags(tx: Connection, ids: readonly string[]): Promise<void> {
  await tx
    .select({ id: runSummary.runId })
    .from(runSummary)
    .where(anyOf(runSummary.runId, ids))
    .orderBy(runSummary.runId)
    .for('update')
  await tx
    .update(runSummary)
    .set({
      tags: sql`coalesce((select array_agg(${runTag.name} order by ${runTag.name}) from ${runTag}
        where ${runTag.runId} = ${runSummary.runId} and ${runTag.removedAt} is null), '{}')`,
    })
    .where(anyOf(runSummary.runId, ids))
}
