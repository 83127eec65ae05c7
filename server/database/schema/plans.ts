import { doublePrecision, index, integer, jsonb, pgTable, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core'
import type { Level, StudyKind } from '../../../core/plan/study'
import type { HeldOfStudy, StudyDays, StudyState } from '../../../shared/plan'
import { createdAt, id, revision } from './columns'
import { container } from './containers'
import { person } from './people'
import { setupVersion } from './things'

/** A question that is to be burned: what is compared, what is kept the same, and on which days, by whom. */
export const study = pgTable('study', {
  id: id(),
  kind: text('kind').$type<StudyKind>().notNull(),
  state: text('state').$type<StudyState>().notNull().default('planned'),
  /** What is kept the same. */
  held: jsonb('held').$type<HeldOfStudy>().notNull(),
  levels: jsonb('levels').$type<Level[]>().notNull().default([]),
  /** The difference worth seeing, relative. */
  difference: doublePrecision('difference').notNull(),
  /** Runs of each arm at each level. */
  replicates: integer('replicates').notNull(),
  /** By which the order was drawn. */
  seed: integer('seed').notNull(),
  days: jsonb('days').$type<StudyDays>().notNull(),
  revision: revision(),
  personId: uuid('person_id').references(() => person.id),
  createdAt: createdAt(),
})

export const arm = pgTable(
  'arm',
  {
    id: id(),
    studyId: uuid('study_id')
      .notNull()
      .references(() => study.id),
    /** A, B, … */
    letter: text('letter').notNull(),
    setupVersionId: uuid('setup_version_id')
      .notNull()
      .references(() => setupVersion.id),
  },
  (table) => [unique().on(table.studyId, table.letter), index('arm_of_setup_version').on(table.setupVersionId)],
)

/** One run of each arm, by one person at one place: compared within itself. */
export const block = pgTable(
  'block',
  {
    id: id(),
    studyId: uuid('study_id')
      .notNull()
      .references(() => study.id),
    n: integer('n').notNull(),
  },
  (table) => [unique().on(table.studyId, table.n)],
)

export const plannedRun = pgTable(
  'planned_run',
  {
    id: id(),
    studyId: uuid('study_id')
      .notNull()
      .references(() => study.id),
    armId: uuid('arm_id')
      .notNull()
      .references(() => arm.id),
    blockId: uuid('block_id')
      .notNull()
      .references(() => block.id),
    /** Of the study's levels; null: it has none. */
    levelId: text('level_id'),
    /** In the order of the study. */
    position: integer('position').notNull(),
    station: text('station'),
    personId: uuid('person_id').references(() => person.id),
    containerId: uuid('container_id').references(() => container.id),
  },
  (table) => [
    index('planned_run_of_study').on(table.studyId, table.position),
    index('planned_run_of_arm').on(table.armId),
    index('planned_run_of_block').on(table.blockId),
    index('planned_run_of_person').on(table.personId),
    index('planned_run_of_container').on(table.containerId),
  ],
)

/** What was done to a study after it was drawn: reshuffled, moved, made larger. Appended. */
export const studyChange = pgTable(
  'study_change',
  {
    id: id(),
    studyId: uuid('study_id')
      .notNull()
      .references(() => study.id),
    what: text('what').notNull(),
    personId: uuid('person_id').references(() => person.id),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('study_change_of_study').on(table.studyId)],
)
