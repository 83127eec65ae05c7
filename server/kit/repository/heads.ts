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

export const keepContainer = keepIn(container)
export const keepBatch = keepIn(fuelBatch)
export const keepMethod = keepIn(method)
export const keepPlace = keepIn(place)
export const keepSetup = keepIn(setup)
export const keepThing = keepIn(thing)
