import { doublePrecision, index, jsonb, pgTable, text } from 'drizzle-orm/pg-core'
import type { FoundQuestion } from '../../../core/compare/found'

/** Questions that the runs answer, found and answered in the background: worked out from the facts. */
export const foundQuestion = pgTable(
  'found_question',
  {
    key: text('key').primaryKey(),
    /** Series that it rests on: when one of them changes, it is answered anew. */
    series: text('series').array().notNull(),
    kind: text('kind').$type<FoundQuestion['kind']>().notNull(),
    p: doublePrecision('p'),
    question: jsonb('question').$type<FoundQuestion>().notNull(),
  },
  (table) => [index('found_question_of_series').using('gin', table.series)],
)
