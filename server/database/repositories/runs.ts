/** Runs: written once by their typed form, read whole or as a list. */
import type { PressureFacts } from '../../../core/air/pressureOf'
import { asc, desc, eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { StoredRun } from '../../../core/formats/toRunDocument'
import { KIND_OF_TEST, type MethodBody } from '../../../core/method/method'
import { READ_WITH } from '../../../shared/measuredQuantity'
import type { BurnerProperties, InstrumentProperties, PotProperties, ScreenProperties } from '../../../shared/thing'
import type { ReadRun, ReadingInstrument, TypedRun } from '../../../shared/typedRun'
import type { RunRecord } from '../../../shared/runRecord'
import { unitOf } from '../../../core/quantity/units'
import { anyOf } from '../anyOf'
import { byKey } from '../byKey'
import type { Connection } from '../connection'
import {
  container,
  decision,
  event,
  fuel,
  fuelBatch,
  measurement,
  method,
  methodVersion,
  person,
  place,
  placeVersion,
  run,
  setup,
  setupPart,
  setupVersion,
  thing,
  thingVersion,
} from '../schema'
import { instrumentOf, type Instrument } from '../../kit/checks'
import { historyOf } from './corrections'
import { currentEvents, currentMeasurements } from './current'
import { insertWaterTrace, scaledRuns, tracesOf } from './traces'

export interface ResolvedRun {
  setupVersionId: string
  placeVersionId: string | null
  /** What is known of its pressure. */
  place: PressureFacts | null
  methodVersionId: string | null
  method: MethodBody | null
  instruments: Partial<Record<ReadingInstrument, Instrument>>
  burner: BurnerProperties | null
  lid: boolean
  fuelKind: string
}

const PLACE_PRESSURE = {
  altitudeM: placeVersion.altitudeM,
  stationPressurePa: placeVersion.stationPressurePa,
  seaLevelPressurePa: placeVersion.seaLevelPressurePa,
}

type Resolved = { ok: true; value: ResolvedRun } | { ok: false; path: string; what: string }
const unknown = (path: string, what: string): Resolved => ({ ok: false, path, what })

/** The newest versions of what a typed run names; the field whose id is not known, where one is not. */
export async function resolveRun(db: Connection, typed: TypedRun): Promise<Resolved> {
  const [who] = await db.select({ id: person.id }).from(person).where(eq(person.id, typed.personId))
  if (!who) return unknown('personId', 'Who')
  const [batch] = await db
    .select({ id: fuelBatch.id, kind: fuel.kind })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, typed.fuelBatchId))
  if (!batch) return unknown('fuelBatchId', 'Fuel')
  const [version] = await db
    .select({ id: setupVersion.id })
    .from(setupVersion)
    .where(eq(setupVersion.setupId, typed.setupId))
    .orderBy(desc(setupVersion.n))
    .limit(1)
  if (!version) return unknown('setupId', 'Set-up')
  const [where] =
    typed.placeId === null
      ? [null]
      : await db
          .select({ id: placeVersion.id, ...PLACE_PRESSURE })
          .from(placeVersion)
          .where(eq(placeVersion.placeId, typed.placeId))
          .orderBy(desc(placeVersion.n))
          .limit(1)
  if (where === undefined) return unknown('placeId', 'Place')
  const [by] =
    typed.methodId === null
      ? [null]
      : await db
          .select({ id: methodVersion.id, body: methodVersion.body })
          .from(methodVersion)
          .where(eq(methodVersion.methodId, typed.methodId))
          .orderBy(desc(methodVersion.n))
          .limit(1)
  if (by === undefined || (by !== null && by.body.test !== typed.test)) return unknown('methodId', 'Method')
  const [held] =
    typed.containerId === null
      ? [null]
      : await db.select({ id: container.id }).from(container).where(eq(container.id, typed.containerId))
  if (held === undefined) return unknown('containerId', 'Container')
  const instruments: ResolvedRun['instruments'] = {}
  for (const [measures, id] of Object.entries(typed.instruments) as [ReadingInstrument, string][]) {
    if (id === '') continue
    const instrument = await instrumentOf(db, id)
    if (instrument === null || instrument.properties.measures !== measures)
      return unknown(`instruments.${measures}`, 'Instrument')
    instruments[measures] = instrument
  }
  const parts = await partsOf(db, [version.id])
  return {
    ok: true,
    value: {
      setupVersionId: version.id,
      placeVersionId: where?.id ?? null,
      place: where,
      methodVersionId: by?.id ?? null,
      method: by?.body ?? null,
      instruments,
      burner: (parts.find((part) => part.role === 'burner')?.properties ?? null) as BurnerProperties | null,
      lid: parts.some((part) => part.role === 'lid'),
      fuelKind: batch.kind,
    },
  }
}

