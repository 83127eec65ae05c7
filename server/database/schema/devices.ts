import { pgTable, text, timestamp } from 'drizzle-orm/pg-core'
import { createdAt, id } from './columns'

/** A browser that marks. One on another machine is let in by pairing, and known by its token. */
export const device = pgTable('device', {
  id: id(),
  name: text('name').notNull(),
  /** Hash of the token it was given; null: on this machine, where none is needed. */
  tokenHash: text('token_hash').unique(),
  revokedAt: timestamp('revoked_at', { withTimezone: true }),
  createdAt: createdAt(),
})
