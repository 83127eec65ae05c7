/** Kit, places, people and fuels: made, and listed for choosing. */
import { asc, desc, eq, inArray } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { PART_ROLES, THING_SCHEMAS, type PartRole, type ThingKind, type ThingProperties } from '../../../shared/thing'
import type { KitChoices, SetupChoice } from '../../../shared/kitChoices'
import type { Connection } from '../connection'
import { hashOf } from '../hash'
import { fuel, fuelBatch, person, place, placeVersion, setup, setupPart, setupVersion, thing, thingVersion } from '../schema'

export async function addPerson(db: Connection, name: string): Promise<string> {
  const id = uuidv7()
  await db.insert(person).values({ id, name })
  return id
}

export interface NewPlace { name: string, zone: string, altitudeM: number | null, windHeightM: number | null }

export async function addPlace(db: Connection, { name, zone, altitudeM, windHeightM }: NewPlace): Promise<string> {
  const id = uuidv7()
  await db.insert(place).values({ id, name, zone })
  await db.insert(placeVersion).values({ id: uuidv7(), placeId: id, n: 1, altitudeM, windHeightM })
  return id
}

export interface NewThing { kind: ThingKind, name: string, description?: string, properties: ThingProperties }

/** Adds a thing with its first version; throws Yup's error where a property is outside its limits. */
export async function addThing(db: Connection, { kind, name, description = '', properties }: NewThing): Promise<{ id: string, versionId: string }> {
  const checked = THING_SCHEMAS[kind].validateSync(properties, { strict: true, abortEarly: false }) as unknown as ThingProperties
  const id = uuidv7()
  const versionId = uuidv7()
  await db.insert(thing).values({ id, kind, name, description })
  await db.insert(thingVersion).values({ id: versionId, thingId: id, n: 1, properties: checked, heatHash: hashOf({ kind, properties: checked }) })
  return { id, versionId }
}

export interface NewSetup { name: string, gapM: number | null, parts: Partial<Record<PartRole, string>> }

/** Adds a named combination; `parts` are thing versions. */
export async function addSetup(db: Connection, { name, gapM, parts }: NewSetup): Promise<string> {
  const entries = PART_ROLES.flatMap(role => (parts[role] ? [{ role, thingVersionId: parts[role] }] : []))
  const versions = await db.select().from(thingVersion).where(inArray(thingVersion.id, entries.map(entry => entry.thingVersionId)))
  const hashes = entries.map(({ role, thingVersionId }) => [role, versions.find(version => version.id === thingVersionId)?.heatHash])
  const id = uuidv7()
  const versionId = uuidv7()
  await db.insert(setup).values({ id, name })
  await db.insert(setupVersion).values({ id: versionId, setupId: id, n: 1, gapM, heatHash: hashOf({ gapM, parts: hashes }) })
  await db.insert(setupPart).values(entries.map(entry => ({ setupVersionId: versionId, ...entry })))
  return id
}

export async function addFuelBatch(db: Connection, { kind, name, batch }: { kind: string, name: string, batch: string }): Promise<string> {
  const fuelId = uuidv7()
  const id = uuidv7()
  await db.insert(fuel).values({ id: fuelId, kind, name })
  await db.insert(fuelBatch).values({ id, fuelId, name: batch })
  return id
}

/** Everything a run can be made of, newest versions, by name. */
export async function kitChoices(db: Connection): Promise<KitChoices> {
  const people = await db.select({ id: person.id, name: person.name }).from(person).orderBy(asc(person.name))
  const fuels = await db.select({ id: fuelBatch.id, fuel: fuel.name, kind: fuel.kind, batch: fuelBatch.name })
    .from(fuelBatch).innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId)).orderBy(asc(fuel.name), asc(fuelBatch.name))
  const places = await db.selectDistinctOn([place.id], { id: place.id, name: place.name, zone: place.zone, altitudeM: placeVersion.altitudeM })
    .from(place).innerJoin(placeVersion, eq(placeVersion.placeId, place.id)).orderBy(place.id, desc(placeVersion.n))
  return { people, fuels, places: places.sort((a, b) => (a.altitudeM ?? 0) - (b.altitudeM ?? 0)), setups: await setupChoices(db) }
}

async function setupChoices(db: Connection): Promise<SetupChoice[]> {
  const versions = await db.selectDistinctOn([setup.id], { id: setup.id, name: setup.name, versionId: setupVersion.id })
    .from(setup).innerJoin(setupVersion, eq(setupVersion.setupId, setup.id)).orderBy(setup.id, desc(setupVersion.n))
  const parts = await db.select({ versionId: setupPart.setupVersionId, role: setupPart.role, name: thing.name })
    .from(setupPart).innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId)).innerJoin(thing, eq(thing.id, thingVersion.thingId))
  const choices = versions.map(({ id, name, versionId }) => ({
    id, name, parts: PART_ROLES.flatMap(role => parts.filter(one => one.versionId === versionId && one.role === role).map(one => ({ role, name: one.name }))),
  }))
  return choices.sort((a, b) => a.name.localeCompare(b.name))
}