/** Hash of what was first sent for this run, or null where there is no such run. */
export async function runBodyHash(db: Connection, id: string): Promise<string | null> {
  const [row] = await db.select({ hash: run.bodyHash }).from(run).where(eq(run.id, id))
  return row?.hash ?? null
}

/** Stores a typed run whole, in one transaction. False: a run of this id is there already. */
export async function insertTypedRun(
  db: Connection,
  { typed, read, resolved, bodyHash }: { typed: TypedRun; read: ReadRun; resolved: ResolvedRun; bodyHash: string },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const inserted = await tx
      .insert(run)
      .values({
        id: typed.id,
        origin: 'measured',
        kind: KIND_OF_TEST[typed.test],
        state: 'finished',
        setupVersionId: resolved.setupVersionId,
        placeVersionId: resolved.placeVersionId,
        fuelBatchId: typed.fuelBatchId,
        personId: typed.personId,
        methodVersionId: resolved.methodVersionId,
        containerId: typed.containerId,
        setting: typed.setting || null,
        breakIn: typed.breakIn,
        startedAt: new Date(typed.startedAt),
        zone: typed.zone,
        notes: typed.notes,
        bodyHash,
      })
      .onConflictDoNothing()
      .returning({ id: run.id })
    if (inserted.length === 0) return false
    const { id: runId, personId } = typed
    await insertMeasurements(
      tx,
      { runId, personId, atMs: Date.parse(typed.startedAt), instruments: resolved.instruments },
      read.measurements,
    )
    const target = typeof resolved.method?.boil === 'object' ? resolved.method.boil.targetC : undefined
    const ordered = [...read.events].sort((a, b) => a.atMs - b.atMs)
    const events = ordered.map(({ kind, atMs, typed: text, massG, waterC }, i) => ({
      id: uuidv7(),
      runId,
      personId,
      seq: i + 1,
      kind,
      atMs,
      source: 'typed',
      payload: {
        typed: text,
        ...(massG === undefined ? {} : { massG }),
        ...(waterC === undefined ? {} : { waterC }),
        ...(kind === 'targetReached' && target !== undefined ? { waterC: target } : {}),
        ...(kind === 'stopped' && typed.stoppedReason ? { reason: typed.stoppedReason } : {}),
      },
    }))
    if (events.length > 0) await tx.insert(event).values(events)
    await insertWaterTrace(tx, runId, typed.trace)
    await insertDecisions(tx, typed)
    return true
  })
}

export interface MeasuredBy {
  runId: string
  personId: string
  /** When, for what the instruments' checks add [ms]. */
  atMs: number
  instruments: ResolvedRun['instruments']
  /** Of a single reading: its moment on the run's clock, its id, and what it stands for anew. */
  readAtMs?: number
  id?: string
  supersedes?: { id: string; reason: string } | null
}

