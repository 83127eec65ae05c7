/** The service by which many runs are voided or tagged, all or none. */
import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid'
import { readManyRuns, type ManyRuns } from '../../shared/manyRuns'
import type { Connection, Database } from '../database/connection'
import { person, run, runSummary, runTag, runVoid } from '../database/schema'
import { invalid, invalidAt, saved, type Outcome } from '../kit/outcome'
import { recompute } from './recompute'

/** `done`: those that it changed; the others were so already. */
export async function doToRuns(db: Database, input: unknown): Promise<Outcome<{ done: number }>> {
  const read = readManyRuns(input)
  if (!read.ok) return invalid(read.problems)
  const { many } = read
  return db.transaction(async (tx): Promise<Outcome<{ done: number }>> => {
    const [who] = await tx.select({ id: person.id }).from(person).where(eq(person.id, many.personId))
    if (who === undefined) return invalidAt('personId', 'Who: this one is not known here. Choose one from the list.')
    const there = await tx
      .select({ id: run.id, state: run.state })
      .from(run)
      .where(and(inArray(run.id, many.runIds), inArray(run.state, ['finished', 'void'])))
      .orderBy(run.id)
      .for('update')
    const missing = new Set(many.runIds).size - there.length
    if (missing > 0)
      return invalidAt(
        'runIds',
        `Runs: ${missing} of ${many.runIds.length} are not here any more, or stand on the bench. Nothing was changed; reload the list.`,
      )
    return saved({
      done: await (many.what === 'void' || many.what === 'unvoid'
        ? voidAll(tx, many, there)
        : tagAll(
            tx,
            many,
            there.map((one) => one.id),
          )),
    })
  })
}

async function voidAll(
  tx: Connection,
  { id, what, personId, reason }: ManyRuns,
  there: { id: string; state: string }[],
): Promise<number> {
  const wanted = what === 'void' ? ('void' as const) : ('finished' as const)
  const change = there.filter((one) => one.state !== wanted).map((one) => one.id)
  if (change.length === 0) return 0
  // Each run's own id follows from the act's: the same act again changes nothing.
  const said = await tx
    .insert(runVoid)
    .values(change.map((runId) => ({ id: uuidv5(runId, id), runId, voided: what === 'void', reason, personId })))
    .onConflictDoNothing()
    .returning({ runId: runVoid.runId })
  const ids = said.map((one) => one.runId)
  if (ids.length === 0) return 0
  await tx
    .update(run)
    .set({ state: wanted, revision: sql`${run.revision} + 1` })
    .where(inArray(run.id, ids))
  await recompute(tx, ids)
  return ids.length
}

async function tagAll(tx: Connection, { what, tag, personId }: ManyRuns, ids: string[]): Promise<number> {
  const standing = await tx
    .select({ id: runTag.id, runId: runTag.runId })
    .from(runTag)
    .where(and(inArray(runTag.runId, ids), eq(runTag.name, tag), isNull(runTag.removedAt)))
  const has = new Set(standing.map((one) => one.runId))
  const change = ids.filter((id) => has.has(id) === (what === 'untag'))
  if (change.length === 0) return 0
  if (what === 'tag')
    await tx.insert(runTag).values(change.map((runId) => ({ id: uuidv7(), runId, name: tag, personId })))
  else
    await tx
      .update(runTag)
      .set({ removedAt: sql`now()` })
      .where(
        inArray(
          runTag.id,
          standing.map((one) => one.id),
        ),
      )
  await showTags(tx, change)
  return change.length
}

/** The rows' copy of the tags that stand. */
export async function showTags(tx: Connection, ids: readonly string[]): Promise<void> {
  await tx
    .select({ id: runSummary.runId })
    .from(runSummary)
    .where(inArray(runSummary.runId, [...ids]))
    .orderBy(runSummary.runId)
    .for('update')
  await tx
    .update(runSummary)
    .set({
      tags: sql`coalesce((select array_agg(${runTag.name} order by ${runTag.name}) from ${runTag} where ${runTag.runId} = ${runSummary.runId} and ${runTag.removedAt} is null), '{}')`,
    })
    .where(inArray(runSummary.runId, [...ids]))
}
