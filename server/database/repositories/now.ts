/** The conditions now. */
import { desc, eq, inArray } from 'drizzle-orm'
import type { NowConditions, NowQuantity, NowReading } from '../../../shared/nowConditions'
import type { Connection } from '../connection'
import { nowPlace, nowReading, place, placeVersion } from '../schema'

export async function nowConditions(db: Connection): Promise<NowConditions> {
  const [where] = await db
    .select({
      id: place.id,
      name: place.name,
      altitudeM: placeVersion.altitudeM,
      stationPressurePa: placeVersion.stationPressurePa,
      seaLevelPressurePa: placeVersion.seaLevelPressurePa,
    })
    .from(nowPlace)
    .innerJoin(place, eq(place.id, nowPlace.placeId))
    .innerJoin(placeVersion, eq(placeVersion.placeId, place.id))
    .orderBy(desc(placeVersion.n))
    .limit(1)
  const rows = await db.select().from(nowReading)
  return {
    place: where ?? null,
    readings: rows.map(({ quantity, value, typed, typedUnit, readAt }) => ({
      quantity,
      value,
      typed,
      unit: typedUnit,
      readAt: readAt.toISOString(),
    })),
  }
}

/** Sets place and readings. Moving to another place takes the old place's readings away: they were not read there. */
export async function setNow(
  db: Connection,
  {
    placeId,
    readings,
    clear,
  }: { placeId: string | null; readings: Omit<NowReading, 'readAt'>[]; clear: NowQuantity[] },
): Promise<void> {
  await db.transaction(async (tx) => {
    const [before] = await tx.select().from(nowPlace)
    if (before && before.placeId !== placeId) await tx.delete(nowReading)
    await tx.insert(nowPlace).values({ placeId }).onConflictDoUpdate({ target: nowPlace.only, set: { placeId } })
    if (clear.length > 0) await tx.delete(nowReading).where(inArray(nowReading.quantity, clear))
    for (const { quantity, value, typed, unit } of readings) {
      const row = { value, typed, typedUnit: unit, readAt: new Date() }
      await tx
        .insert(nowReading)
        .values({ quantity, ...row })
        .onConflictDoUpdate({ target: nowReading.quantity, set: row })
    }
  })
}

export async function isPlace(db: Connection, id: string): Promise<boolean> {
  return (await db.select({ id: place.id }).from(place).where(eq(place.id, id))).length > 0
}
