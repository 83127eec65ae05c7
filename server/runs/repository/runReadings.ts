/** What the traces of runs said when they were read last. */
import { eq, sql } from 'drizzle-orm'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { runReading, runSummary } from '../../database/schema'

export type RunReadingRow = typeof runReading.$inferSelect

/** Of runs that have a row in the logbook. */
export const runReadings = (db: Connection, runIds: readonly string[]): Promise<RunReadingRow[]> =>
  db
    .select({ runId: runReading.runId, key: runReading.key, reading: runReading.reading })
    .from(runReading)
    .innerJoin(runSummary, eq(runSummary.runId, runReading.runId))
    .where(anyOf(runReading.runId, runIds))

export async function keepRunReadings(db: Connection, rows: readonly RunReadingRow[]): Promise<void> {
  if (rows.length === 0) return
  // In one order, as all who write many rows: two that cross would wait for each other.
  const ordered = [...rows].sort((a, b) => (a.runId < b.runId ? -1 : 1))
  await db
    .insert(runReading)
    .values(ordered)
    .onConflictDoUpdate({
      target: runReading.runId,
      set: { key: sql`excluded.key`, reading: sql`excluded.reading` },
    })
}
