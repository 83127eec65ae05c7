import { doublePrecision, index, integer, pgTable, text, uuid } from 'drizzle-orm/pg-core'
import type { Origin, Setting, TestKind } from '../../../core/formats/document'
import { si } from './columns'

/** Counts up whenever facts behind the figures of a series change: what was cached before then is old. */
export const series = pgTable('series', {
  key: text('key').primaryKey(),
  revision: integer('revision').notNull().default(1),
})

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
  },
  (table) => [index('setup_summary_of_series').on(table.seriesKey)],
)
