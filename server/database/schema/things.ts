import { integer, jsonb, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core'
import type { PartRole, ThingKind, ThingProperties } from '../../../shared/thing'
import { createdAt, id, si } from './columns'

export const thing = pgTable('thing', {
  id: id(), kind: text('kind').$type<ThingKind>().notNull(), name: text('name').notNull(), description: text('description').notNull().default(''), createdAt: createdAt(),
})

/** Immutable and numbered; a new one only for what matters to heat. */
export const thingVersion = pgTable('thing_version', {
  id: id(),
  thingId: uuid('thing_id').notNull().references(() => thing.id),
  n: integer('n').notNull(),
  properties: jsonb('properties').$type<ThingProperties>().notNull(),
  heatHash: text('heat_hash').notNull(),
  createdAt: createdAt(),
}, table => [unique().on(table.thingId, table.n)])

export const setup = pgTable('setup', { id: id(), name: text('name').notNull(), createdAt: createdAt() })

export const setupVersion = pgTable('setup_version', {
  id: id(),
  setupId: uuid('setup_id').notNull().references(() => setup.id),
  n: integer('n').notNull(),
  /** Burner or fuel bed to the pot's base. */
  gapM: si('gap_m'),
  /** A set-up's own series is its runs of one heat hash. */
  heatHash: text('heat_hash').notNull(),
  createdAt: createdAt(),
}, table => [unique().on(table.setupId, table.n)])

export const setupPart = pgTable('setup_part', {
  setupVersionId: uuid('setup_version_id').notNull().references(() => setupVersion.id),
  role: text('role').$type<PartRole>().notNull(),
  thingVersionId: uuid('thing_version_id').notNull().references(() => thingVersion.id),
}, table => [primaryKey({ columns: [table.setupVersionId, table.role] })])
