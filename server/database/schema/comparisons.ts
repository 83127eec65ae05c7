import { boolean, doublePrecision, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import type { FoundQuestion } from '../../../core/compare/found'
import type { ClaimedWhat } from '../../../core/formats/comparison'
import type { BeforeAnswer, KeptAnswer } from '../../../shared/comparison'
import type { TypedFields } from '../../../shared/fields'
import { createdAt, id, si } from './columns'
import { person } from './people'
import { setup } from './things'

/** Questions that the runs answer, found and answered in the background: worked out from the facts. */
export const foundQuestion = pgTable(
  'found_question',
  {
    key: text('key').primaryKey(),
    /** Series that it rests on: when one of them changes, it is answered anew. */
    series: text('series').array().notNull(),
    kind: text('kind').$type<FoundQuestion['kind']>().notNull(),
    p: doublePrecision('p'),
    question: jsonb('question').$type<FoundQuestion>().notNull(),
    /** The same question however many runs have come since: by which it finds what it said before. */
    sameAs: text('same_as').notNull().default(''),
    /** Runs that it rests on; of a question of very many, none. */
    runIds: uuid('run_ids')
      .array()
      .notNull()
      .default(sql`'{}'`),
    /** Runs that it rests on since it last moved, and what it said before them. */
    newIds: uuid('new_ids')
      .array()
      .notNull()
      .default(sql`'{}'`),
    before: jsonb('before').$type<BeforeAnswer>(),
  },
  (table) => [
    index('found_question_of_series').using('gin', table.series),
    index('found_question_of_new').using('gin', table.newIds),
  ],
)

/** A question that somebody keeps: where it is asked, and what it said then. */
export const keptQuestion = pgTable('kept_question', {
  id: id(),
  name: text('name').notNull(),
  /** Its page, and what the address names. */
  path: text('path').notNull(),
  query: jsonb('query').$type<Record<string, string>>().notNull(),
  /** As it was kept, whole; and what it says now. */
  kept: jsonb('kept').$type<KeptAnswer>().notNull(),
  now: jsonb('now').$type<KeptAnswer>().notNull(),
  /** What runs alone say that were burned after it was kept; null: there are too few. */
  fresh: jsonb('fresh').$type<KeptAnswer>(),
  keptAt: timestamp('kept_at', { withTimezone: true }).notNull().defaultNow(),
  removedAt: timestamp('removed_at', { withTimezone: true }),
})

/** What a maker says of a set-up, with the conditions that are stated; null: not stated. SI. */
export const claim = pgTable(
  'claim',
  {
    id: id(),
    setupId: uuid('setup_id')
      .notNull()
      .references(() => setup.id),
    what: text('what').$type<ClaimedWhat | 'massG'>().notNull(),
    value: si('value').notNull(),
    says: text('says').$type<'atMost' | 'atLeast'>(),
    startC: si('start_c'),
    airC: si('air_c'),
    windMS: si('wind_m_s'),
    altitudeM: si('altitude_m'),
    waterKg: si('water_kg'),
    packKg: si('pack_kg'),
    loadKg: si('load_kg'),
    /** Where it stands. */
    source: text('source').notNull().default(''),
    typed: jsonb('typed').$type<TypedFields>().notNull().default({}),
    /** A claim that was a slip is taken back, not removed. */
    withdrawn: boolean('withdrawn').notNull().default(false),
    personId: uuid('person_id').references(() => person.id),
    createdAt: createdAt(),
  },
  (table) => [index('claim_of_setup').on(table.setupId)],
)
