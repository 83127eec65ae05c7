import { date, pgTable, text, uuid } from 'drizzle-orm/pg-core'
import { createdAt, id, si } from './columns'

/** `kind` is one of the built-in fuels; a batch may carry measured properties of its own. */
export const fuel = pgTable('fuel', { id: id(), kind: text('kind').notNull(), name: text('name').notNull(), createdAt: createdAt() })

export const fuelBatch = pgTable('fuel_batch', {
  id: id(),
  fuelId: uuid('fuel_id').notNull().references(() => fuel.id),
  name: text('name').notNull(),
  openedOn: date('opened_on'),
  lhvJPerKg: si('lhv_j_per_kg'),
  densityKgPerM3: si('density_kg_per_m3'),
  createdAt: createdAt(),
})
