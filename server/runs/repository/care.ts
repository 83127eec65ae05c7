/** What is said of a run after it was burned. */
import { and, asc, eq, notExists, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import type { ObservationLine } from '../../../shared/observation'
import type { DecisionLine, RunPage } from '../../../shared/runRecord'
import type { Connection } from '../../database/connection'
import { decision, observation, person, run, runVoid } from '../../database/schema'

/** Its next revision, with what is given changed. */
export async function changeRun(
  tx: Connection,
  runId: string,
  changed: Partial<Pick<typeof run.$inferInsert, 'state' | 'breakIn'>> = {},
): Promise<void> {
  await tx
    .update(run)
    .set({ ...changed, revision: sql`${run.revision} + 1` })
    .where(eq(run.id, runId))
}

/** False: it is there already. */
export async function insertDecision(tx: Connection, row: typeof decision.$inferInsert): Promise<boolean> {
  const rows = await tx.insert(decision).values(row).onConflictDoNothing().returning({ id: decision.id })
  return rows.length > 0
}

/** False: it is there already. */
export async function insertVoid(tx: Connection, row: typeof runVoid.$inferInsert): Promise<boolean> {
  const rows = await tx.insert(runVoid).values(row).onConflictDoNothing().returning({ id: runVoid.id })
  return rows.length > 0
}

/** The same id again is one. */
export async function insertObservation(tx: Connection, row: typeof observation.$inferInsert): Promise<void> {
  await tx.insert(observation).values(row).onConflictDoNothing()
}

const dated = <T extends { at: Date }>(rows: readonly T[]) => rows.map((row) => ({ ...row, at: row.at.toISOString() }))

/** Oldest first. */
export async function decisionsOf(db: Connection, runId: string): Promise<DecisionLine[]> {
  const rows = await db
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
  return dated(rows) as DecisionLine[]
}

/** Oldest first. */
export async function voidsOf(db: Connection, runId: string): Promise<RunPage['voids']> {
  const rows = await db
    .select({ voided: runVoid.voided, reason: runVoid.reason, person: person.name, at: runVoid.recordedAt })
    .from(runVoid)
    .innerJoin(person, eq(person.id, runVoid.personId))
    .where(eq(runVoid.runId, runId))
    .orderBy(asc(runVoid.recordedAt))
  return dated(rows)
}

/** The newest of each scale. */
export async function observationsOf(db: Connection, runId: string): Promise<ObservationLine[]> {
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
  return dated(rows)
}
