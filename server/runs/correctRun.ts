/** The door by which a correction comes in. */
import { correctionName, isTime, readCorrection } from '../../shared/correction'
import type { FieldProblem } from '../../shared/readProblems'
import type { ReadRun } from '../../shared/typedRun'
import { crossCheckReadings } from '../../shared/typedRunChecks'
import type { Database } from '../database/connection'
import { appendCorrection, isStored, lockRevision } from '../database/repositories/corrections'
import { findRun } from '../database/repositories/runs'
import { freshen } from './freshen'

export type CorrectOutcome =
  { status: 'corrected' | 'known' } | { status: 'invalid' | 'conflict' | 'notFound'; problems: FieldProblem[] }

/** Appends a correction, unless the run has changed since it was seen, or the readings would contradict each other. */
export async function correctRun(db: Database, runId: string, input: unknown): Promise<CorrectOutcome> {
  const read = readCorrection(input)
  if (!read.ok) return { status: 'invalid', problems: read.problems }
  const { typed, quantity } = read
  return db.transaction(async (tx) => {
    const revision = await lockRevision(tx, runId)
    if (revision === null)
      return { status: 'notFound', problems: [{ path: '', text: 'There is no run of this id here.' }] }
    if (await isStored(tx, typed.id)) return { status: 'known' }
    if (revision !== typed.revision) {
      return {
        status: 'conflict',
        problems: [
          {
            path: 'revision',
            text: `This run was changed since you opened it (revision ${revision}, you saw ${typed.revision}). Nothing was changed; reload, look at both, and correct again.`,
          },
        ],
      }
    }
    const { record } = (await findRun(tx, runId))!
    const after: ReadRun = {
      measurements: record.measurements.filter((one) => one.quantity !== typed.what),
      events: record.events
        .filter((one) => one.kind !== typed.what)
        .map((one) => ({ ...one, typed: '' })) as ReadRun['events'],
    }
    if (isTime(typed.what))
      after.events.push({ kind: typed.what, atMs: Math.round(quantity.value * 1000), typed: typed.typed })
    else
      after.measurements.push({
        quantity: typed.what,
        value: quantity.value,
        typed: quantity.typed,
        unit: quantity.unit,
      })
    const problems = crossCheckReadings(after, record.placeAltitudeM, record.kind)
    if (problems.length > 0)
      return {
        status: 'invalid',
        problems: problems.map(({ text }) => ({ path: 'typed', text: `${correctionName(typed.what)}: ${text}` })),
      }
    await appendCorrection(tx, runId, typed, quantity)
    await freshen(tx, [runId])
    return { status: 'corrected' }
  })
}
