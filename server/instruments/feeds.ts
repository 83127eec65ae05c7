/** Instruments that send: each with a token that is shown once, and known by its hash. */
import { randomBytes } from 'node:crypto'
import { readFeed, type FeedLine, type NewFeed } from '../../shared/feed'
import type { Connection } from '../database/connection'
import { sha256 } from '../database/hash'
import { invalid, notFound, saved, type Outcome } from '../kit/outcome'
import { feedByToken, feedRows, keepFeed, markRevoked, type Feed } from './repository/feeds'

export type { Feed }
const lineOf = ({ id, name, lanes, createdAt }: Feed): FeedLine => ({
  id,
  name,
  lanes,
  createdAt: createdAt.toISOString(),
})

/** What a rehearsal brings with it is nobody's to add or take back. */
export async function listFeeds(db: Connection): Promise<FeedLine[]> {
  return (await feedRows(db)).map(lineOf)
}

/** A new one, with its token; the same id again gives it a new token, and the old one opens nothing any more. */
export async function saveFeed(db: Connection, input: unknown): Promise<Outcome<NewFeed>> {
  const read = readFeed(input)
  if (!read.ok) return invalid(read.problems)
  // Never with a hyphen first: on a command line it would be read as an option.
  const token = `v${randomBytes(24).toString('base64url')}`
  const row = await keepFeed(db, { ...read.feed, tokenHash: sha256(token) })
  known.delete(db)
  return saved({ ...lineOf(row), token })
}

/** Its token opens nothing more; its samples stay. */
export async function revokeFeed(db: Connection, id: string): Promise<Outcome<null>> {
  const gone = await markRevoked(db, id)
  known.delete(db)
  return gone ? saved(null) : notFound('instrument')
}

/**
 * Looked up once in a while, not for every batch. Another process may have changed it: it counts for a second. Each
 * workspace's by itself: a token opens nothing in another.
 */
const known = new WeakMap<Connection, Map<string, { feed: Feed; untilMs: number }>>()
const KNOWN_MS = 1000

export async function feedOf(db: Connection, token: string): Promise<Feed | null> {
  const hash = sha256(token)
  const here = known.get(db) ?? new Map<string, { feed: Feed; untilMs: number }>()
  known.set(db, here)
  const kept = here.get(hash)
  if (kept && kept.untilMs > performance.now()) return kept.feed
  const found = await feedByToken(db, hash)
  if (found === null) here.delete(hash)
  else here.set(hash, { feed: found, untilMs: performance.now() + KNOWN_MS })
  return found
}
