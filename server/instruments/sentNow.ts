/**
 * What instruments say of the air at this moment, to every page: told whether anything burns or not, kept by nobody.
 */
import { sql } from 'drizzle-orm'
import { SENT_NOW, type SentNow } from '../../shared/bench'
import type { ChannelName } from '../../shared/channels'
import type { Connection } from '../database/connection'
import type { Samples } from '../database/repositories/traces'
import type { Feed } from './feeds'

/** Told at the commit, with the readings. */
export const NOW_CHANNEL = 'vulcanum_now'
/** As often as a page needs it. */
const EVERY_MS = 500
const toldAt = new Map<string, number>()

export async function tellNow(tx: Connection, from: Feed, byChannel: ReadonlyMap<ChannelName, Samples>): Promise<void> {
  const said = Object.fromEntries(
    SENT_NOW.flatMap((channel) => {
      const samples = byChannel.get(channel)
      if (samples === undefined || samples.v.length === 0) return []
      const newest = samples.tMs.reduce((last, t, i) => (t >= samples.tMs[last]! ? i : last), 0)
      return [[channel, [samples.tMs[newest], samples.v[newest]]]]
    }),
  ) as SentNow
  if (Object.keys(said).length === 0 || performance.now() - (toldAt.get(from.id) ?? -Infinity) < EVERY_MS) return
  toldAt.set(from.id, performance.now())
  await tx.execute(sql`select pg_notify(${NOW_CHANNEL}, ${JSON.stringify(said)})`)
}

const hearers = new Set<(now: SentNow) => void>()
export function hearNow(hearer: (now: SentNow) => void): () => void {
  hearers.add(hearer)
  return () => hearers.delete(hearer)
}
export function nowCame(payload: string): void {
  const now = JSON.parse(payload) as SentNow
  for (const hearer of hearers) hearer(now)
}
