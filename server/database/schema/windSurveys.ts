import { index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core'
import type { SurveyCell } from '../../../shared/windSurvey'
import { createdAt, id } from './columns'
import { person } from './people'
import { place } from './places'

/**
 * What a fan does at each station and step: measured before a wind series, never changed. The newest of a place is what
 * holds there.
 */
export const windSurvey = pgTable(
  'wind_survey',
  {
    id: id(),
    placeId: uuid('place_id')
      .notNull()
      .references(() => place.id),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    fan: text('fan').notNull(),
    cells: jsonb('cells').$type<SurveyCell[]>().notNull(),
    createdAt: createdAt(),
  },
  (table) => [index('wind_survey_of_place').on(table.placeId, table.createdAt)],
)
