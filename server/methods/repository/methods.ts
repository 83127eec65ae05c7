/** Methods with their versions, and the runs that were done by them. */
import { and, desc, eq, inArray, sql, type SQL } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { method, methodVersion, run, setup, setupVersion } from '../../database/schema'

export type MethodRow = typeof method.$inferSelect
export type MethodVersionRow = typeof methodVersion.$inferSelect

/** Each with its newest version. */
export const methodRows = (db: Connection): Promise<{ method: MethodRow; version: MethodVersionRow }[]> =>
  db
    .selectDistinctOn([method.id], { method, version: methodVersion })
    .from(method)
    .innerJoin(methodVersion, eq(methodVersion.methodId, method.id))
    .orderBy(method.id, desc(methodVersion.n))

/** Newest first. */
export const versionsOfMethod = (db: Connection, methodId: string): Promise<MethodVersionRow[]> =>
  db.select().from(methodVersion).where(eq(methodVersion.methodId, methodId)).orderBy(desc(methodVersion.n))

/** How many runs follow each method. */
export async function runsByMethod(db: Connection): Promise<Map<string, number>> {
  const rows = await db
    .select({ id: methodVersion.methodId, count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(methodVersion, eq(methodVersion.id, run.methodVersionId))
    .groupBy(methodVersion.methodId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** How many runs follow each of these versions. */
export async function runsByVersion(
  db: Connection,
  versionIds: readonly string[],
): Promise<Map<string | null, number>> {
  const rows = await db
    .select({ id: run.methodVersionId, count: sql<number>`count(*)::int` })
    .from(run)
    .where(inArray(run.methodVersionId, [...versionIds]))
    .groupBy(run.methodVersionId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** The condition of runs that follow any version of it. */
export const byMethod = (db: Connection, methodId: string): SQL =>
  inArray(
    run.methodVersionId,
    db.select({ id: methodVersion.id }).from(methodVersion).where(eq(methodVersion.methodId, methodId)),
  )

/** Its newest finished runs, with the names of their set-ups; break-ins are none. */
export const newestRunsBy = (
  db: Connection,
  methodId: string,
  most: number,
): Promise<{ id: string; startedAt: Date; zone: string; setup: string }[]> =>
  db
    .select({ id: run.id, startedAt: run.startedAt, zone: run.zone, setup: setup.name })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .where(and(eq(run.state, 'finished'), eq(run.breakIn, false), byMethod(db, methodId)))
    .orderBy(desc(run.startedAt), desc(run.id))
    .limit(most)

export const copiesOf = (db: Connection, methodId: string): Promise<{ name: string }[]> =>
  db.select({ name: method.name }).from(method).where(eq(method.copiedFromId, methodId))

/** One that ships; it stands where it is known already. */
export async function insertShipped(tx: Connection, row: typeof method.$inferInsert): Promise<void> {
  await tx.insert(method).values(row).onConflictDoNothing()
}

export async function insertMethodVersion(tx: Connection, row: typeof methodVersion.$inferInsert): Promise<void> {
  await tx.insert(methodVersion).values(row)
}

export async function removeMethod(tx: Connection, id: string): Promise<void> {
  await tx.delete(methodVersion).where(eq(methodVersion.methodId, id))
  await tx.delete(method).where(eq(method.id, id))
}
