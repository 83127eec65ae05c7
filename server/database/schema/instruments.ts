import { index, integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { FeedLanes, IngestAck } from '../../../shared/feed'
import { createdAt, id } from './columns'

/** Where samples come from: an instrument with a token of its own, and the lanes that its channels follow. */
export const feed = pgTable('feed', {
  id: id(),
  name: text('name').notNull(),
  /** Of the token it was given once; null: it came with a package, and has none here. */
  tokenHash: text('token_hash').unique(),
  lanes: jsonb('lanes').$type<FeedLanes>().notNull(),
  revokedAt: timestamp('revoked_at', { withTimezone: true }),
  createdAt: createdAt(),
})

/** A batch is taken once: sent again, it gets the same answer. */
export const ingestBatch = pgTable(
  'ingest_batch',
  {
    feedId: uuid('feed_id')
      .notNull()
      .references(() => feed.id),
    batchId: text('batch_id').notNull(),
    bodyHash: text('body_hash').notNull(),
    lines: integer('lines').notNull(),
    ack: jsonb('ack').$type<IngestAck>().notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.feedId, table.batchId] }),
    index('ingest_batch_by_time').on(table.receivedAt),
  ],
)
