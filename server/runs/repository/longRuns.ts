/** Runs whose traces are long. */
import { and, desc, eq, isNull, notExists, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { result, run, trace, traceChunk } from '../../database/schema'

/** The newest of them that this version of the core has not answered. */
export async function longUnanswered(db: Connection, coreVersion: string, most: number): Promise<string[]> {
  const answered = db
    .select()
    .from(result)
    .where(and(eq(result.runId, trace.runId), eq(result.coreVersion, coreVersion)))
  const rows = await db
    .select({ id: trace.runId })
    .from(trace)
    .innerJoin(traceChunk, eq(traceChunk.traceId, trace.id))
    .innerJoin(run, eq(run.id, trace.runId))
    .where(and(eq(trace.channel, 'water'), isNull(trace.removedAt), eq(run.state, 'finished'), notExists(answered)))
    .groupBy(trace.runId, run.startedAt)
    .having(sql`count(*) > 1`)
    .orderBy(desc(run.startedAt))
    .limit(most)
  return rows.map((row) => row.id)
}
