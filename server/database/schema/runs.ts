import {
  bigint,
  boolean,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import type { Origin, Setting, TestKind } from '../../../core/formats/document'
import type { UnitSystem } from '../../../core/quantity/kinds'
import type { MarkPayload } from '../../../core/run/benchStep'
import type { GivenByDocument } from '../../../core/formats/toRunDocument'
import type { EventKind } from '../../../core/run/events'
import type { RehearsalScene } from '../../../core/simulate/rehearsal'
import type { LaneName } from '../../../shared/lanes'
import type { MeasuredQuantity } from '../../../shared/measuredQuantity'
import type { ReadingInstrument } from '../../../shared/typedRun'
import { createdAt, id, si } from './columns'
import { container } from './containers'
import { device } from './devices'
import { fuelBatch } from './fuels'
import { tableImport } from './imports'
import { feed } from './instruments'
import { methodVersion } from './methods'
import { person } from './people'
import { placeVersion } from './places'
import { plannedRun } from './plans'
import { setupVersion, thingVersion } from './things'

/** With a press that made no event of its own: why, and which event it joined. */
export type EventPayload = MarkPayload & { press?: 'twin' | 'double' | 'already'; ofId?: string }

export type RunState = 'draft' | 'live' | 'finished' | 'void'

export const run = pgTable(
  'run',
  {
    id: id(),
    origin: text('origin').$type<Origin>().notNull(),
    kind: text('kind').$type<TestKind>().notNull(),
    state: text('state').$type<RunState>().notNull(),
    setupVersionId: uuid('setup_version_id')
      .notNull()
      .references(() => setupVersion.id),
    fuelBatchId: uuid('fuel_batch_id').references(() => fuelBatch.id),
    /** The version it was done by; null: logged before there were methods, or by none. */
    methodVersionId: uuid('method_version_id').references(() => methodVersion.id),
    containerId: uuid('container_id').references((): AnyPgColumn => container.id),
    /** Of the valve. */
    setting: text('setting').$type<Setting>(),
    /** The first burn of a new burner: kept, and left out of figures. */
    breakIn: boolean('break_in').notNull().default(false),
    placeVersionId: uuid('place_version_id').references(() => placeVersion.id),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
    zone: text('zone').notNull(),
    notes: text('notes').notNull().default(''),
    revision: integer('revision').notNull().default(1),
    /** The lane it stands on, or stood on, and what its readings are taken with there; null: it was logged. */
    lane: text('lane').$type<LaneName>(),
    bench: jsonb('bench').$type<RunBench>(),
    /** What of a study it was burned for; null: nothing was planned. */
    plannedRunId: uuid('planned_run_id').references((): AnyPgColumn => plannedRun.id),
    /** The file it came in with; null: it was burned or logged here. */
    importId: uuid('import_id').references((): AnyPgColumn => tableImport.id),
    /** What its document gave that no reading here holds: a heat loss, uncertainties of its own. */
    given: jsonb('given').$type<GivenByDocument>(),
    /**
     * Runs whose figures rest on each other have one: one heat hash, one fuel, one origin; its own id, where it stands
     * apart. Kept by server/runs/series.ts.
     */
    seriesKey: text('series_key'),
    /** Hash of what was sent first: the same again is acknowledged, another is refused. */
    bodyHash: text('body_hash').notNull(),
    createdAt: createdAt(),
  },
  (table) => [
    index('run_by_start').on(table.startedAt),
    index('run_by_import').on(table.importId),
    index('run_by_series').on(table.seriesKey),
    index('run_by_setup_version').on(table.setupVersionId),
    index('run_by_fuel_batch').on(table.fuelBatchId),
    index('run_by_place_version').on(table.placeVersionId),
    index('run_by_method_version').on(table.methodVersionId),
    index('run_by_container').on(table.containerId),
    index('run_by_planned_run').on(table.plannedRunId),
    uniqueIndex('run_one_a_lane')
      .on(table.lane)
      .where(sql`state in ('draft', 'live')`),
  ],
)

export interface RunBench {
  units: UnitSystem
  instruments: Partial<Record<ReadingInstrument, string>>
  armedAtMs: number
  rehearsal?: RehearsalScene
}

/** A reading. A correction is a new row that supersedes; the current value is the one not superseded. */
export const measurement = pgTable(
  'measurement',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    quantity: text('quantity').$type<MeasuredQuantity>().notNull(),
    value: si('value').notNull(),
    u: si('u'),
    typed: text('typed').notNull(),
    typedUnit: text('typed_unit').notNull(),
    /** What it was read by, and what its last check added to the reading [SI]; `value` holds the sum. */
    instrumentVersionId: uuid('instrument_version_id').references(() => thingVersion.id),
    correction: si('correction'),
    atMs: bigint('at_ms', { mode: 'number' }),
    supersedesId: uuid('supersedes_id')
      .unique()
      .references((): AnyPgColumn => measurement.id),
    reason: text('reason'),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('measurement_by_run').on(table.runId),
    index('measurement_corrections')
      .on(table.runId)
      .where(sql`supersedes_id is not null`),
  ],
)

