/** Batches that instruments sent, and the lanes that their samples go to. */
import { and, asc, inArray, sql } from 'drizzle-orm'
import type { LaneName } from '../../../shared/lanes'
import type { IngestAck } from '../../../shared/feed'
import type { Connection } from '../../database/connection'
import { ingestBatch, run } from '../../database/schema'

export interface KnownBatch {
  bodyHash: string
  ack: IngestAck
}
/** Those that are stored, by their place in the list. */
export async function knownBatches(
  db: Connection,
  asked: readonly { feedId: string; batchId: string }[],
): Promise<Map<number, KnownBatch>> {
  const feedIds = asked.map((one) => one.feedId)
  const batchIds = asked.map((one) => one.batchId)
  const { rows } = await db.execute<{ i: number; bodyHash: string; ack: IngestAck }>(sql`
    select asked.i::int, b.body_hash as "bodyHash", b.ack
    from unnest(${sql.param(feedIds)}::uuid[], ${sql.param(batchIds)}::text[])
        with ordinality as asked (feed_id, batch_id, i)
      join ingest_batch b on b.feed_id = asked.feed_id and b.batch_id = asked.batch_id`)
  return new Map(rows.map(({ i, ...known }) => [i - 1, known]))
}

/** Waits for the same batch by another way, which is known then. @returns how many were not there yet */
export async function insertBatches(
  tx: Connection,
  rows: readonly (typeof ingestBatch.$inferInsert)[],
): Promise<number> {
  const own = await tx
    .insert(ingestBatch)
    .values([...rows])
    .onConflictDoNothing()
    .returning({ id: ingestBatch.batchId })
  return own.length
}

export interface StandingLane {
  runId: string
  zeroMs: number
  rehearsed: boolean
}
/**
 * Runs that stand on lanes, prepared or burning: a thermometer in the pot counts before the flame does. They are read
 * in the order of their ids, as all who write to several do.
 */
export async function standingLanes(tx: Connection, lanes: readonly LaneName[]): Promise<Map<LaneName, StandingLane>> {
  if (lanes.length === 0) return new Map()
  const rows = await tx
    .select({ id: run.id, lane: run.lane, startedAt: run.startedAt, origin: run.origin })
    .from(run)
    .where(and(inArray(run.lane, [...lanes]), inArray(run.state, ['draft', 'live'])))
    .orderBy(asc(run.id))
    .for('share')
  return new Map(
    rows.map((row) => [
      row.lane!,
      { runId: row.id, zeroMs: row.startedAt.getTime(), rehearsed: row.origin === 'rehearsal' },
    ]),
  )
}

/** Told at the commit, with what instruments say of the air. */
export const NOW_CHANNEL = 'vulcanum_now'
export async function notifyNow(tx: Connection, said: object): Promise<void> {
  await tx.execute(sql`select pg_notify(${NOW_CHANNEL}, ${JSON.stringify(said)})`)
}
