/** Runs that stand on the bench. */
import { and, asc, count, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { RehearsalScene } from '../../../core/simulate/rehearsal'
import type { LaneName } from '../../../shared/lanes'
import type { Connection, Database } from '../../database/connection'
import { decision, event, fuel, fuelBatch, measurement, photo, run, runNote, trace } from '../../database/schema'

export type RunOnBench = typeof run.$inferSelect
export type RunState = RunOnBench['state']

const STANDS = inArray(run.state, ['draft', 'live'])

/** Of every lane. */
export async function runsOnBench(db: Connection): Promise<string[]> {
  const rows = await db.select({ id: run.id }).from(run).where(STANDS)
  return rows.map((row) => row.id)
}

export async function takenLanes(db: Connection): Promise<(LaneName | null)[]> {
  const rows = await db.select({ lane: run.lane }).from(run).where(STANDS)
  return rows.map((row) => row.lane)
}

export interface RehearsalOnBench {
  id: string
  lane: LaneName
  scene: RehearsalScene
}
export async function rehearsalsOnBench(db: Connection): Promise<RehearsalOnBench[]> {
  const rows = await db
    .select({ id: run.id, lane: run.lane, bench: run.bench })
    .from(run)
    .where(and(eq(run.origin, 'rehearsal'), STANDS))
  return rows.flatMap(({ id, lane, bench }) => (lane && bench?.rehearsal ? [{ id, lane, scene: bench.rehearsal }] : []))
}

/** One moment of the database. */
export const inOneMoment = <T>(db: Database, read: (tx: Connection) => Promise<T>): Promise<T> =>
  db.transaction(read, { isolationLevel: 'repeatable read', accessMode: 'read only' })

export const statesOf = async (
  db: Connection,
  runIds: readonly string[],
): Promise<{ id: string; state: RunState }[]> =>
  runIds.length === 0
    ? []
    : db
        .select({ id: run.id, state: run.state })
        .from(run)
        .where(inArray(run.id, [...runIds]))

/** What a lane's own row says, beside its run. */
export const laneRows = (db: Connection, runIds: readonly string[]) =>
  db
    .select({ id: run.id, lane: run.lane, bench: run.bench, startedAt: run.startedAt, fuelKind: fuel.kind })
    .from(run)
    .leftJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId))
    .leftJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(inArray(run.id, [...runIds]))

/** In the order they were taken. */
export const notesOfRuns = (db: Connection, runIds: readonly string[]) =>
  db
    .select()
    .from(runNote)
    .where(inArray(runNote.runId, [...runIds]))
    .orderBy(asc(runNote.recordedAt))

/** In the order of the run's clock. */
export const notesOf = (db: Connection, runId: string) =>
  db
    .select({ id: runNote.id, text: runNote.text, atMs: runNote.atMs })
    .from(runNote)
    .where(eq(runNote.runId, runId))
    .orderBy(asc(runNote.atMs))

export async function insertNote(tx: Connection, row: typeof runNote.$inferInsert): Promise<void> {
  await tx.insert(runNote).values(row)
}

/** How many photos in sight each run has. */
export async function photoCounts(db: Connection, runIds: readonly string[]): Promise<Map<string | null, number>> {
  const rows = await db
    .select({ runId: photo.runId, n: count() })
    .from(photo)
    .where(and(inArray(photo.runId, [...runIds]), isNull(photo.removedAt)))
    .groupBy(photo.runId)
  return new Map(rows.map((row) => [row.runId, row.n]))
}

/** Until the transaction ends; null: there is none of this id. */
export async function lockRun(tx: Connection, id: string): Promise<RunOnBench | null> {
  const [found] = await tx.select().from(run).where(eq(run.id, id)).for('update')
  return found ?? null
}

export async function isRun(db: Connection, id: string): Promise<boolean> {
  return (await db.select({ id: run.id }).from(run).where(eq(run.id, id))).length > 0
}

const LANE_LOCK = 7_202_602
/** One at a time takes a lane. */
export async function lockLanes(tx: Connection): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(${LANE_LOCK})`)
}

export async function insertDraft(tx: Connection, row: typeof run.$inferInsert): Promise<void> {
  await tx.insert(run).values(row)
}

export async function setRunState(
  tx: Connection,
  id: string,
  changed: { state: RunState; startedAt?: Date },
): Promise<void> {
  await tx.update(run).set(changed).where(eq(run.id, id))
}

export async function insertEvent(tx: Connection, row: typeof event.$inferInsert): Promise<void> {
  await tx.insert(event).values(row)
}

export async function insertReadings(
  tx: Connection,
  rows: readonly (typeof measurement.$inferInsert)[],
): Promise<void> {
  if (rows.length > 0) await tx.insert(measurement).values([...rows])
}

/** Whether anything was pressed, photographed or sent by an instrument. */
export async function hasMoreThanReadings(db: Connection, runId: string): Promise<boolean> {
  const [pressed] = await db.select({ n: count() }).from(event).where(eq(event.runId, runId))
  const [pictures] = await db.select({ n: count() }).from(photo).where(eq(photo.runId, runId))
  const [followed] = await db.select({ n: count() }).from(trace).where(eq(trace.runId, runId))
  return pressed!.n + pictures!.n + followed!.n > 0
}

/** A draft, with what was read and noted of it. */
export async function removeDraft(tx: Connection, runId: string): Promise<void> {
  for (const table of [runNote, decision, measurement]) await tx.delete(table).where(eq(table.runId, runId))
  await tx.delete(run).where(eq(run.id, runId))
}
