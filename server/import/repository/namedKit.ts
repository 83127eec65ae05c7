/** Everything of the kit that a table may name, newest versions. */
import { asc, desc, eq, isNull } from 'drizzle-orm'
import type { BurnerProperties } from '../../../shared/thing'
import type { Connection } from '../../database/connection'
import {
  fuel,
  fuelBatch,
  method,
  methodVersion,
  place,
  placeVersion,
  setup,
  setupPart,
  setupVersion,
  thingVersion,
} from '../../database/schema'

/** Not retired, each with its newest version. */
export async function namedSetups(db: Connection): Promise<{ id: string; name: string; versionId: string }[]> {
  const rows = await db
    .selectDistinctOn([setup.id], {
      id: setup.id,
      name: setup.name,
      retired: setup.retiredAt,
      versionId: setupVersion.id,
    })
    .from(setup)
    .innerJoin(setupVersion, eq(setupVersion.setupId, setup.id))
    .orderBy(setup.id, desc(setupVersion.n))
  return rows.filter((one) => one.retired === null)
}

/** By the version of the set-up that they are in. */
export async function burnersOfSetups(db: Connection): Promise<Map<string, BurnerProperties>> {
  const rows = await db
    .select({ id: setupPart.setupVersionId, properties: thingVersion.properties })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .where(eq(setupPart.role, 'burner'))
  return new Map(rows.map((one) => [one.id, one.properties as BurnerProperties]))
}

export const namedPlaces = (db: Connection) =>
  db
    .selectDistinctOn([place.id], {
      id: place.id,
      name: place.name,
      versionId: placeVersion.id,
      pressure: {
        altitudeM: placeVersion.altitudeM,
        stationPressurePa: placeVersion.stationPressurePa,
        seaLevelPressurePa: placeVersion.seaLevelPressurePa,
      },
    })
    .from(place)
    .innerJoin(placeVersion, eq(placeVersion.placeId, place.id))
    .orderBy(place.id, desc(placeVersion.n))

/** Not retired, the oldest first. */
export const namedBatches = (db: Connection) =>
  db
    .select({ id: fuelBatch.id, batch: fuelBatch.name, name: fuel.name, kind: fuel.kind })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(isNull(fuelBatch.retiredAt))
    .orderBy(asc(fuelBatch.createdAt))

/** Not retired, each with its newest version. */
export async function namedMethods(db: Connection) {
  const rows = await db
    .selectDistinctOn([method.id], {
      id: method.id,
      name: method.name,
      retired: method.retiredAt,
      versionId: methodVersion.id,
      body: methodVersion.body,
    })
    .from(method)
    .innerJoin(methodVersion, eq(methodVersion.methodId, method.id))
    .orderBy(method.id, desc(methodVersion.n))
  return rows.filter((one) => one.retired === null)
}
