/** The kit that runs were burned with, each version and batch read once however many runs name it. */
import { eq } from 'drizzle-orm'
import type { MethodBody } from '../../../core/method/method'
import type { InstrumentProperties, PartRole, ThingProperties } from '../../../shared/thing'
import { anyOf } from '../../database/anyOf'
import { byKey } from '../../database/byKey'
import type { Connection } from '../../database/connection'
import {
  container,
  fuel,
  fuelBatch,
  method,
  methodVersion,
  person,
  place,
  placeVersion,
  type run,
  setup,
  setupPart,
  setupVersion,
  thing,
  thingVersion,
} from '../../database/schema'

type RunRow = typeof run.$inferSelect

export interface RunKit {
  person: string
  setup: { id: string; n: number; name: string; heatHash: string; parts: RunPart[] }
  place: { name: string; version: typeof placeVersion.$inferSelect } | null
  fuel: { name: string; kind: string; batch: typeof fuelBatch.$inferSelect } | null
  container: Pick<typeof container.$inferSelect, 'id' | 'name' | 'tareKg' | 'fullKg'> | null
  method: { id: string; name: string; n: number; body: MethodBody } | null
}
interface RunPart {
  role: PartRole
  name: string
  properties: ThingProperties
}

/** @returns what gives each run's kit */
export async function kitOfRuns(db: Connection, runs: readonly RunRow[]): Promise<(row: RunRow) => RunKit> {
  const named = (key: keyof RunRow): string[] => [...new Set(runs.flatMap((row) => (row[key] as string | null) ?? []))]
  const [people, setups, places, fuels, containers, methods] = [
    await peopleOf(db, named('personId')),
    await setupsOf(db, named('setupVersionId')),
    await placesOf(db, named('placeVersionId')),
    await fuelsOf(db, named('fuelBatchId')),
    await containersOf(db, named('containerId')),
    await methodsOf(db, named('methodVersionId')),
  ]
  return (row) => ({
    person: people.get(row.personId)!,
    setup: setups.get(row.setupVersionId)!,
    place: found(places, row.placeVersionId),
    fuel: found(fuels, row.fuelBatchId),
    container: found(containers, row.containerId),
    method: found(methods, row.methodVersionId),
  })
}

const found = <T>(by: ReadonlyMap<string, T>, id: string | null): T | null =>
  id === null ? null : (by.get(id) ?? null)

async function peopleOf(db: Connection, ids: readonly string[]): Promise<Map<string, string>> {
  const rows = await db.select({ id: person.id, name: person.name }).from(person).where(anyOf(person.id, ids))
  return new Map(rows.map((row) => [row.id, row.name]))
}

async function containersOf(db: Connection, ids: readonly string[]) {
  if (ids.length === 0) return new Map<string, NonNullable<RunKit['container']>>()
  const rows = await db
    .select({ id: container.id, name: container.name, tareKg: container.tareKg, fullKg: container.fullKg })
    .from(container)
    .where(anyOf(container.id, ids))
  return new Map(rows.map((row) => [row.id, row]))
}

async function setupsOf(db: Connection, versionIds: readonly string[]): Promise<Map<string, RunKit['setup']>> {
  const rows = await db
    .select({
      versionId: setupVersion.id,
      id: setup.id,
      n: setupVersion.n,
      name: setup.name,
      heatHash: setupVersion.heatHash,
    })
    .from(setupVersion)
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .where(anyOf(setupVersion.id, versionIds))
  const parts = byKey(await partsOf(db, versionIds), (one) => one.setupVersionId)
  return new Map(
    rows.map(({ versionId, ...own }) => [
      versionId,
      {
        ...own,
        parts: (parts.get(versionId) ?? []).map(({ role, name, properties }) => ({ role, name, properties })),
      },
    ]),
  )
}

export const partsOf = (db: Connection, setupVersionIds: readonly string[]) =>
  db
    .select({
      setupVersionId: setupPart.setupVersionId,
      role: setupPart.role,
      name: thing.name,
      properties: thingVersion.properties,
    })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(anyOf(setupPart.setupVersionId, setupVersionIds))

async function placesOf(db: Connection, versionIds: readonly string[]) {
  if (versionIds.length === 0) return new Map<string, NonNullable<RunKit['place']>>()
  const rows = await db
    .select({ name: place.name, version: placeVersion })
    .from(placeVersion)
    .innerJoin(place, eq(place.id, placeVersion.placeId))
    .where(anyOf(placeVersion.id, versionIds))
  return new Map(rows.map((row) => [row.version.id, row]))
}

async function fuelsOf(db: Connection, batchIds: readonly string[]) {
  if (batchIds.length === 0) return new Map<string, NonNullable<RunKit['fuel']>>()
  const rows = await db
    .select({ name: fuel.name, kind: fuel.kind, batch: fuelBatch })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(anyOf(fuelBatch.id, batchIds))
  return new Map(rows.map((row) => [row.batch.id, row]))
}

async function methodsOf(db: Connection, versionIds: readonly string[]) {
  if (versionIds.length === 0) return new Map<string, NonNullable<RunKit['method']>>()
  const rows = await db
    .select({
      versionId: methodVersion.id,
      id: method.id,
      name: method.name,
      n: methodVersion.n,
      body: methodVersion.body,
    })
    .from(methodVersion)
    .innerJoin(method, eq(method.id, methodVersion.methodId))
    .where(anyOf(methodVersion.id, versionIds))
  return new Map(rows.map(({ versionId, ...own }) => [versionId, own]))
}

export interface NamedInstrument {
  thingId: string
  name: string
  properties: InstrumentProperties
}
export async function instrumentsOf(db: Connection, versionIds: readonly string[]) {
  if (versionIds.length === 0) return new Map<string, NamedInstrument>()
  const rows = await db
    .select({ id: thingVersion.id, thingId: thing.id, name: thing.name, properties: thingVersion.properties })
    .from(thingVersion)
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(anyOf(thingVersion.id, versionIds))
  return new Map(rows.map(({ id, ...own }) => [id, own as NamedInstrument]))
}
