import { integer, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core'
import { createdAt, id, si } from './columns'

export const place = pgTable('place', { id: id(), name: text('name').notNull(), zone: text('zone').notNull(), createdAt: createdAt() })

export const placeVersion = pgTable('place_version', {
  id: id(),
  placeId: uuid('place_id').notNull().references(() => place.id),
  n: integer('n').notNull(),
  altitudeM: si('altitude_m'),
  /** Height at which wind is usually measured there; null: at the pot. */
  windHeightM: si('wind_height_m'),
  createdAt: createdAt(),
}, table => [unique().on(table.placeId, table.n)])
