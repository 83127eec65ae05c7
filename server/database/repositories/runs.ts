/** Runs: written once by their typed form, read whole or as a list. */
import { and, asc, desc, eq, inArray, ne, notExists } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import { v7 as uuidv7 } from 'uuid'
import type { StoredRun } from '../../../core/formats/toRunDocument'
import type { BurnerProperties, PotProperties, ScreenProperties } from '../../../shared/thing'
import type { ReadRun, TypedRun } from '../../../shared/typedRun'
import type { RunRecord } from '../../../shared/runRecord'
import { unitOf } from '../../../core/quantity/units'
import type { Connection } from '../connection'
import { decision, event, fuel, fuelBatch, measurement, person, place, placeVersion, run, setup, setupPart, setupVersion, thing, thingVersion } from '../schema'
import { historyOf } from './corrections'
import { insertWaterTrace, waterTraces } from './traces'

export interface ResolvedRun { setupVersionId: string, placeVersionId: string | null, placeAltitudeM: number | null }

/** The newest versions of what a typed run names; the field whose id is not known, where one is not. */
export async function resolveRun(db: Connection, typed: TypedRun): Promise<{ ok: true, value: ResolvedRun } | { ok: false, path: string, what: string }> {
  const [who] = await db.select({ id: person.id }).from(person).where(eq(person.id, typed.personId))
  if (!who) return { ok: false, path: 'personId', what: 'Who' }
  const [batch] = await db.select({ id: fuelBatch.id }).from(fuelBatch).where(eq(fuelBatch.id, typed.fuelBatchId))
  if (!batch) return { ok: false, path: 'fuelBatchId', what: 'Fuel' }
  const [version] = await db.select({ id: setupVersion.id }).from(setupVersion).where(eq(setupVersion.setupId, typed.setupId)).orderBy(desc(setupVersion.n)).limit(1)
  if (!version) return { ok: false, path: 'setupId', what: 'Set-up' }
  if (typed.placeId === null) return { ok: true, value: { setupVersionId: version.id, placeVersionId: null, placeAltitudeM: null } }
  const [where] = await db.select({ id: placeVersion.id, altitudeM: placeVersion.altitudeM }).from(placeVersion).where(eq(placeVersion.placeId, typed.placeId)).orderBy(desc(placeVersion.n)).limit(1)
  return where ? { ok: true, value: { setupVersionId: version.id, placeVersionId: where.id, placeAltitudeM: where.altitudeM } } : { ok: false, path: 'placeId', what: 'Place' }
}

/** Hash of what was first sent for this run, or null where there is no such run. */
export async function runBodyHash(db: Connection, id: string): Promise<string | null> {
  const [row] = await db.select({ hash: run.bodyHash }).from(run).where(eq(run.id, id))
  return row?.hash ?? null
}

/** Stores a typed run whole, in one transaction. False: a run of this id is there already. */
export async function insertTypedRun(db: Connection, { typed, read, resolved, bodyHash }: { typed: TypedRun, read: ReadRun, resolved: ResolvedRun, bodyHash: string }): Promise<boolean> {
  return db.transaction(async (tx) => {
    const inserted = await tx.insert(run).values({
      id: typed.id, origin: 'measured', kind: 'boil', state: 'finished', setupVersionId: resolved.setupVersionId, placeVersionId: resolved.placeVersionId, fuelBatchId: typed.fuelBatchId, personId: typed.personId,
      startedAt: new Date(typed.startedAt), zone: typed.zone, notes: typed.notes, bodyHash,
    }).onConflictDoNothing().returning({ id: run.id })
    if (inserted.length === 0) return false
    const { id: runId, personId } = typed
    const measurements = read.measurements.map(({ quantity, value, typed: text, unit }) => ({ id: uuidv7(), runId, personId, quantity, value, typed: text, typedUnit: unit }))
    if (measurements.length > 0) await tx.insert(measurement).values(measurements)
    const ordered = [...read.events].sort((a, b) => a.atMs - b.atMs)
    const events = ordered.map(({ kind, atMs, typed: text }, i) => ({
      id: uuidv7(), runId, personId, seq: i + 1, kind, atMs, source: 'typed', payload: { typed: text, ...(kind === 'stopped' && typed.stoppedReason ? { reason: typed.stoppedReason } : {}) },
    }))
    if (events.length > 0) await tx.insert(event).values(events)
    await insertWaterTrace(tx, runId, typed.trace)
    if (typed.takeBurnShare) await tx.insert(decision).values({ id: uuidv7(), runId, personId, question: 'fuelToBoil', answer: 'shareOfBurnTime' })
    return true
  })
}

export interface FoundRun { record: RunRecord, stored: StoredRun }

/** A run whole: its record for the page, and what the core reads. Null where there is none. */
export async function findRun(db: Connection, id: string): Promise<FoundRun | null> {
  const [found] = await findRuns(db, [id])
  if (found === undefined) return null
  return { ...found, record: { ...found.record, history: await historyOf(db, id) } }
}

