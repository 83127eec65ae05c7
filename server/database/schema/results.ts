import { jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import type { ReduceAnswer } from '../../../core/formats/answer'
import { createdAt } from './columns'
import { run } from './runs'

/** A cache, never truth: the answer for one run, one set of options, one input and one version of the core. */
export const result = pgTable(
  'result',
  {
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    optionsHash: text('options_hash').notNull(),
    inputHash: text('input_hash').notNull(),
    coreVersion: text('core_version').notNull(),
    json: jsonb('json').$type<ReduceAnswer>().notNull(),
    createdAt: createdAt(),
  },
  (table) => [primaryKey({ columns: [table.runId, table.optionsHash] })],
)
