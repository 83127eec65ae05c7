/** Readings and marks as they stand: what was corrected is superseded, never overwritten. */
import { and, asc, eq, notExists } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import { anyOf } from '../anyOf'
import type { Connection } from '../connection'
import { event, measurement } from '../schema'

/** The current value is the one that nothing supersedes. */
export function currentMeasurements(db: Connection, runIds: string[]) {
  const later = alias(measurement, 'later')
  return db
    .select()
    .from(measurement)
    .where(
      and(
        anyOf(measurement.runId, runIds),
        notExists(db.select().from(later).where(eq(later.supersedesId, measurement.id))),
      ),
    )
    .orderBy(asc(measurement.recordedAt))
}

export function currentEvents(db: Connection, runIds: string[]) {
  const later = alias(event, 'later')
  return db
    .select()
    .from(event)
    .where(
      and(
        anyOf(event.runId, runIds),
        eq(event.voided, false),
        notExists(db.select().from(later).where(eq(later.supersedesId, event.id))),
      ),
    )
    .orderBy(asc(event.atMs), asc(event.seq))
}
