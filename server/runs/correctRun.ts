/** The service by which a correction comes in. */
import { placePressure } from '../../core/formats/toRunDocument'
import type { Quantity } from '../../core/quantity/parseQuantity'
import { readCorrection, type TypedCorrection } from '../../shared/correction'
import { correctionName, isTime } from '../../shared/correctable'
import type { FieldProblem } from '../../shared/readProblems'
import type { RunRecord } from '../../shared/runRecord'
import type { ReadRun } from '../../shared/readRun'
import { crossCheckReadings } from '../../shared/typedRunChecks'
import type { Connection, Database } from '../database/connection'
import { appendCorrection, isStored, lockRevision } from '../database/repositories/corrections'
import { findRun } from './repository/findRuns'
import { recompute } from './recompute'

export type CorrectOutcome =
  { status: 'corrected' | 'known' } | { status: 'invalid' | 'conflict' | 'notFound'; problems: FieldProblem[] }

/** Appends a correction, unless the run has changed since it was seen, or the readings would contradict each other. */
export async function correctRun(db: Database, runId: string, input: unknown): Promise<CorrectOutcome> {
  const read = readCorrection(input)
  if (!read.ok) return { status: 'invalid', problems: read.problems }
  return db.transaction((tx) => correctIn(tx, runId, read))
}

interface Correction {
  typed: TypedCorrection
  quantity: Quantity
}

async function correctIn(tx: Connection, runId: string, { typed, quantity }: Correction): Promise<CorrectOutcome> {
  const revision = await lockRevision(tx, runId)
  if (revision === null)
    return { status: 'notFound', problems: [{ path: '', text: 'There is no run of this id here.' }] }
  if (await isStored(tx, typed.id)) return { status: 'known' }
  if (revision !== typed.revision) return changedSince(revision, typed.revision)
  const { record, stored } = (await findRun(tx, runId))!
  const event = eventOf(record, typed)
  if (!event.ok) return { status: 'invalid', problems: [{ path: 'eventId', text: event.text }] }
  const after = corrected(record, { typed, quantity }, event.id)
  const problems = crossCheckReadings(after, placePressure(stored), record.kind)
  if (problems.length > 0) {
    const name = correctionName(typed.what)
    return { status: 'invalid', problems: problems.map(({ text }) => ({ path: 'typed', text: `${name}: ${text}` })) }
  }
  await appendCorrection(tx, runId, { ...typed, eventId: event.id }, quantity)
  await recompute(tx, [runId])
  return { status: 'corrected' }
}

function changedSince(revision: number, seen: number): CorrectOutcome {
  const text = `This run was changed since you opened it (revision ${revision}, you saw ${seen}). Nothing was changed; reload, look at both, and correct again.`
  return { status: 'conflict', problems: [{ path: 'revision', text }] }
}

type EventOf = { ok: true; id: string | null } | { ok: false; text: string }

/**
 * The event whose time is corrected; `id` null: none stands, one is added. Where several of a kind stand it must be
 * said which.
 */
function eventOf(record: RunRecord, { what, eventId }: TypedCorrection): EventOf {
  if (!isTime(what)) return { ok: true, id: null }
  const standing = record.events.filter((one) => one.kind === what)
  const name = correctionName(what)
  if (eventId && !standing.some((one) => one.id === eventId))
    return { ok: false, text: `${name}: this time does not stand any more. Reload the run, and correct it again.` }
  if (!eventId && standing.length > 1)
    return {
      ok: false,
      text: `${name} stands ${standing.length} times. Choose the one that is wrong among the readings of the run.`,
    }
  return { ok: true, id: eventId ?? standing[0]?.id ?? null }
}

/** The readings as they would stand. */
function corrected(record: RunRecord, { typed, quantity }: Correction, eventId: string | null): ReadRun {
  const events = record.events
    .filter((one) => one.id !== eventId)
    .map(({ kind, atMs, ...one }) => ({ ...one, kind, atMs, typed: '' })) as ReadRun['events']
  const measurements = record.measurements.filter((one) => one.quantity !== typed.what)
  if (isTime(typed.what)) {
    const moved = { kind: typed.what, atMs: Math.round(quantity.value * 1000), typed: typed.typed }
    return { measurements, events: [...events, moved].sort((a, b) => a.atMs - b.atMs) }
  }
  const { value, typed: text, unit } = quantity
  return { measurements: [...measurements, { quantity: typed.what, value, typed: text, unit }], events }
}
