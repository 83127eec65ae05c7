import {
  bigint,
  boolean,
  check,
  customType,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import type { ObservationScale } from '../../../shared/observation'
import { createdAt, id } from './columns'
import { person } from './people'
import { run } from './runs'
import { setup, thing } from './things'

const bytea = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'bytea' })

/** What was seen, on a scale whose every step has words. Another look is a new row that supersedes. */
export const observation = pgTable(
  'observation',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    scale: text('scale').$type<ObservationScale>().notNull(),
    step: text('step').notNull(),
    note: text('note').notNull().default(''),
    atMs: bigint('at_ms', { mode: 'number' }),
    supersedesId: uuid('supersedes_id')
      .unique()
      .references((): AnyPgColumn => observation.id),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('observation_by_run').on(table.runId)],
)

/** A picture of a run, a thing or a set-up: upright, and without where it was taken. */
export const photo = pgTable(
  'photo',
  {
    id: id(),
    runId: uuid('run_id').references(() => run.id),
    thingId: uuid('thing_id').references(() => thing.id),
    setupId: uuid('setup_id').references(() => setup.id),
    type: text('type').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    bytes: bytea('bytes').notNull(),
    thumbnail: bytea('thumbnail').notNull(),
    /** Of what was sent: the same again is one photo. */
    sentHash: text('sent_hash').notNull(),
    caption: text('caption').notNull().default(''),
    /** Its moment on the run's clock. */
    atMs: bigint('at_ms', { mode: 'number' }),
    personId: uuid('person_id').references(() => person.id),
    removedAt: timestamp('removed_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  (table) => [
    check('photo_of_one', sql`num_nonnulls(${table.runId}, ${table.thingId}, ${table.setupId}) = 1`),
    index('photo_by_run').on(table.runId),
  ],
)

/** A run taken out of every figure, or brought back: the newest row says which. */
export const runVoid = pgTable(
  'run_void',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    voided: boolean('voided').notNull(),
    reason: text('reason').notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('run_void_by_run').on(table.runId)],
)
