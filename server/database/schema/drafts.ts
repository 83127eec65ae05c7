import { integer, jsonb, pgTable, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { DraftBody } from '../../../shared/draft'

/** A run being typed, so that it opens again on any device. It may be overwritten; the run that comes of it may not. */
export const draft = pgTable('draft', {
  id: uuid('id').primaryKey(),
  body: jsonb('body').$type<DraftBody>().notNull(),
  revision: integer('revision').notNull(),
  updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
})
