/** Things of the kit with their versions. */
import { asc, desc, eq, inArray, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import {
  instrumentCheck,
  measurement,
  photo,
  price,
  run,
  setup,
  setupPart,
  setupVersion,
  thing,
  thingVersion,
} from '../../database/schema'

export type ThingRow = typeof thing.$inferSelect
export type ThingVersionRow = typeof thingVersion.$inferSelect

/** Each with its newest version. */
export const thingRows = (db: Connection): Promise<{ thing: ThingRow; version: ThingVersionRow }[]> =>
  db
    .selectDistinctOn([thing.id], { thing, version: thingVersion })
    .from(thing)
    .innerJoin(thingVersion, eq(thingVersion.thingId, thing.id))
    .orderBy(thing.id, desc(thingVersion.n))

/** Newest first. */
export const versionsOfThing = (db: Connection, thingId: string): Promise<ThingVersionRow[]> =>
  db.select().from(thingVersion).where(eq(thingVersion.thingId, thingId)).orderBy(desc(thingVersion.n))

/** How many runs were burned with each thing. */
export async function runsByThing(db: Connection): Promise<Map<string, number>> {
  const rows = await db
    .select({ id: thingVersion.thingId, count: sql<number>`count(distinct ${run.id})::int` })
    .from(run)
    .innerJoin(setupPart, eq(setupPart.setupVersionId, run.setupVersionId))
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .groupBy(thingVersion.thingId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** How many runs were burned with each of these versions. */
export async function runsByPart(db: Connection, versionIds: readonly string[]): Promise<Map<string | null, number>> {
  const rows = await db
    .select({ id: setupPart.thingVersionId, count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(setupPart, eq(setupPart.setupVersionId, run.setupVersionId))
    .where(inArray(setupPart.thingVersionId, [...versionIds]))
    .groupBy(setupPart.thingVersionId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** How many runs were read by each of these versions of an instrument. */
export async function runsByInstrument(
  db: Connection,
  versionIds: readonly string[],
): Promise<Map<string | null, number>> {
  const rows = await db
    .select({
      id: measurement.instrumentVersionId,
      count: sql<number>`count(distinct ${measurement.runId})::int`,
    })
    .from(measurement)
    .where(inArray(measurement.instrumentVersionId, [...versionIds]))
    .groupBy(measurement.instrumentVersionId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** Set-ups that have any version of it as a part, by name. */
export const setupsWith = (db: Connection, thingId: string): Promise<{ id: string; name: string }[]> =>
  db
    .selectDistinct({ id: setup.id, name: setup.name })
    .from(setup)
    .innerJoin(setupVersion, eq(setupVersion.setupId, setup.id))
    .innerJoin(setupPart, eq(setupPart.setupVersionId, setupVersion.id))
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .where(eq(thingVersion.thingId, thingId))
    .orderBy(asc(setup.name))

/** Things that were made from it. */
export const madeFrom = (db: Connection, thingId: string): Promise<{ name: string }[]> =>
  db.select({ name: thing.name }).from(thing).where(eq(thing.madeFromId, thingId))

export async function insertThingVersion(tx: Connection, row: typeof thingVersion.$inferInsert): Promise<void> {
  await tx.insert(thingVersion).values(row)
}

export async function removeThing(tx: Connection, id: string): Promise<void> {
  for (const table of [photo, price, instrumentCheck]) await tx.delete(table).where(eq(table.thingId, id))
  await tx.delete(thingVersion).where(eq(thingVersion.thingId, id))
  await tx.delete(thing).where(eq(thing.id, id))
}