/** Readings, each with what its instrument's checks add. */
export async function insertMeasurements(
  tx: Connection,
  { runId, personId, atMs, instruments, readAtMs, id, supersedes }: MeasuredBy,
  readings: ReadRun['measurements'],
): Promise<void> {
  if (readings.length === 0) return
  await tx.insert(measurement).values(
    readings.map(({ quantity, value, typed: text, unit }) => {
      const instrument = instrumentFor(instruments, quantity, unit)
      const correction = instrument === null ? null : instrument.correctionAt(value, atMs)
      return {
        id: id ?? uuidv7(),
        runId,
        personId,
        quantity,
        value: value + (correction ?? 0),
        typed: text,
        typedUnit: unit,
        instrumentVersionId: instrument?.versionId ?? null,
        correction,
        atMs: readAtMs ?? null,
        supersedesId: supersedes?.id ?? null,
        reason: supersedes?.reason ?? null,
      }
    }),
  )
}

/** Warnings that were overridden, and a share of burn time that was taken, with their reasons. */
export async function insertDecisions(
  tx: Connection,
  { id: runId, personId, takeBurnShare, overrides }: Pick<TypedRun, 'id' | 'personId' | 'takeBurnShare' | 'overrides'>,
): Promise<void> {
  const decisions = [
    ...(takeBurnShare ? [{ question: 'fuelToBoil', answer: 'shareOfBurnTime', reason: null }] : []),
    ...Object.entries(overrides)
      .filter(([, reason]) => reason.trim())
      .map(([question, reason]) => ({ question, answer: 'goOn', reason: reason.trim() })),
  ]
  if (decisions.length > 0)
    await tx.insert(decision).values(decisions.map((one) => ({ id: uuidv7(), runId, personId, ...one })))
}

/** What a reading was taken with: a volume is not read on a scale. */
function instrumentFor(
  instruments: ResolvedRun['instruments'],
  quantity: RunRecord['measurements'][number]['quantity'],
  unitId: string,
): Instrument | null {
  const measures = READ_WITH[quantity]
  if (measures === undefined || (measures === 'mass' && unitOf(unitId).dimension !== 'mass')) return null
  return instruments[measures] ?? null
}

export interface FoundRun {
  record: RunRecord
  stored: StoredRun
  method: MethodBody | null
  /** A scale followed it: its fuel to the boil may rest on that. */
  scaled: boolean
  /** What its set-up was made of, as far as heat goes. */
  heatHash: string
  /** Null: a draft of an earlier version. */
  seriesKey: string | null
  /** Void or a break-in: it stands alone, in no series. */
  apart: boolean
}

/** A run whole: its record for the page, and what the core reads. Null where there is none. */
export async function findRun(db: Connection, id: string): Promise<FoundRun | null> {
  const [found] = await findRuns(db, [id])
  if (found === undefined) return null
  return { ...found, record: { ...found.record, history: await historyOf(db, id) } }
}

/**
 * Many runs at once, without their histories: a handful of queries whatever their number. In no order. `traces`,
 * `events` false: as if they had none.
 */
