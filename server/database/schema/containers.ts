import { index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { TypedFields } from '../../../shared/fields'
import { createdAt, id, retiredAt, revision, si } from './columns'
import { fuelBatch } from './fuels'
import { person } from './people'
import { run } from './runs'

/** One physical canister or bottle. */
export const container = pgTable('container', {
  id: id(),
  name: text('name').notNull(),
  fuelBatchId: uuid('fuel_batch_id').notNull().references(() => fuelBatch.id),
  /** Empty, as weighed or as printed; null: found from the first full weighing. */
  tareKg: si('tare_kg'),
  /** Fuel in it when full. */
  fullKg: si('full_kg'),
  typed: jsonb('typed').$type<TypedFields>().notNull().default({}),
  notes: text('notes').notNull().default(''),
  revision: revision(), retiredAt: retiredAt(), createdAt: createdAt(),
})

/** A ledger: every weighing. What runs took is theirs to say; the fill is derived. */
export const containerEntry = pgTable('container_entry', {
  id: id(),
  containerId: uuid('container_id').notNull().references(() => container.id),
  runId: uuid('run_id').references(() => run.id),
  kind: text('kind').$type<'full' | 'weighed' | 'filled' | 'empty'>().notNull(),
  /** With what is in it. */
  massKg: si('mass_kg').notNull(),
  typed: text('typed').notNull(),
  note: text('note').notNull().default(''),
  at: timestamp('at', { withTimezone: true }).notNull(),
  personId: uuid('person_id').references(() => person.id),
  createdAt: createdAt(),
}, table => [index('container_entry_by_container').on(table.containerId)])
