/** Runs that use something of the kit. */
import { desc, eq, inArray, sql, type SQL } from 'drizzle-orm'
import type { RunRef } from '../../../shared/record'
import type { Connection } from '../../database/connection'
import { measurement, placeVersion, run, setup, setupPart, setupVersion, thingVersion } from '../../database/schema'

const MOST = 50

export interface RunUse {
  count: number
  runs: RunRef[]
}

/** Those that a condition on run and set-up version picks, newest first. */
export async function runsWhere(db: Connection, where: SQL): Promise<RunUse> {
  const [counted] = await db
    .select({ count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .where(where)
  const rows = await db
    .select({ id: run.id, startedAt: run.startedAt, zone: run.zone, setup: setup.name })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .where(where)
    .orderBy(desc(run.startedAt))
    .limit(MOST)
  return { count: counted!.count, runs: rows.map((row) => ({ ...row, startedAt: row.startedAt.toISOString() })) }
}

export const ofBatch = (batchId: string): SQL => eq(run.fuelBatchId, batchId)
export const fromContainer = (containerId: string): SQL => eq(run.containerId, containerId)

/** At any version of a place. */
export const atPlace = (db: Connection, placeId: string): SQL =>
  inArray(
    run.placeVersionId,
    db.select({ id: placeVersion.id }).from(placeVersion).where(eq(placeVersion.placeId, placeId)),
  )

/** On any version of a set-up. */
export const onSetup = (db: Connection, setupId: string): SQL =>
  inArray(
    run.setupVersionId,
    db.select({ id: setupVersion.id }).from(setupVersion).where(eq(setupVersion.setupId, setupId)),
  )

/** With any version of a thing in their set-up. */
export const withThing = (db: Connection, thingId: string): SQL =>
  inArray(
    run.setupVersionId,
    db
      .select({ id: setupPart.setupVersionId })
      .from(setupPart)
      .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
      .where(eq(thingVersion.thingId, thingId)),
  )

/** With a reading taken by any version of an instrument. */
export const readBy = (db: Connection, thingId: string): SQL =>
  inArray(
    run.id,
    db
      .select({ id: measurement.runId })
      .from(measurement)
      .innerJoin(thingVersion, eq(thingVersion.id, measurement.instrumentVersionId))
      .where(eq(thingVersion.thingId, thingId)),
  )
