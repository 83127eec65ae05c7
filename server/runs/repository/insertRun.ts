/** A typed run stored whole, and readings stored beside it. */
import { v7 as uuidv7 } from 'uuid'
import { KIND_OF_TEST } from '../../../core/method/method'
import { READ_WITH } from '../../../shared/measuredQuantity'
import type { TypedRun } from '../../../shared/typedRun'
import type { ReadRun } from '../../../shared/readRun'
import type { RunRecord } from '../../../shared/runRecord'
import { unitOf } from '../../../core/quantity/units'
import type { Connection } from '../../database/connection'
import { decision, event, measurement, run } from '../../database/schema'
import type { Instrument } from '../../kit/checks'
import { insertWaterTrace } from '../../database/repositories/traces'
import type { ResolvedRun } from './resolveRun'

/** Stores a typed run whole, in one transaction. False: a run of this id is there already. */
export async function insertTypedRun(
  db: Connection,
  { typed, read, resolved, bodyHash }: { typed: TypedRun; read: ReadRun; resolved: ResolvedRun; bodyHash: string },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const inserted = await tx
      .insert(run)
      .values({ ...runRow(typed, resolved), bodyHash })
      .onConflictDoNothing()
      .returning({ id: run.id })
    if (inserted.length === 0) return false
    const { id: runId, personId } = typed
    await insertMeasurements(
      tx,
      { runId, personId, atMs: Date.parse(typed.startedAt), instruments: resolved.instruments },
      read.measurements,
    )
    const events = eventRows(typed, read, resolved)
    if (events.length > 0) await tx.insert(event).values(events)
    await insertWaterTrace(tx, runId, typed.trace)
    await insertDecisions(tx, typed)
    return true
  })
}

const runRow = (typed: TypedRun, resolved: ResolvedRun) => ({
  id: typed.id,
  origin: 'measured' as const,
  kind: KIND_OF_TEST[typed.test],
  state: 'finished' as const,
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
})

function eventRows({ id: runId, personId, stoppedReason }: TypedRun, read: ReadRun, { method }: ResolvedRun) {
  const target = typeof method?.boil === 'object' ? method.boil.targetC : undefined
  const ordered = [...read.events].sort((a, b) => a.atMs - b.atMs)
  return ordered.map(({ kind, atMs, typed, massG, waterC }, i) => ({
    id: uuidv7(),
    runId,
    personId,
    seq: i + 1,
    kind,
    atMs,
    source: 'typed',
    payload: {
      typed,
      ...(massG === undefined ? {} : { massG }),
      ...(waterC === undefined ? {} : { waterC }),
      ...(kind === 'targetReached' && target !== undefined ? { waterC: target } : {}),
      ...(kind === 'stopped' && stoppedReason ? { reason: stoppedReason } : {}),
    },
  }))
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