export async function findRuns(
  db: Connection,
  ids: string[],
  { traces: withTraces = true, events: withEvents = true } = {},
): Promise<FoundRun[]> {
  if (ids.length === 0) return []
  const rows = await db
    .select({
      run,
      person: person.name,
      place: place.name,
      placeVersion,
      setup: setup.name,
      setupId: setup.id,
      setupN: setupVersion.n,
      heatHash: setupVersion.heatHash,
      fuelBatch,
      fuel,
      method: { id: method.id, name: method.name, n: methodVersion.n, body: methodVersion.body },
      container: container.name,
    })
    .from(run)
    .innerJoin(person, eq(person.id, run.personId))
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .leftJoin(placeVersion, eq(placeVersion.id, run.placeVersionId))
    .leftJoin(place, eq(place.id, placeVersion.placeId))
    .leftJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId))
    .leftJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .leftJoin(container, eq(container.id, run.containerId))
    .leftJoin(methodVersion, eq(methodVersion.id, run.methodVersionId))
    .leftJoin(method, eq(method.id, methodVersion.methodId))
    .where(anyOf(run.id, ids))
  const parts = byKey(
    await partsOf(db, [...new Set(rows.map((row) => row.run.setupVersionId))]),
    (one) => one.setupVersionId,
  )
  const measurements = byKey(await currentMeasurements(db, ids), (one) => one.runId)
  const events = byKey(withEvents ? await currentEvents(db, ids) : [], (one) => one.runId)
  const decisions = await db
    .select({ runId: decision.runId, question: decision.question, answer: decision.answer })
    .from(decision)
    .where(anyOf(decision.runId, ids))
    .orderBy(asc(decision.recordedAt))
  const decided = byKey(decisions, (one) => one.runId)
  const answered = (runId: string, question: string) =>
    decided.get(runId)?.findLast((one) => one.question === question)?.answer ?? null
  const instruments = await instrumentVersions(db, [
    ...new Set([...measurements.values()].flat().flatMap((one) => one.instrumentVersionId ?? [])),
  ])
  const none = new Map<string, [number, number][]>()
  const traces = withTraces ? await tracesOf(db, 'water', ids) : none
  const scaled = await scaledRuns(db, ids)
  const scaleTraces = withTraces && scaled.size > 0 ? await tracesOf(db, 'scale', [...scaled]) : none
  return rows.map((row) =>
    found(row, {
      parts: parts.get(row.run.setupVersionId) ?? [],
      measurements: measurements.get(row.run.id) ?? [],
      events: events.get(row.run.id) ?? [],
      takeBurnShare: answered(row.run.id, 'fuelToBoil') === 'shareOfBurnTime',
      boilBy: boilDecision(answered(row.run.id, 'boil')),
      instruments,
      trace: traces.get(row.run.id) ?? [],
      scaleTrace: scaleTraces.get(row.run.id) ?? [],
      scaled: scaled.has(row.run.id),
    }),
  )
}

const boilDecision = (answer: string | null): StoredRun['boilBy'] =>
  answer === 'call' || answer === 'trace' ? answer : null

interface NamedInstrument {
  id: string
  name: string
  properties: InstrumentProperties
}

async function instrumentVersions(db: Connection, ids: string[]): Promise<NamedInstrument[]> {
  if (ids.length === 0) return []
  const rows = await db
    .select({ id: thingVersion.id, name: thing.name, properties: thingVersion.properties })
    .from(thingVersion)
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(anyOf(thingVersion.id, ids))
  return rows as NamedInstrument[]
}

interface RunRow {
  run: typeof run.$inferSelect
  person: string
  place: string | null
  placeVersion: typeof placeVersion.$inferSelect | null
  setup: string
  setupId: string
  setupN: number
  heatHash: string
  method: { id: string | null; name: string | null; n: number | null; body: MethodBody | null }
  container: string | null
  fuelBatch: typeof fuelBatch.$inferSelect | null
  fuel: typeof fuel.$inferSelect | null
}

interface Facts {
  parts: Awaited<ReturnType<typeof partsOf>>
  measurements: Awaited<ReturnType<typeof currentMeasurements>>
  events: Awaited<ReturnType<typeof currentEvents>>
  takeBurnShare: boolean
  boilBy: StoredRun['boilBy']
  instruments: readonly NamedInstrument[]
  trace: [number, number][]
  scaleTrace: [number, number][]
  scaled: boolean
}

