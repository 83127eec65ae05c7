/** Readings and marks as they stand: what was corrected is superseded, never overwritten. */
import { and, asc, eq, sql, type SQL } from 'drizzle-orm'
import type { PgTable } from 'drizzle-orm/pg-core'
import { anyOf } from '../anyOf'
import type { Connection } from '../connection'
import { event, measurement } from '../schema'

/**
 * The current value is the one that nothing supersedes. Corrections are few, and are found by an index of their own.
 * @param id of the value; `ofRuns` what `run_id` is compared with, such as `= any(…)`
 */
export const isCurrent = (id: SQL, table: PgTable, ofRuns: SQL): SQL => sql`${id} <> all (array(
  select later.supersedes_id from ${table} later where later.run_id ${ofRuns} and later.supersedes_id is not null))`

const among = (runIds: readonly string[]): SQL => sql`= any(${sql.param([...runIds])}::uuid[])`

export function currentMeasurements(db: Connection, runIds: string[]) {
  return db
    .select()
    .from(measurement)
    .where(and(anyOf(measurement.runId, runIds), isCurrent(sql`${measurement.id}`, measurement, among(runIds))))
    .orderBy(asc(measurement.recordedAt))
}

export function currentEvents(db: Connection, runIds: string[]) {
  return db
    .select()
    .from(event)
    .where(and(anyOf(event.runId, runIds), eq(event.voided, false), isCurrent(sql`${event.id}`, event, among(runIds))))
    .orderBy(asc(event.atMs), asc(event.seq))
}
