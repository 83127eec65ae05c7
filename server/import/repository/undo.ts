/** Runs and traces of an import, taken back. */
import { and, eq, isNull, not, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { anyOf } from '../../database/anyOf'
import { bulkInsert } from '../../database/bulkInsert'
import type { Connection } from '../../database/connection'
import { run, runVoid, trace } from '../../database/schema'

const AT_ONCE = 5000
const NEXT_REVISION = sql`${run.revision} + 1`

/** Runs of the import that are not void already. @returns their ids */
export async function voidRuns(
  tx: Connection,
  importId: string,
  { personId, reason }: { personId: string; reason: string },
): Promise<string[]> {
  const standing = await tx
    .select({ id: run.id })
    .from(run)
    .where(and(eq(run.importId, importId), eq(run.state, 'finished')))
    .orderBy(run.id)
    .for('update')
  const ids = standing.map((one) => one.id)
  await bulkInsert(
    tx,
    runVoid,
    ids.map((runId) => ({ id: uuidv7(), runId, voided: true, reason, personId, recordedAt: new Date() })),
  )
  for (let from = 0; from < ids.length; from += AT_ONCE)
    await tx
      .update(run)
      .set({ state: 'void', revision: NEXT_REVISION })
      .where(anyOf(run.id, ids.slice(from, from + AT_ONCE)))
  return ids
}

/** Traces that went to runs which were there before: those go on without. @returns the ids of these runs */
export async function takeTracesOut(tx: Connection, importId: string): Promise<string[]> {
  const isOwn = sql`exists (select 1 from ${run} where ${run.id} = ${trace.runId} and ${run.importId} = ${importId})`
  const taken = await tx
    .update(trace)
    .set({ removedAt: new Date() })
    .where(and(eq(trace.importId, importId), isNull(trace.removedAt), not(isOwn)))
    .returning({ runId: trace.runId })
  const ids = [...new Set(taken.map((one) => one.runId))]
  if (ids.length > 0) await tx.update(run).set({ revision: NEXT_REVISION }).where(anyOf(run.id, ids))
  return ids
}
