/** Instruments that send: each with a token that is shown once, and known by its hash. */
import { randomBytes } from 'node:crypto'
import { and, asc, eq, isNull, notExists } from 'drizzle-orm'
import { readFeed, type FeedLine, type NewFeed } from '../../shared/feed'
import type { Connection } from '../database/connection'
import { sha256 } from '../database/hash'
import { feed, run } from '../database/schema'
import { invalid, notFound, saved, type Outcome } from '../kit/outcome'

export type Feed = typeof feed.$inferSelect
const lineOf = ({ id, name, lanes, createdAt }: Feed): FeedLine => ({
  id,
  name,
  lanes,
  createdAt: createdAt.toISOString(),
})

/** What a rehearsal brings with it is nobody's to add or take back. */
export async function listFeeds(db: Connection): Promise<FeedLine[]> {
  return (
    await db
      .select()
      .from(feed)
      .where(and(isNull(feed.revokedAt), notExists(db.select({ id: run.id }).from(run).where(eq(run.id, feed.id)))))
      .orderBy(asc(feed.createdAt))
  ).map(lineOf)
}

/** A new one, with its token; the same id again gives it a new token, and the old one opens nothing any more. */
export async function saveFeed(db: Connection, input: unknown): Promise<Outcome<NewFeed>> {
  const read = readFeed(input)
  if (!read.ok) return invalid(read.problems)
  // Never with a hyphen first: on a command line it would be read as an option.
  const token = `v${randomBytes(24).toString('base64url')}`
  const values = { ...read.feed, tokenHash: sha256(token) }
  const [row] = await db
    .insert(feed)
    .values(values)
    .onConflictDoUpdate({
      target: feed.id,
      set: { name: values.name, lanes: values.lanes, tokenHash: values.tokenHash, revokedAt: null },
    })
    .returning()
  known.clear()
  return saved({ ...lineOf(row!), token })
}

/** Its token opens nothing more; its samples stay. */
export async function revokeFeed(db: Connection, id: string): Promise<Outcome<null>> {
  const gone = await db
    .update(feed)
    .set({ revokedAt: new Date() })
    .where(and(eq(feed.id, id), isNull(feed.revokedAt)))
    .returning({ id: feed.id })
  known.clear()
  return gone.length > 0 ? saved(null) : notFound('instrument')
}

/** Looked up once in a while, not for every batch. Another process may have changed it: it counts for a second. */
const known = new Map<string, { feed: Feed; untilMs: number }>()
const KNOWN_MS = 1000

export async function feedOf(db: Connection, token: string): Promise<Feed | null> {
  const hash = sha256(token)
  const kept = known.get(hash)
  if (kept && kept.untilMs > performance.now()) return kept.feed
  const [row] = await db
    .select()
    .from(feed)
    .where(and(eq(feed.tokenHash, hash), isNull(feed.revokedAt)))
  if (row) known.set(hash, { feed: row, untilMs: performance.now() + KNOWN_MS })
  else known.delete(hash)
  return row ?? null
}
