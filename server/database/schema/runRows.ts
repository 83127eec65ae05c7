import { index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { RunLine } from '../../../shared/runRecord'
import { run } from './runs'

/** The projection that the list of runs reads, kept in the same transaction as the facts. */
export const runRow = pgTable('run_row', {
  runId: uuid('run_id').primaryKey().references(() => run.id),
  startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
  line: jsonb('line').$type<RunLine>().notNull(),
  coreVersion: text('core_version').notNull(),
}, table => [index('run_row_by_start').on(table.startedAt)])
