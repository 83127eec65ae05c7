/** Instruments that send. */
import { and, asc, eq, isNull, notExists } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { feed, run } from '../../database/schema'

export type Feed = typeof feed.$inferSelect

/** Those that open something, oldest first, but what a rehearsal brings with it. */
export const feedRows = (db: Connection): Promise<Feed[]> =>
  db
    .select()
    .from(feed)
    .where(and(isNull(feed.revokedAt), notExists(db.select({ id: run.id }).from(run).where(eq(run.id, feed.id)))))
    .orderBy(asc(feed.createdAt))

/** The same id again has a new name, new lanes and a new token. */
export async function keepFeed(db: Connection, values: typeof feed.$inferInsert): Promise<Feed> {
  const { name, lanes, tokenHash } = values
  const [row] = await db
    .insert(feed)
    .values(values)
    .onConflictDoUpdate({ target: feed.id, set: { name, lanes, tokenHash, revokedAt: null } })
    .returning()
  return row!
}

/** False: none of this id opens anything. */
export async function markRevoked(db: Connection, id: string): Promise<boolean> {
  const gone = await db
    .update(feed)
    .set({ revokedAt: new Date() })
    .where(and(eq(feed.id, id), isNull(feed.revokedAt)))
    .returning({ id: feed.id })
  return gone.length > 0
}

export async function feedByToken(db: Connection, tokenHash: string): Promise<Feed | null> {
  const [row] = await db
    .select()
    .from(feed)
    .where(and(eq(feed.tokenHash, tokenHash), isNull(feed.revokedAt)))
  return row ?? null
}
