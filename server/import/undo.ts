/** A whole import taken back: its runs are void with the reason, its traces out, the kit it made offered no more. */
import { and, eq, isNull, not, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { MAX_TEXT } from '../../shared/limits'
import { isUuid } from '../../shared/uuid'
import { anyOf } from '../database/anyOf'
import type { Connection, Database } from '../database/connection'
import { bulkInsert } from '../database/bulkInsert'
import { person, run, runVoid, tableImport, trace } from '../database/schema'
import { invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { recompute } from '../runs/recompute'
import { retireMade } from './makeKit'

export async function undoImport(
  db: Database,
  id: string,
  { personId, reason }: { personId: string; reason: string },
): Promise<Outcome<null>> {
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    const [row] = await tx.select().from(tableImport).where(eq(tableImport.id, id)).for('update')
    if (!row) return notFound('import')
    if (row.state === 'undone') return saved(null)
    if (row.state !== 'stored') return invalidAt('', 'This is not stored: there is nothing to undo.')
    const [who] = isUuid(personId) ? await tx.select({ id: person.id }).from(person).where(eq(person.id, personId)) : []
    if (!who) return invalidAt('personId', 'Who: choose one from the list.')
    const why = reason.trim()
    if (why === '' || why.length > MAX_TEXT.reason)
      return invalidAt('reason', `Reason: expected 1 to ${MAX_TEXT.reason} characters. Type why.`)
    const runs = await voidRuns(tx, id, { personId, reason: `Import undone: ${why}`.slice(0, MAX_TEXT.reason) })
    const others = await takeTracesOut(tx, id)
    if (row.made) await retireMade(tx, row.made)
    await tx.update(tableImport).set({ state: 'undone', undoneAt: new Date() }).where(eq(tableImport.id, id))
    await recompute(tx, [...runs, ...others])
    return saved(null)
  })
}

const AT_ONCE = 5000
const NEXT_REVISION = sql`${run.revision} + 1`

/** Runs of the import that are not void already. @returns their ids */
async function voidRuns(
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
async function takeTracesOut(tx: Connection, importId: string): Promise<string[]> {
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
