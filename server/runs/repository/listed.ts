/** Runs that the logbook lists, and the rows it has of them. */
import { and, eq, isNull, sql, type SQL } from 'drizzle-orm'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { run, runSummary } from '../../database/schema'
import { LISTED } from './series'

/** The ids of those that a condition picks. */
export async function listedWhere(db: Connection, where: SQL): Promise<string[]> {
  const rows = await db.select({ id: run.id }).from(run).where(and(LISTED, where))
  return rows.map((row) => row.id)
}

/** Those of them that have no row yet. */
export async function withoutRow(db: Connection, runIds: readonly string[]): Promise<string[]> {
  const rows = await db.select({ id: runSummary.runId }).from(runSummary).where(anyOf(runSummary.runId, runIds))
  const had = new Set(rows.map((row) => row.id))
  return runIds.filter((id) => !had.has(id))
}

/** Whether they are void counts at once, before their figures are worked out. */
export async function followVoids(tx: Connection, runIds: readonly string[]): Promise<void> {
  const isVoid = sql`exists (select 1 from ${run} where ${run.id} = ${runSummary.runId} and ${run.state} = 'void')`
  await tx
    .update(runSummary)
    .set({ voided: isVoid })
    .where(and(anyOf(runSummary.runId, runIds), sql`${runSummary.voided} is distinct from ${isVoid}`))
}

/** Listed runs that have no row, each with the key of its series. */
export async function unlisted(db: Connection): Promise<{ id: string; key: string }[]> {
  const rows = await db
    .select({ id: run.id, key: run.seriesKey })
    .from(run)
    .leftJoin(runSummary, eq(runSummary.runId, run.id))
    .where(and(isNull(runSummary.runId), LISTED))
  return rows.map(({ id, key }) => ({ id, key: key! }))
}
