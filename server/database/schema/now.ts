import { boolean, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { NowQuantity } from '../../../shared/nowConditions'
import { si } from './columns'
import { place } from './places'

/** Where the bench stands: one row. */
export const nowPlace = pgTable('now_place', {
  only: boolean('only').primaryKey().default(true),
  placeId: uuid('place_id').references(() => place.id),
})

/** What was last read there. Not a fact of any run: a run keeps its own readings. */
export const nowReading = pgTable('now_reading', {
  quantity: text('quantity').$type<NowQuantity>().primaryKey(),
  value: si('value').notNull(),
  typed: text('typed').notNull(),
  typedUnit: text('typed_unit').notNull(),
  readAt: timestamp('read_at', { withTimezone: true }).notNull().defaultNow(),
})
