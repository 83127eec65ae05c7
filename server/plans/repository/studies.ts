/** Studies with their arms, blocks and planned runs. */
import { and, asc, desc, eq, inArray, notInArray, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import {
  arm,
  block,
  person,
  plannedRun,
  run,
  runSummary,
  setup,
  setupVersion,
  study,
  studyChange,
} from '../../database/schema'

export type StudyRow = typeof study.$inferSelect
type ArmRow = typeof arm.$inferSelect
export type PlannedRow = typeof plannedRun.$inferSelect & { n: number }

export const studyRows = (db: Connection): Promise<StudyRow[]> => db.select().from(study).orderBy(desc(study.createdAt))

/** Locked, where it is to be changed; null: there is none. */
export async function studyRow(db: Connection, id: string): Promise<StudyRow | null> {
  const [row] = await db.select().from(study).where(eq(study.id, id))
  return row ?? null
}
export async function lockStudy(tx: Connection, id: string): Promise<StudyRow | null> {
  const [row] = await tx.select().from(study).where(eq(study.id, id)).for('update')
  return row ?? null
}

export type ArmLine = ArmRow & { setupId: string; name: string }
const ARM = {
  id: arm.id,
  studyId: arm.studyId,
  letter: arm.letter,
  setupVersionId: arm.setupVersionId,
  setupId: setup.id,
  name: setup.name,
}
const armLines = (db: Connection) =>
  db
    .select(ARM)
    .from(arm)
    .innerJoin(setupVersion, eq(setupVersion.id, arm.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .orderBy(asc(arm.letter))
    .$dynamic()
export const armRows = (db: Connection, studyId: string): Promise<ArmLine[]> =>
  armLines(db).where(eq(arm.studyId, studyId))
/** Of all. */
export const armsOfStudies = (db: Connection): Promise<ArmLine[]> => armLines(db)

/** In their order, with the number of their block. */
export async function plannedRows(db: Connection, studyId: string): Promise<PlannedRow[]> {
  const rows = await db
    .select({ planned: plannedRun, n: block.n })
    .from(plannedRun)
    .innerJoin(block, eq(block.id, plannedRun.blockId))
    .where(eq(plannedRun.studyId, studyId))
    .orderBy(asc(plannedRun.position))
  return rows.map(({ planned, n }) => ({ ...planned, n }))
}

/** A run that is burning or was burned, and was not made void. */
const COUNTS = sql`${run.state} in ('live', 'finished') and ${runSummary.voided} is not true`

/** The newest run that was burned for each planned one and counts, by its id. */
export async function burnedFor(db: Connection, studyId: string): Promise<Map<string, string>> {
  const rows = await db
    .selectDistinctOn([run.plannedRunId], { plannedId: run.plannedRunId, runId: run.id })
    .from(run)
    .innerJoin(plannedRun, eq(plannedRun.id, run.plannedRunId))
    .leftJoin(runSummary, eq(runSummary.runId, run.id))
    .where(and(eq(plannedRun.studyId, studyId), COUNTS))
    .orderBy(run.plannedRunId, desc(run.startedAt))
  return new Map(rows.map(({ plannedId, runId }) => [plannedId!, runId]))
}

/** How many runs each study has, and how many of them were burned. */
export async function countsOfStudies(db: Connection): Promise<Map<string, { runs: number; burned: number }>> {
  const { rows } = await db.execute<{ id: string; runs: number; burned: number }>(sql`
    select p.study_id as id, count(*)::int as runs, count(*) filter (where exists (
      select 1 from run left join run_summary on run_summary.run_id = run.id
      where run.planned_run_id = p.id and ${COUNTS}))::int as burned
    from planned_run p group by p.study_id`)
  return new Map(rows.map(({ id, ...counts }) => [id, counts]))
}

export const changeRows = (
  db: Connection,
  studyId: string,
): Promise<{ what: string; person: string | null; at: Date }[]> =>
  db
    .select({ what: studyChange.what, person: person.name, at: studyChange.changedAt })
    .from(studyChange)
    .leftJoin(person, eq(person.id, studyChange.personId))
    .where(eq(studyChange.studyId, studyId))
    .orderBy(asc(studyChange.changedAt))

export async function insertStudy(tx: Connection, row: typeof study.$inferInsert): Promise<void> {
  await tx.insert(study).values(row)
}
export async function updateStudy(tx: Connection, id: string, set: Partial<StudyRow>): Promise<void> {
  await tx.update(study).set(set).where(eq(study.id, id))
}
export async function insertArms(tx: Connection, rows: (typeof arm.$inferInsert)[]): Promise<void> {
  await tx.insert(arm).values(rows)
}
export async function insertChange(tx: Connection, row: typeof studyChange.$inferInsert): Promise<void> {
  await tx.insert(studyChange).values(row)
}

/** Those that were not burned give way. */
export async function removePlanned(tx: Connection, studyId: string, ids: readonly string[]): Promise<void> {
  if (ids.length > 0) await tx.delete(plannedRun).where(inArray(plannedRun.id, [...ids]))
  const used = tx.select({ id: plannedRun.blockId }).from(plannedRun).where(eq(plannedRun.studyId, studyId))
  await tx.delete(block).where(and(eq(block.studyId, studyId), notInArray(block.id, used)))
}
export async function removeArms(tx: Connection, studyId: string): Promise<void> {
  await tx.delete(arm).where(eq(arm.studyId, studyId))
}
export async function insertPlanned(
  tx: Connection,
  blocks: (typeof block.$inferInsert)[],
  runs: (typeof plannedRun.$inferInsert)[],
): Promise<void> {
  if (blocks.length > 0) await tx.insert(block).values(blocks)
  if (runs.length > 0) await tx.insert(plannedRun).values(runs)
}
export async function setPosition(tx: Connection, id: string, position: number): Promise<void> {
  await tx.update(plannedRun).set({ position }).where(eq(plannedRun.id, id))
}

/** With all that belongs to it. Runs that were stopped and voided stay, and point to nothing. */
export async function removeStudy(tx: Connection, id: string): Promise<void> {
  const own = tx.select({ id: plannedRun.id }).from(plannedRun).where(eq(plannedRun.studyId, id))
  await tx.update(run).set({ plannedRunId: null }).where(inArray(run.plannedRunId, own))
  await tx.delete(plannedRun).where(eq(plannedRun.studyId, id))
  await tx.delete(block).where(eq(block.studyId, id))
  await tx.delete(arm).where(eq(arm.studyId, id))
  await tx.delete(studyChange).where(eq(studyChange.studyId, id))
  await tx.delete(study).where(eq(study.id, id))
}
