/** Places with their versions. */
import { desc, eq, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { nowPlace, place, placeVersion, run, windSurvey } from '../../database/schema'

export type PlaceRow = typeof place.$inferSelect
export type PlaceVersionRow = typeof placeVersion.$inferSelect

/** Each with its newest version. */
export const placeRows = (db: Connection): Promise<{ place: PlaceRow; version: PlaceVersionRow }[]> =>
  db
    .selectDistinctOn([place.id], { place, version: placeVersion })
    .from(place)
    .innerJoin(placeVersion, eq(placeVersion.placeId, place.id))
    .orderBy(place.id, desc(placeVersion.n))

/** How many runs each place has. */
export async function runsByPlace(db: Connection): Promise<Map<string, number>> {
  const rows = await db
    .select({ id: placeVersion.placeId, count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(placeVersion, eq(placeVersion.id, run.placeVersionId))
    .groupBy(placeVersion.placeId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** Newest first. */
export const placeVersions = (db: Connection, placeId: string): Promise<PlaceVersionRow[]> =>
  db.select().from(placeVersion).where(eq(placeVersion.placeId, placeId)).orderBy(desc(placeVersion.n))

export async function insertPlaceVersion(tx: Connection, row: typeof placeVersion.$inferInsert): Promise<void> {
  await tx.insert(placeVersion).values(row)
}

/** Whether the bench stands there now. */
export async function isNowAt(db: Connection, placeId: string): Promise<boolean> {
  const [here] = await db.select().from(nowPlace).where(eq(nowPlace.placeId, placeId))
  return here !== undefined
}

export async function removePlace(tx: Connection, id: string): Promise<void> {
  await tx.delete(windSurvey).where(eq(windSurvey.placeId, id))
  await tx.delete(placeVersion).where(eq(placeVersion.placeId, id))
  await tx.delete(place).where(eq(place.id, id))
}
