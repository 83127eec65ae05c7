/** Containers, their ledgers' entries, and what was burned from them. */
import { and, asc, eq, inArray } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { container, containerEntry, fuel, fuelBatch, person, run, runSummary } from '../../database/schema'
import { currentMeasurements } from '../../database/repositories/current'

export type ContainerRow = typeof container.$inferSelect
export type EntryRow = typeof containerEntry.$inferSelect & { person: string | null }

/** By name, with the names of their fuel and batch. */
export const containerRows = (db: Connection) =>
  db
    .select({ row: container, fuel: fuel.name, batch: fuelBatch.name })
    .from(container)
    .innerJoin(fuelBatch, eq(fuelBatch.id, container.fuelBatchId))
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .orderBy(asc(container.name))

/** The names of a batch that is known here. */
export async function batchNames(db: Connection, id: string): Promise<{ fuel: string; batch: string } | null> {
  const [row] = await db
    .select({ fuel: fuel.name, batch: fuelBatch.name })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, id))
  return row ?? null
}

/** Of several containers, oldest first. */
export async function entriesOf(db: Connection, ids: readonly string[]): Promise<EntryRow[]> {
  const rows = await db
    .select({ entry: containerEntry, person: person.name })
    .from(containerEntry)
    .leftJoin(person, eq(person.id, containerEntry.personId))
    .where(inArray(containerEntry.containerId, [...ids]))
    .orderBy(asc(containerEntry.at))
  return rows.map(({ entry, person: who }) => ({ ...entry, person: who }))
}

export interface BurnedFrom {
  id: string
  containerId: string
  startedAt: Date
  /** It boiled, and its fuel is known. */
  boiled: boolean
  /** Readings of fuel as they stand [kg]. */
  fuelKg: ReadonlyMap<string, number>
}

/** Runs burned from several containers. */
export async function burnedFrom(db: Connection, ids: readonly string[]): Promise<BurnedFrom[]> {
  const runs = await db
    .select({ id: run.id, containerId: run.containerId, startedAt: run.startedAt, line: runSummary.line })
    .from(run)
    .leftJoin(runSummary, eq(runSummary.runId, run.id))
    .where(and(inArray(run.containerId, [...ids]), inArray(run.state, ['finished', 'void'])))
  const runIds = runs.map((one) => one.id)
  const measured = runIds.length === 0 ? [] : await currentMeasurements(db, runIds)
  return runs.map(({ id, containerId, startedAt, line }) => ({
    id,
    containerId: containerId!,
    startedAt,
    boiled: line?.ended === 'boiled' && line.gPerL !== null,
    fuelKg: new Map(measured.filter((one) => one.runId === id).map((one) => [one.quantity, one.value])),
  }))
}

/** The same id again is one entry. */
export async function insertEntry(db: Connection, row: typeof containerEntry.$inferInsert): Promise<void> {
  await db.insert(containerEntry).values(row).onConflictDoNothing()
}

export async function removeContainer(tx: Connection, id: string): Promise<void> {
  await tx.delete(containerEntry).where(eq(containerEntry.containerId, id))
  await tx.delete(container).where(eq(container.id, id))
}
