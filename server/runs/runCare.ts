/**
 * What is said of a run after it was burned: void, break-in, decisions, observations. Everything is appended, nothing
 * taken away.
 */
import { and, asc, eq, notExists, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import { readCare, type TypedCare } from '../../shared/runCare'
import type { ObservationLine } from '../../shared/observation'
import type { DecisionLine, RunPage } from '../../shared/runRecord'
import type { Connection } from '../database/connection'
import { lockRevision } from '../database/repositories/corrections'
import { decision, observation, person, run, runVoid } from '../database/schema'
import { invalid, invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { recompute } from './recompute'

/**
 * Does what was asked, in one transaction, and works out anew every figure it moves. The same id again changes nothing.
 */
export async function careForRun(db: Connection, runId: string, input: unknown): Promise<Outcome<null>> {
  const read = readCare(input)
  if (!read.ok) return invalid(read.problems)
  const { typed } = read
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    if ((await lockRevision(tx, runId)) === null) return notFound('run')
    const [who] = await tx.select({ id: person.id }).from(person).where(eq(person.id, typed.personId))
    if (who === undefined) return invalidAt('personId', 'Who: this one is not known here. Choose one from the list.')
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
    await tx
      .update(run)
      .set({ revision: sql`${run.revision} + 1` })
      .where(eq(run.id, runId))
    await recompute(tx, [runId])
  },
  observe: async (tx, runId, { id, scale, step, note, atMs, personId }) => {
    const standing = (await observationRows(tx, runId)).find((one) => one.scale === scale)
    if (standing?.id === id) return
    await tx
      .insert(observation)
      .values({ id, runId, scale: scale!, step, note, atMs, personId, supersedesId: standing?.id ?? null })
      .onConflictDoNothing()
  },
}

const append = async (
  tx: Connection,
  runId: string,
  { id, reason, personId }: TypedCare,
  what: { question: string; answer: string },
): Promise<boolean> =>
  (
    await tx
      .insert(decision)
      .values({ id, runId, ...what, reason, personId })
      .onConflictDoNothing()
      .returning({ id: decision.id })
  ).length > 0

/** Out of every figure, or back into them: its own line, and those of the series it was in. */
async function setVoid(
  tx: Connection,
  runId: string,
  { id, reason, personId }: TypedCare,
  voided: boolean,
): Promise<void> {
  const rows = await tx
    .insert(runVoid)
    .values({ id, runId, voided, reason, personId })
    .onConflictDoNothing()
    .returning({ id: runVoid.id })
  if (rows.length === 0) return
  await tx
    .update(run)
    .set({ state: voided ? 'void' : 'finished', revision: sql`${run.revision} + 1` })
    .where(eq(run.id, runId))
  await recompute(tx, [runId])
}

async function setBreakIn(tx: Connection, runId: string, typed: TypedCare, breakIn: boolean): Promise<void> {
  if (!(await append(tx, runId, typed, { question: 'breakIn', answer: breakIn ? 'yes' : 'no' }))) return
  await tx
    .update(run)
    .set({ breakIn, revision: sql`${run.revision} + 1` })
    .where(eq(run.id, runId))
  await recompute(tx, [runId])
}

/** Everything said of a run, oldest first. */
export async function careOf(
  db: Connection,
  runId: string,
): Promise<Pick<RunPage, 'decisions' | 'voids' | 'observations'>> {
  const decisions = await db
    .select({
      question: decision.question,
      answer: decision.answer,
      reason: decision.reason,
      person: person.name,
      at: decision.recordedAt,
    })
    .from(decision)
    .innerJoin(person, eq(person.id, decision.personId))
    .where(eq(decision.runId, runId))
    .orderBy(asc(decision.recordedAt))
  const voids = await db
    .select({ voided: runVoid.voided, reason: runVoid.reason, person: person.name, at: runVoid.recordedAt })
    .from(runVoid)
    .innerJoin(person, eq(person.id, runVoid.personId))
    .where(eq(runVoid.runId, runId))
    .orderBy(asc(runVoid.recordedAt))
  const dated = <T extends { at: Date }>(rows: T[]) => rows.map((row) => ({ ...row, at: row.at.toISOString() }))
  return {
    decisions: dated(decisions) as DecisionLine[],
    voids: dated(voids),
    observations: await observationRows(db, runId),
  }
}

/** The newest of each scale. */
async function observationRows(db: Connection, runId: string): Promise<ObservationLine[]> {
  const later = alias(observation, 'later')
  const rows = await db
    .select({
      id: observation.id,
      scale: observation.scale,
      step: observation.step,
      note: observation.note,
      atMs: observation.atMs,
      person: person.name,
      at: observation.recordedAt,
    })
    .from(observation)
    .innerJoin(person, eq(person.id, observation.personId))
    .where(
      and(
        eq(observation.runId, runId),
        notExists(db.select().from(later).where(eq(later.supersedesId, observation.id))),
      ),
    )
    .orderBy(asc(observation.recordedAt))
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }))
}
