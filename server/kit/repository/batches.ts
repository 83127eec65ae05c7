/** Batches of fuel, what was amended of them, and the fuels they are of. */
import { asc, desc, eq, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { BatchPage } from '../../../shared/kitRecords'
import type { Connection } from '../../database/connection'
import { amendment, container, fuel, fuelBatch, person, price, run } from '../../database/schema'

export type BatchRow = typeof fuelBatch.$inferSelect
type NamedFuel = typeof fuel.$inferSelect

/** By the names of fuel and batch. */
export const batchRows = (db: Connection): Promise<{ batch: BatchRow; fuel: NamedFuel }[]> =>
  db
    .select({ batch: fuelBatch, fuel })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .orderBy(asc(fuel.name), asc(fuelBatch.name))

/** @param lock until the transaction ends */
export async function batchRow(
  db: Connection,
  id: string,
  lock: boolean,
): Promise<{ row: BatchRow; fuel: NamedFuel } | null> {
  const query = db
    .select({ row: fuelBatch, fuel })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, id))
  const [found] = lock ? await query.for('update', { of: fuelBatch }) : await query
  return found ?? null
}

/** How many runs each batch has. */
export async function runsByBatch(db: Connection): Promise<Map<string | null, number>> {
  const rows = await db
    .select({ id: run.fuelBatchId, count: sql<number>`count(*)::int` })
    .from(run)
    .groupBy(run.fuelBatchId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** Newest first. */
export async function amendmentsOf(db: Connection, batchId: string): Promise<BatchPage['amendments']> {
  const rows = await db
    .select({ one: amendment, person: person.name })
    .from(amendment)
    .leftJoin(person, eq(person.id, amendment.personId))
    .where(eq(amendment.subjectId, batchId))
    .orderBy(desc(amendment.recordedAt))
  return rows.map(({ one: { field, was, now, reason, recordedAt }, person: who }) => ({
    field,
    was,
    now,
    reason,
    person: who,
    at: recordedAt.toISOString(),
  }))
}

interface Amended {
  field: string
  was: string
  now: string
  reason: string
  personId: string | null
}
export async function insertAmendments(tx: Connection, batchId: string, amended: readonly Amended[]): Promise<void> {
  await tx
    .insert(amendment)
    .values(amended.map((one) => ({ id: uuidv7(), subject: 'fuelBatch' as const, subjectId: batchId, ...one })))
}

/** Containers that hold of it, by name. */
export const containersOf = (db: Connection, batchId: string): Promise<{ id: string; name: string }[]> =>
  db
    .select({ id: container.id, name: container.name })
    .from(container)
    .where(eq(container.fuelBatchId, batchId))
    .orderBy(asc(container.name))

/** The fuel of this kind and name; made where there is none. */
export async function fuelOf(db: Connection, kind: string, name: string): Promise<string> {
  const rows = await db.select().from(fuel).where(eq(fuel.kind, kind))
  const known = rows.find((row) => row.name === name)
  if (known) return known.id
  const id = uuidv7()
  await db.insert(fuel).values({ id, kind, name })
  return id
}

export async function removeBatch(tx: Connection, id: string): Promise<void> {
  await tx.delete(price).where(eq(price.fuelBatchId, id))
  await tx.delete(fuelBatch).where(eq(fuelBatch.id, id))
}
