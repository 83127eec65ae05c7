/**
 * What is said of a run after it was burned: void, break-in, decisions, observations. Everything is appended, nothing
 * taken away.
 */
import { readCare, type TypedCare } from '../../shared/runCare'
import type { RunPage } from '../../shared/runRecord'
import type { Connection } from '../database/connection'
import { lockRevision } from '../database/repositories/corrections'
import { invalid, invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { findPerson } from '../kit/repository/people'
import { recompute } from './recompute'
import {
  changeRun,
  decisionsOf,
  insertDecision,
  insertObservation,
  insertVoid,
  observationsOf,
  voidsOf,
} from './repository/care'

/**
 * Does what was asked, in one transaction, and works out anew every figure it moves. The same id again changes nothing.
 */
export async function careForRun(db: Connection, runId: string, input: unknown): Promise<Outcome<null>> {
  const read = readCare(input)
  if (!read.ok) return invalid(read.problems)
  const { typed } = read
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    if ((await lockRevision(tx, runId)) === null) return notFound('run')
    if ((await findPerson(tx, typed.personId)) === null)
      return invalidAt('personId', 'Who: this one is not known here. Choose one from the list.')
    await CARES[typed.what](tx, runId, typed)
    return saved(null)
  })
}

const CARES: Record<TypedCare['what'], (tx: Connection, runId: string, typed: TypedCare) => Promise<void>> = {
  void: (tx, runId, typed) => setVoid(tx, runId, typed, true),
  unvoid: (tx, runId, typed) => setVoid(tx, runId, typed, false),
  breakIn: (tx, runId, typed) => setBreakIn(tx, runId, typed, true),
  notBreakIn: (tx, runId, typed) => setBreakIn(tx, runId, typed, false),
  decide: async (tx, runId, typed) => {
    if (!(await append(tx, runId, typed, { question: typed.question, answer: typed.answer }))) return
    await changeRun(tx, runId)
    await recompute(tx, [runId])
  },
  observe: async (tx, runId, { id, scale, step, note, atMs, personId }) => {
    const standing = (await observationsOf(tx, runId)).find((one) => one.scale === scale)
    if (standing?.id === id) return
    const supersedesId = standing?.id ?? null
    await insertObservation(tx, { id, runId, scale: scale!, step, note, atMs, personId, supersedesId })
  },
}

const append = (
  tx: Connection,
  runId: string,
  { id, reason, personId }: TypedCare,
  what: { question: string; answer: string },
): Promise<boolean> => insertDecision(tx, { id, runId, ...what, reason, personId })

/** Out of every figure, or back into them: its own line, and those of the series it was in. */
async function setVoid(
  tx: Connection,
  runId: string,
  { id, reason, personId }: TypedCare,
  voided: boolean,
): Promise<void> {
  if (!(await insertVoid(tx, { id, runId, voided, reason, personId }))) return
  await changeRun(tx, runId, { state: voided ? 'void' : 'finished' })
  await recompute(tx, [runId])
}

async function setBreakIn(tx: Connection, runId: string, typed: TypedCare, breakIn: boolean): Promise<void> {
  if (!(await append(tx, runId, typed, { question: 'breakIn', answer: breakIn ? 'yes' : 'no' }))) return
  await changeRun(tx, runId, { breakIn })
  await recompute(tx, [runId])
}

/** Everything said of a run, oldest first. */
export const careOf = async (
  db: Connection,
  runId: string,
): Promise<Pick<RunPage, 'decisions' | 'voids' | 'observations'>> => ({
  decisions: await decisionsOf(db, runId),
  voids: await voidsOf(db, runId),
  observations: await observationsOf(db, runId),
})
