import { jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core'
import type { TypedFields } from '../../../shared/fields'
import { createdAt, id, retiredAt, revision, si } from './columns'
import { fuelBatch } from './fuels'

/** One physical canister or bottle. */
export const container = pgTable('container', {
  id: id(),
  name: text('name').notNull(),
  fuelBatchId: uuid('fuel_batch_id')
    .notNull()
    .references(() => fuelBatch.id),
  /** Empty, as weighed or as printed; null: found from the first full weighing. */
  tareKg: si('tare_kg'),
  /** Fuel in it when full. */
  fullKg: si('full_kg'),
  typed: jsonb('typed').$type<TypedFields>().notNull().default({}),
  notes: text('notes').notNull().default(''),
  revision: revision(),
  retiredAt: retiredAt(),
  createdAt: createdAt(),
})