/** Many runs at once, without their histories: a handful of queries whatever their number. In no order. */
export async function findRuns(db: Connection, ids: string[]): Promise<FoundRun[]> {
  if (ids.length === 0) return []
  const rows = await db.select({ run, person: person.name, place: place.name, placeVersion, setup: setup.name, fuelBatch, fuel }).from(run)
    .innerJoin(person, eq(person.id, run.personId)).innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId)).innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .leftJoin(placeVersion, eq(placeVersion.id, run.placeVersionId)).leftJoin(place, eq(place.id, placeVersion.placeId))
    .leftJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId)).leftJoin(fuel, eq(fuel.id, fuelBatch.fuelId)).where(inArray(run.id, ids))
  const parts = byKey(await partsOf(db, [...new Set(rows.map(row => row.run.setupVersionId))]), one => one.setupVersionId)
  const measurements = byKey(await currentMeasurements(db, ids), one => one.runId)
  const events = byKey(await currentEvents(db, ids), one => one.runId)
  const shares = await db.select({ runId: decision.runId }).from(decision).where(and(inArray(decision.runId, ids), eq(decision.question, 'fuelToBoil'), eq(decision.answer, 'shareOfBurnTime')))
  const traces = await waterTraces(db, ids)
  return rows.map(row => found(row, {
    parts: parts.get(row.run.setupVersionId) ?? [], measurements: measurements.get(row.run.id) ?? [], events: events.get(row.run.id) ?? [],
    takeBurnShare: shares.some(one => one.runId === row.run.id), trace: traces.get(row.run.id) ?? [],
  }))
}

function byKey<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) groups.set(key(row), [...(groups.get(key(row)) ?? []), row])
  return groups
}

interface RunRow {
  run: typeof run.$inferSelect
  person: string
  place: string | null
  placeVersion: typeof placeVersion.$inferSelect | null
  setup: string
  fuelBatch: typeof fuelBatch.$inferSelect | null
  fuel: typeof fuel.$inferSelect | null
}

interface Facts {
  parts: Awaited<ReturnType<typeof partsOf>>
  measurements: Awaited<ReturnType<typeof currentMeasurements>>
  events: Awaited<ReturnType<typeof currentEvents>>
  takeBurnShare: boolean
  trace: [number, number][]
}

function found(row: RunRow, { parts, measurements, events, takeBurnShare, trace }: Facts): FoundRun {
  const { id } = row.run
  const record: RunRecord = {
    id, origin: row.run.origin, kind: row.run.kind, state: row.run.state, startedAt: row.run.startedAt.toISOString(), zone: row.run.zone, notes: row.run.notes, revision: row.run.revision,
    person: row.person, place: row.place, setup: row.setup, fuel: row.fuel?.name ?? null, batch: row.fuelBatch?.name ?? null, placeAltitudeM: row.placeVersion?.altitudeM ?? null, takeBurnShare,
    parts: parts.map(({ role, name, properties }) => ({ role, name, properties })),
    measurements: measurements.map(({ quantity, value, typed, typedUnit }) => ({ quantity, value, typed, unit: typedUnit })),
    events: events.map(({ kind, atMs, payload }) => ({ kind, atMs, reason: payload.reason ?? null })), history: [],
  }
  const property = <T>(role: string) => (parts.find(one => one.role === role)?.properties ?? null) as T | null
  const burner = property<BurnerProperties>('burner')
  const stored: StoredRun = {
    id, setup: row.setup, origin: row.run.origin, kind: row.run.kind, placeAltitudeM: row.placeVersion?.altitudeM ?? null, placeWindHeightM: row.placeVersion?.windHeightM ?? null,
    measured: Object.fromEntries(measurements.map(one => [one.quantity, { value: one.value, dimension: unitOf(one.typedUnit).dimension }])),
    burner: burner === null ? null : { kind: burner.burner, head: burner.head }, pot: property<PotProperties>('pot'),
    lid: parts.some(one => one.role === 'lid'), screen: property<ScreenProperties>('screen')?.form ?? 'none',
    fuel: row.fuel === null ? null : { kind: row.fuel.kind, lhvJPerKg: row.fuelBatch?.lhvJPerKg ?? null, densityKgPerM3: row.fuelBatch?.densityKgPerM3 ?? null },
    takeBurnShare, events: events.map(({ kind, atMs, payload }) => ({ kind, s: atMs / 1000, massG: payload.massG ?? null, waterC: payload.waterC ?? null, reason: payload.reason ?? null })),
    trace,
  }
  return { record, stored }
}

const partsOf = (db: Connection, setupVersionIds: string[]) => db.select({ setupVersionId: setupPart.setupVersionId, role: setupPart.role, name: thing.name, properties: thingVersion.properties }).from(setupPart)
  .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId)).innerJoin(thing, eq(thing.id, thingVersion.thingId)).where(inArray(setupPart.setupVersionId, setupVersionIds))

/** The runs of one series: one heat hash, one origin, none void; each with the revision it is at. Ordered. */
export async function seriesOf(db: Connection, runId: string): Promise<{ id: string, revision: number }[]> {
  const [own] = await db.select({ heatHash: setupVersion.heatHash, origin: run.origin }).from(run).innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId)).where(eq(run.id, runId))
  if (own === undefined) return []
  return db.select({ id: run.id, revision: run.revision }).from(run).innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .where(and(eq(setupVersion.heatHash, own.heatHash), eq(run.origin, own.origin), ne(run.state, 'void'))).orderBy(asc(run.startedAt), asc(run.id))
}

/** The current value is the one that nothing supersedes. */
export function currentMeasurements(db: Connection, runIds: string[]) {
  const later = alias(measurement, 'later')
  return db.select().from(measurement).where(and(inArray(measurement.runId, runIds), notExists(db.select().from(later).where(eq(later.supersedesId, measurement.id))))).orderBy(asc(measurement.recordedAt))
}

export function currentEvents(db: Connection, runIds: string[]) {
  const later = alias(event, 'later')
  return db.select().from(event).where(and(inArray(event.runId, runIds), eq(event.voided, false), notExists(db.select().from(later).where(eq(later.supersedesId, event.id))))).orderBy(asc(event.atMs), asc(event.seq))
}