function found(
  row: RunRow,
  { parts, measurements, events, takeBurnShare, boilBy, instruments, trace, scaleTrace, scaled }: Facts,
): FoundRun {
  const { id } = row.run
  const record: RunRecord = {
    id,
    origin: row.run.origin,
    kind: row.run.kind,
    state: row.run.state,
    startedAt: row.run.startedAt.toISOString(),
    zone: row.run.zone,
    notes: row.run.notes,
    revision: row.run.revision,
    setting: row.run.setting,
    breakIn: row.run.breakIn,
    method: row.method.id === null ? null : { id: row.method.id, name: row.method.name!, n: row.method.n! },
    container: row.container === null ? null : { id: row.run.containerId!, name: row.container },
    personId: row.run.personId,
    person: row.person,
    placeId: row.placeVersion?.placeId ?? null,
    place: row.place,
    fuelId: row.fuel?.id ?? null,
    setup: row.setup,
    setupId: row.setupId,
    setupN: row.setupN,
    fuel: row.fuel?.name ?? null,
    batch: row.fuelBatch?.name ?? null,
    placeAltitudeM: row.placeVersion?.altitudeM ?? null,
    takeBurnShare,
    parts: parts.map(({ role, name, properties }) => ({ role, name, properties })),
    measurements: measurements.map(({ quantity, value, typed, typedUnit, correction, instrumentVersionId }) => ({
      quantity,
      value,
      typed,
      unit: typedUnit,
      correction,
      instrument: instruments.find((one) => one.id === instrumentVersionId)?.name ?? null,
    })),
    events: events.map(({ id, kind, atMs, payload }) => ({
      id,
      kind,
      atMs,
      reason: payload.reason ?? null,
      massG: payload.massG ?? null,
      waterC: payload.waterC ?? null,
    })),
    history: [],
  }
  const readBy = (...quantities: string[]) => {
    const version = measurements.find(
      (one) => quantities.includes(one.quantity) && one.instrumentVersionId !== null,
    )?.instrumentVersionId
    const properties = instruments.find((one) => one.id === version)?.properties
    return properties === undefined
      ? null
      : { resolution: properties.resolution, accuracy: properties.accuracy ?? null }
  }
  const property = <T>(role: string) => (parts.find((one) => one.role === role)?.properties ?? null) as T | null
  const burner = property<BurnerProperties>('burner')
  // A rehearsal's time is its stove's, however fast it ran.
  const pace = row.run.bench?.rehearsal?.choice.speed ?? 1
  const atPace = (samples: [number, number][]) =>
    pace === 1 ? samples : samples.map(([s, value]): [number, number] => [s * pace, value])
  const stored: StoredRun = {
    id,
    setup: row.setup,
    origin: row.run.origin,
    kind: row.run.kind,
    placeAltitudeM: row.placeVersion?.altitudeM ?? null,
    placeWindHeightM: row.placeVersion?.windHeightM ?? null,
    placeStationPressurePa: row.placeVersion?.stationPressurePa ?? null,
    placeSeaLevelPressurePa: row.placeVersion?.seaLevelPressurePa ?? null,
    scale: readBy('fuelBefore', 'fuelAfter', 'fuelUsed', 'fuelLoad', 'fuelLeftover'),
    thermometer: readBy('waterStart'),
    boilBy,
    setting: row.run.setting,
    measured: Object.fromEntries(
      measurements.map((one) => [one.quantity, { value: one.value, dimension: unitOf(one.typedUnit).dimension }]),
    ),
    burner: burner === null ? null : { kind: burner.burner, head: burner.head },
    pot: property<PotProperties>('pot'),
    lid: parts.some((one) => one.role === 'lid'),
    screen: property<ScreenProperties>('screen')?.form ?? 'none',
    fuel:
      row.fuel === null
        ? null
        : {
            kind: row.fuel.kind,
            lhvJPerKg: row.fuelBatch?.lhvJPerKg ?? null,
            densityKgPerM3: row.fuelBatch?.densityKgPerM3 ?? null,
          },
    takeBurnShare,
    events: events.map(({ kind, atMs, payload }) => ({
      kind,
      s: (atMs * pace) / 1000,
      massG: payload.massG ?? null,
      waterC: payload.waterC ?? null,
      reason: payload.reason ?? null,
    })),
    trace: atPace(trace),
    scaleTrace: atPace(scaleTrace),
    given: row.run.given,
  }
  return {
    record,
    stored,
    scaled,
    method: row.method.body,
    heatHash: row.heatHash,
    seriesKey: row.run.seriesKey,
    apart: row.run.seriesKey === id,
  }
}

const partsOf = (db: Connection, setupVersionIds: string[]) =>
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
