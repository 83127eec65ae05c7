import { integer, jsonb, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core'
import type { TypedFields } from '../../../shared/fields'
import { createdAt, id, revision, si } from './columns'

export const place = pgTable('place', {
  id: id(),
  name: text('name').notNull(),
  zone: text('zone').notNull(),
  revision: revision(),
  createdAt: createdAt(),
})

export const placeVersion = pgTable(
  'place_version',
  {
    id: id(),
    placeId: uuid('place_id')
      .notNull()
      .references(() => place.id),
    n: integer('n').notNull(),
    altitudeM: si('altitude_m'),
    /** Pressure there, as read there, or as a weather report gives it: reduced to sea level. */
    stationPressurePa: si('station_pressure_pa'),
    seaLevelPressurePa: si('sea_level_pressure_pa'),
    /** Height at which wind is usually measured there; null: at the pot. */
    windHeightM: si('wind_height_m'),
    typed: jsonb('typed').$type<TypedFields>().notNull().default({}),
    createdAt: createdAt(),
  },
  (table) => [unique().on(table.placeId, table.n)],
)
