/** Corrections: rows that supersede; nothing is overwritten. */
import { and, eq, ne, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import type { Quantity } from '../../../core/quantity/parseQuantity'
import type { TypedCorrection } from '../../../shared/correction'
import { isTime } from '../../../shared/correctable'
import type { MeasuredQuantity } from '../../../shared/measuredQuantity'
import type { TypedEventKind } from '../../../shared/typedRun'
import type { HistoryEntry } from '../../../shared/runRecord'
import type { Connection } from '../connection'
import { instrumentOf } from '../../kit/checks'
import { event, measurement, person, run, thingVersion } from '../schema'
import { currentEvents, currentMeasurements } from './current'

/** The run's revision, its row locked until the transaction ends; null where there is no such run. */
export async function lockRevision(tx: Connection, runId: string): Promise<number | null> {
  const [row] = await tx.select({ revision: run.revision }).from(run).where(eq(run.id, runId)).for('update')
  return row?.revision ?? null
}

/** Whether a correction of this id is stored already. */
export async function isStored(tx: Connection, id: string): Promise<boolean> {
  const [one] = await tx.select({ id: measurement.id }).from(measurement).where(eq(measurement.id, id))
  const [other] = one ? [one] : await tx.select({ id: event.id }).from(event).where(eq(event.id, id))
  return Boolean(one ?? other)
}

/** Appends it, superseding what stands, or adding where nothing does. Of a time: the event of that id. */
export async function appendCorrection(
  tx: Connection,
  runId: string,
  typed: TypedCorrection,
  quantity: Quantity,
): Promise<void> {
  if (isTime(typed.what)) await appendEvent(tx, runId, { ...typed, what: typed.what }, quantity)
  else await appendMeasurement(tx, runId, { ...typed, what: typed.what }, quantity)
  await tx
    .update(run)
    .set({ revision: sql`${run.revision} + 1` })
    .where(eq(run.id, runId))
}

async function appendEvent(
  tx: Connection,
  runId: string,
  { id, what, eventId, typed, reason, personId }: TypedCorrection & { what: TypedEventKind },
  quantity: Quantity,
): Promise<void> {
  const standing = (await currentEvents(tx, [runId])).find((one) => one.id === eventId)
  const [last] = await tx
    .select({ seq: sql<number>`max(${event.seq})` })
    .from(event)
    .where(eq(event.runId, runId))
  await tx.insert(event).values({
    id,
    runId,
    seq: (last?.seq ?? 0) + 1,
    kind: what,
    atMs: Math.round(quantity.value * 1000),
    source: 'correction',
    payload: { ...standing?.payload, typed },
    supersedesId: standing?.id ?? null,
    reason,
    personId,
  })
}

async function appendMeasurement(
  tx: Connection,
  runId: string,
  { id, what, reason, personId }: TypedCorrection & { what: MeasuredQuantity },
  quantity: Quantity,
): Promise<void> {
  const standing = (await currentMeasurements(tx, [runId])).find((one) => one.quantity === what)
  const correction = standing?.instrumentVersionId
    ? await correctionOf(tx, { runId, versionId: standing.instrumentVersionId, reading: quantity.value })
    : null
  await tx.insert(measurement).values({
    id,
    runId,
    quantity: what,
    value: quantity.value + (correction ?? 0),
    typed: quantity.typed,
    typedUnit: quantity.unit,
    instrumentVersionId: standing?.instrumentVersionId ?? null,
    correction,
    supersedesId: standing?.id ?? null,
    reason,
    personId,
  })
}

/** What the checks of the instrument that took the reading add to it, as of the run. */
async function correctionOf(
  tx: Connection,
  { runId, versionId, reading }: { runId: string; versionId: string; reading: number },
): Promise<number | null> {
  const [row] = await tx.select({ startedAt: run.startedAt }).from(run).where(eq(run.id, runId))
  const [version] = await tx
    .select({ thingId: thingVersion.thingId })
    .from(thingVersion)
    .where(eq(thingVersion.id, versionId))
  const instrument = await instrumentOf(tx, version!.thingId)
  return instrument?.correctionAt(reading, row!.startedAt.getTime()) ?? null
}

/** What was corrected or added afterwards, oldest first: both values, why, by whom and when. */
export async function historyOf(db: Connection, runId: string): Promise<HistoryEntry[]> {
  const entries = [...(await correctedReadings(db, runId)), ...(await correctedMarks(db, runId))]
  return entries.sort((a, b) => a.at.localeCompare(b.at))
}

async function correctedReadings(db: Connection, runId: string): Promise<HistoryEntry[]> {
  const was = alias(measurement, 'was')
  const rows = await db
    .select({
      what: measurement.quantity,
      now: measurement.typed,
      was: was.typed,
      reason: measurement.reason,
      person: person.name,
      at: measurement.recordedAt,
    })
    .from(measurement)
    .innerJoin(person, eq(person.id, measurement.personId))
    .leftJoin(was, eq(was.id, measurement.supersedesId))
    .where(and(eq(measurement.runId, runId), sql`${measurement.reason} is not null`))
  return rows.map((one) => ({ ...one, reason: one.reason!, at: one.at.toISOString() }))
}

async function correctedMarks(db: Connection, runId: string): Promise<HistoryEntry[]> {
  const was = alias(event, 'was_event')
  const rows = await db
    .select({
      what: event.kind,
      now: event.payload,
      was: was.payload,
      reason: event.reason,
      person: person.name,
      at: event.recordedAt,
    })
    .from(event)
    .innerJoin(person, eq(person.id, event.personId))
    .leftJoin(was, eq(was.id, event.supersedesId))
    .where(and(eq(event.runId, runId), ne(event.source, 'bench'), sql`${event.reason} is not null`))
  return rows.map(({ what, now, was: before, reason, person: who, at }) => ({
    what: what as HistoryEntry['what'],
    now: now.typed ?? '',
    was: before?.typed ?? null,
    reason: reason!,
    person: who,
    at: at.toISOString(),
  }))
}
