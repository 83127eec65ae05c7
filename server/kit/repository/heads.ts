/** The row that a record of the kit has for itself, beside its versions. */
import { eq, type InferInsertModel } from 'drizzle-orm'
import type { PgTable } from 'drizzle-orm/pg-core'
import type { Connection } from '../../database/connection'
import { container, fuelBatch, method, place, setup, thing } from '../../database/schema'

type HeadTable = typeof container | typeof fuelBatch | typeof method | typeof place | typeof setup | typeof thing
export interface Head {
  id: string
  /** What stood; null: it is new. */
  standing: { row: { revision: number } } | null
}

/** New, or with its next revision. */
const keepIn =
  <T extends HeadTable>(table: T) =>
  async (tx: Connection, { id, standing }: Head, values: Omit<InferInsertModel<T>, 'id' | 'revision'>) => {
    const any = table as PgTable
    if (standing === null) await tx.insert(any).values({ id, ...values })
    else
      await tx
        .update(any)
        .set({ ...values, revision: standing.row.revision + 1 })
        .where(eq(table.id, id))
  }

/** Null: there is none of this id; `lock`: until the transaction ends. */
const findIn =
  <T extends HeadTable>(table: T) =>
  async (db: Connection, id: string, lock = false): Promise<T['$inferSelect'] | null> => {
    const query = db
      .select()
      .from(table as PgTable)
      .where(eq(table.id, id))
    const [row] = lock ? await query.for('update') : await query
    return (row as T['$inferSelect'] | undefined) ?? null
  }

export const containerRow = findIn(container)
export const methodRow = findIn(method)
export const placeRow = findIn(place)
export const setupRow = findIn(setup)
export const thingRow = findIn(thing)

export const keepContainerRow = keepIn(container)
export const keepBatchRow = keepIn(fuelBatch)
export const keepMethodRow = keepIn(method)
export const keepPlaceRow = keepIn(place)
export const keepSetupRow = keepIn(setup)
export const keepThingRow = keepIn(thing)
