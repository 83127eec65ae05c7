import { bigint, doublePrecision, index, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { BenchAck } from '../../../shared/benchAct'
import { createdAt, id } from './columns'
import { device } from './devices'
import { person } from './people'
import { run } from './runs'

/**
 * Every act of the bench as it came: the id is the idempotency key, and the acknowledgement is kept to be given again.
 */
export const benchAct = pgTable(
  'bench_act',
  {
    id: id(),
    runId: uuid('run_id').notNull(),
    deviceId: uuid('device_id')
      .notNull()
      .references(() => device.id),
    type: text('type').notNull(),
    bodyHash: text('body_hash').notNull(),
    ack: jsonb('ack').$type<BenchAck>().notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('bench_act_by_run').on(table.runId)],
)

/** The bench's clock: what the date was when this machine booted. A date changed since moves nothing. */
export const benchClock = pgTable('bench_clock', {
  bootId: text('boot_id').primaryKey(),
  epochMs: doublePrecision('epoch_ms').notNull(),
  createdAt: createdAt(),
})

/**
 * The outbox: what changed, in the order of committing. NOTIFY carries stream and seq alone; pages ask from the seq
 * they have.
 */
export const change = pgTable(
  'change',
  {
    stream: text('stream').notNull(),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    /** What it concerns: a run of the bench. */
    subjectId: uuid('subject_id').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.stream, table.seq] })],
)

/** What was said beside the flame, at its moment. */
export const runNote = pgTable(
  'run_note',
  {
    id: id(),
    runId: uuid('run_id')
      .notNull()
      .references(() => run.id),
    text: text('text').notNull(),
    atMs: bigint('at_ms', { mode: 'number' }),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('run_note_by_run').on(table.runId)],
)
