import { sql } from 'drizzle-orm'
import { doublePrecision, index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { ComparedFacts } from '../../../core/compare/facts'
import type { LotSums } from '../../../core/compare/lotSums'
import type { SetupFlameAnswer } from '../../../core/formats/answer'
import type { Origin, Setting, TestKind } from '../../../core/formats/document'
import { si } from './columns'

export const series = pgTable(
  'series',
  {
    key: text('key').primaryKey(),
    /** Counts up whenever facts behind the figures change: what was cached before then is old. */
    revision: integer('revision').notNull().default(1),
    /** Since when facts behind its rows are newer; null: they stand. Here, so that marking them writes none of them. */
    staleSince: timestamp('stale_since', { withTimezone: true }),
    /** What its runs say together of its flame; null: nothing, or it was not worked out yet. */
    flame: jsonb('flame').$type<SetupFlameAnswer>(),
    /** As of which revision its questions stand; null: never. */
    comparedRevision: integer('compared_revision'),
  },
  (table) => [
    index('series_stale')
      .on(table.staleSince)
      .where(sql`stale_since is not null`),
  ],
)

/**
 * The core's means of the runs of a series, at the Standard bench: one for each kind of test, end temperature, setting,
 * volume, and conventions it is read by. Worked out from the facts.
 */
export const setupSummary = pgTable(
  'setup_summary',
  {
    key: text('key').primaryKey(),
    seriesKey: text('series_key').notNull(),
    /** Hash of the conventions. */
    conventions: text('conventions').notNull(),
    origin: text('origin').$type<Origin>().notNull(),
    fuelKind: text('fuel_kind'),
    kind: text('kind').$type<TestKind>().notNull(),
    endC: si('end_c'),
    setting: text('setting').$type<Setting>(),
    volumeKg: si('volume_kg').notNull(),
    n: integer('n').notNull(),
    meanGPerL: doublePrecision('mean_g_per_l').notNull(),
    meanU: doublePrecision('mean_u').notNull(),
    sdGPerL: doublePrecision('sd_g_per_l'),
    lowGPerL: doublePrecision('low_g_per_l'),
    highGPerL: doublePrecision('high_g_per_l'),
    /** The runs that enter it, and their figures by these conventions. */
    runIds: uuid('run_ids').array().notNull(),
    figuresGPerL: doublePrecision('figures_g_per_l').array().notNull(),
    /** What of its runs is compared; the migration keeps it out of the way of a scan. */
    facts: jsonb('facts').$type<ComparedFacts[]>().notNull().default([]),
    /** The same summed up; null: none of them is compared. */
    sums: jsonb('sums').$type<LotSums>(),
  },
  (table) => [index('setup_summary_of_series').on(table.seriesKey)],
)
