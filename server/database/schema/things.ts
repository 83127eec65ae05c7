import {
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core'
import type { PartRole, ThingKind, ThingProperties } from '../../../shared/thing'
import type { TypedFields } from '../../../shared/fields'
import { createdAt, id, retiredAt, revision, si } from './columns'
import { person } from './people'

export const thing = pgTable('thing', {
  id: id(),
  kind: text('kind').$type<ThingKind>().notNull(),
  name: text('name').notNull(),
  description: text('description').notNull().default(''),
  /** What a home-made change began as. */
  madeFromId: uuid('made_from_id').references((): AnyPgColumn => thing.id),
  revision: revision(),
  retiredAt: retiredAt(),
  createdAt: createdAt(),
})

/** Immutable and numbered; a new one only for what matters to heat. */
export const thingVersion = pgTable(
  'thing_version',
  {
    id: id(),
    thingId: uuid('thing_id')
      .notNull()
      .references(() => thing.id),
    n: integer('n').notNull(),
    properties: jsonb('properties').$type<ThingProperties>().notNull(),
    /** As it was typed, beside the SI values. */
    typed: jsonb('typed').$type<TypedFields>().notNull().default({}),
    heatHash: text('heat_hash').notNull(),
    /** Why there is a new version. */
    reason: text('reason').notNull().default(''),
    createdAt: createdAt(),
  },
  (table) => [unique().on(table.thingId, table.n)],
)

export const setup = pgTable('setup', {
  id: id(),
  name: text('name').notNull(),
  description: text('description').notNull().default(''),
  revision: revision(),
  retiredAt: retiredAt(),
  createdAt: createdAt(),
})

export const setupVersion = pgTable(
  'setup_version',
  {
    id: id(),
    setupId: uuid('setup_id')
      .notNull()
      .references(() => setup.id),
    n: integer('n').notNull(),
    /** Burner or fuel bed to the pot's base. */
    gapM: si('gap_m'),
    gapTyped: text('gap_typed').notNull().default(''),
    /** A set-up's own series is its runs of one heat hash. */
    heatHash: text('heat_hash').notNull(),
    reason: text('reason').notNull().default(''),
    createdAt: createdAt(),
  },
  (table) => [unique().on(table.setupId, table.n), index('setup_version_by_heat').on(table.heatHash)],
)

export const setupPart = pgTable(
  'setup_part',
  {
    setupVersionId: uuid('setup_version_id')
      .notNull()
      .references(() => setupVersion.id),
    role: text('role').$type<PartRole>().notNull(),
    thingVersionId: uuid('thing_version_id')
      .notNull()
      .references(() => thingVersion.id),
  },
  (table) => [
    primaryKey({ columns: [table.setupVersionId, table.role] }),
    index('setup_part_of_thing').on(table.thingVersionId),
  ],
)

/** A warning about a set-up that a person overrode, with the reason. */
export const setupDecision = pgTable(
  'setup_decision',
  {
    id: id(),
    setupVersionId: uuid('setup_version_id')
      .notNull()
      .references(() => setupVersion.id),
    warning: text('warning').notNull(),
    reason: text('reason').notNull(),
    personId: uuid('person_id').references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('setup_decision_by_version').on(table.setupVersionId)],
)

/** What an instrument showed against what was so: its offset corrects later readings. SI. */
export const instrumentCheck = pgTable(
  'instrument_check',
  {
    id: id(),
    thingId: uuid('thing_id')
      .notNull()
      .references(() => thing.id),
    kind: text('kind').$type<'icePoint' | 'boilingPoint' | 'checkWeight' | 'beside'>().notNull(),
    reading: si('reading').notNull(),
    truth: si('truth').notNull(),
    typed: text('typed').notNull(),
    truthTyped: text('truth_typed').notNull(),
    /** A check that was a slip is taken back, not removed. */
    withdrawn: boolean('withdrawn').notNull().default(false),
    note: text('note').notNull().default(''),
    at: timestamp('at', { withTimezone: true }).notNull(),
    personId: uuid('person_id').references(() => person.id),
    createdAt: createdAt(),
  },
  (table) => [index('instrument_check_by_thing').on(table.thingId)],
)