/** The id is the idempotency key; an undo is a superseding, voided row. */
export const event = pgTable(
  'event',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    seq: integer('seq').notNull(),
    kind: text('kind').$type<EventKind>().notNull(),
    /** Milliseconds from the run's clock zero. */
    atMs: bigint('at_ms', { mode: 'number' }).notNull(),
    wallAt: timestamp('wall_at', { withTimezone: true }),
    monoMs: doublePrecision('mono_ms'),
    /** The stretch of the device's monotonic clock, and the device. */
    clockSession: text('clock_session'),
    deviceId: uuid('device_id').references(() => device.id),
    source: text('source').notNull(),
    payload: jsonb('payload').$type<EventPayload>().notNull(),
    supersedesId: uuid('supersedes_id')
      .unique()
      .references((): AnyPgColumn => event.id),
    voided: boolean('voided').notNull().default(false),
    reason: text('reason'),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.runId, table.seq),
    index('event_corrections')
      .on(table.runId)
      .where(sql`supersedes_id is not null`),
  ],
)

export const trace = pgTable(
  'trace',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    channel: text('channel').notNull(),
    unit: text('unit').notNull(),
    fileHash: text('file_hash'),
    importId: uuid('import_id').references((): AnyPgColumn => tableImport.id),
    /** The instrument that sends it. */
    feedId: uuid('feed_id').references((): AnyPgColumn => feed.id),
    /** The import it came with was undone. */
    removedAt: timestamp('removed_at', { withTimezone: true }),
  },
  (table) => [
    uniqueIndex('trace_one_a_channel')
      .on(table.runId, table.channel)
      .where(sql`removed_at is null`),
  ],
)

/** At most 4 096 samples, immutable. */
export const traceChunk = pgTable(
  'trace_chunk',
  {
    id: id(),
    traceId: uuid('trace_id')
      .notNull()
      .references(() => trace.id),
    seq: integer('seq').notNull(),
    firstMs: bigint('first_ms', { mode: 'number' }).notNull(),
    lastMs: bigint('last_ms', { mode: 'number' }).notNull(),
    tMs: integer('t_ms').array().notNull(),
    v: doublePrecision('v').array().notNull(),
    hash: text('hash').notNull(),
  },
  (table) => [unique().on(table.traceId, table.seq), index('trace_chunk_by_time').on(table.traceId, table.lastMs)],
)

/** What a person decided about a run, with the reason: a share of burn time taken, a warning overridden. */
export const decision = pgTable(
  'decision',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    question: text('question').notNull(),
    answer: text('answer').notNull(),
    reason: text('reason'),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('decision_by_run').on(table.runId)],
)
