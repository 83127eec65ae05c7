import { check, date, doublePrecision, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import type { TypedFields } from '../../../shared/fields'
import { createdAt, id, retiredAt, revision, si } from './columns'
import { person } from './people'
import { thing } from './things'

/** `kind` is one of the built-in fuels; a batch may carry measured properties of its own. */
export const fuel = pgTable('fuel', {
  id: id(),
  kind: text('kind').notNull(),
  name: text('name').notNull(),
  createdAt: createdAt(),
})

export const fuelBatch = pgTable(
  'fuel_batch',
  {
    id: id(),
    fuelId: uuid('fuel_id')
      .notNull()
      .references(() => fuel.id),
    name: text('name').notNull(),
    openedOn: date('opened_on'),
    storage: text('storage').notNull().default(''),
    composition: text('composition').notNull().default(''),
    lhvJPerKg: si('lhv_j_per_kg'),
    densityKgPerM3: si('density_kg_per_m3'),
    /** Where the heating value and the density come from: required beside them. */
    source: text('source').notNull().default(''),
    typed: jsonb('typed').$type<TypedFields>().notNull().default({}),
    revision: revision(),
    retiredAt: retiredAt(),
    createdAt: createdAt(),
  },
  (table) => [index('fuel_batch_of_fuel').on(table.fuelId)],
)

/** What one cost from a day on: of a thing, or of so much fuel of a batch. Outside versions: price is not heat. */
export const price = pgTable(
  'price',
  {
    id: id(),
    thingId: uuid('thing_id').references(() => thing.id),
    fuelBatchId: uuid('fuel_batch_id').references(() => fuelBatch.id),
    fromDay: date('from_day').notNull(),
    amount: doublePrecision('amount').notNull(),
    currency: text('currency').notNull(),
    forKg: si('for_kg'),
    createdAt: createdAt(),
  },
  (table) => [check('price_of_one', sql`num_nonnulls(${table.thingId}, ${table.fuelBatchId}) = 1`)],
)

/** A property outside versions that was changed after runs had used it: both values stay. */
export const amendment = pgTable(
  'amendment',
  {
    id: id(),
    subject: text('subject').$type<'fuelBatch' | 'container'>().notNull(),
    subjectId: uuid('subject_id').notNull(),
    field: text('field').notNull(),
    was: text('was').notNull(),
    now: text('now').notNull(),
    reason: text('reason').notNull(),
    personId: uuid('person_id').references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('amendment_by_subject').on(table.subjectId)],
)
