import { boolean, date, doublePrecision, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import type { Origin } from '../../../core/formats/document'
import type { TraceReading } from '../../../core/formats/traceReading'
import type { Ribbon, RunIds, RunLine } from '../../../shared/runRecord'
import type { RunRemark } from '../../../shared/runList'
import { createdAt, id } from './columns'
import { person } from './people'
import { run } from './runs'

/**
 * The projection that the logbook lists, kept in the transaction of the facts: what it is filtered, sorted and grouped
 * by as columns, the rest as a line. The migration keeps the lines out of the way of a scan (toast_tuple_target).
 */
export const runSummary = pgTable(
  'run_summary',
  {
    runId: uuid('run_id')
      .primaryKey()
      .references(() => run.id),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
    /** At the place. */
    day: date('day').notNull(),
    origin: text('origin').$type<Origin>().notNull(),
    voided: boolean('voided').notNull(),
    /** What the run is of: by its id, and by the name that it has now. */
    setupId: uuid('setup_id').notNull(),
    setup: text('setup').notNull(),
    placeId: uuid('place_id'),
    place: text('place').notNull(),
    fuelId: uuid('fuel_id'),
    fuel: text('fuel').notNull(),
    methodId: uuid('method_id'),
    method: text('method').notNull(),
    personId: uuid('person_id').notNull(),
    person: text('person').notNull(),
    remarks: text('remarks').array().$type<RunRemark[]>().notNull(),
    tags: text('tags')
      .array()
      .notNull()
      .default(sql`'{}'`),
    /** Lower case, for finding. */
    words: text('words').notNull(),
    timeToBoilS: doublePrecision('time_to_boil_s'),
    gPerL: doublePrecision('g_per_l'),
    normalisedGPerL: doublePrecision('normalised_g_per_l'),
    efficiency: doublePrecision('efficiency'),
    burnRateGPerMin: doublePrecision('burn_rate_g_per_min'),
    firepowerW: doublePrecision('firepower_w'),
    line: jsonb('line').$type<Omit<RunLine, 'stale' | 'tags' | 'ribbon' | keyof RunIds>>().notNull(),
    ribbon: jsonb('ribbon').$type<Ribbon>().notNull(),
    coreVersion: text('core_version').notNull(),
    /** The mean of its set-up that it enters: a key of setup_summary. */
    meanKey: text('mean_key'),
  },
  (table) => [
    index('run_summary_by_start').on(table.startedAt, table.runId),
    index('run_summary_of_mean').on(table.meanKey),
    index('run_summary_words').using('gin', sql`${table.words} gin_trgm_ops`),
    index('run_summary_tags').using('gin', table.tags),
    // How many pass, and the first page of one of them: neither reads those of the others.
    index('run_summary_count').on(table.origin, table.voided, table.day),
    index('run_summary_of_setup_id').on(table.setupId, table.startedAt, table.runId),
    index('run_summary_of_place_id').on(table.placeId, table.startedAt, table.runId),
    // The ranking, and the order by name.
    index('run_summary_thriftiest').on(table.normalisedGPerL, table.runId),
    index('run_summary_by_setup').on(sql`${table.setup} collate "und-x-icu"`, table.runId),
    // One tester's, from the thriftiest on, and how many they are.
    index('run_summary_of_person_id').on(table.personId, table.origin, table.voided, table.gPerL, table.runId),
  ],
)

/** What a run's trace said to its figures, and of what it was read: as long as the key stands, so do they and its ribbon. */
export const runReading = pgTable('run_reading', {
  /** No foreign key: checking one waits for whoever corrects the run, who waits for the series. */
  runId: uuid('run_id').primaryKey(),
  key: text('key').notNull(),
  /** Null: it has no trace. */
  reading: jsonb('reading').$type<TraceReading>(),
})

/** A word that a person put on a run; taken off again, it stays with when. */
export const runTag = pgTable(
  'run_tag',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    name: text('name').notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    createdAt: createdAt(),
    removedAt: timestamp('removed_at', { withTimezone: true }),
  },
  (table) => [index('run_tag_by_run').on(table.runId)],
)
