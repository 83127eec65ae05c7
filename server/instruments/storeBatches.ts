/** Batches of several instruments become samples of the runs that burn, all in one transaction, each batch once. */
import { and, asc, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { LaneName } from '../../shared/benchAct'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import { INGEST, type IngestAck } from '../../shared/feed'
import type { Connection, Database } from '../database/connection'
import { anyOf } from '../database/anyOf'
import { copyingTransaction, type Copying } from '../database/copyRows'
import { chunkRows, copyChunks, type Samples } from '../database/repositories/traces'
import { ingestBatch, run, trace } from '../database/schema'
import type { Feed } from './feeds'
import type { ReadLines } from './readBatch'
import { tellNow, type NowPace } from './sentNow'

/** Told at the commit, with the run that has new samples. */
export const SAMPLES_CHANNEL = 'vulcanum_samples'

export interface TakenBatch {
  from: Feed
  id: string
  bodyHash: string
  lines: number
  read: ReadLines
  nowMs: number
}
export type Ingested = { ok: true; ack: IngestAck } | { ok: false; status: 409 | 413 | 422; text: string }

/**
 * @param batches of each instrument one at the most
 * @throws where one cannot be stored, or was stored by another process at this moment: nothing of them all is stored
 * then
 */
export async function storeBatches(
  db: Database,
  batches: readonly TakenBatch[],
  pace: NowPace = new Map(),
): Promise<Ingested[]> {
  const known = await knownOf(db, batches)
  const fresh = batches.filter((one) => !known.has(one))
  const acks = fresh.length > 0 ? await storeFresh(db, fresh, pace) : []
  return batches.map((one): Ingested => {
    const before = known.get(one)
    if (before === undefined) return { ok: true, ack: acks[fresh.indexOf(one)]! }
    if (before.bodyHash === one.bodyHash) return { ok: true, ack: before.ack }
    return {
      ok: false,
      status: 409,
      text: 'A batch of this id is stored with other lines. Nothing was changed; give each batch an id of its own.',
    }
  })
}

async function storeFresh(db: Database, fresh: readonly TakenBatch[], pace: NowPace): Promise<IngestAck[]> {
  return copyingTransaction(db, async (copying) => {
    const made = await store(copying, fresh, pace)
    // Waits for the same batch by another way, which is known then.
    const own = await copying.tx
      .insert(ingestBatch)
      .values(
        fresh.map(({ from, id, bodyHash, lines }, i) => ({
          feedId: from.id,
          batchId: id,
          bodyHash,
          lines,
          ack: made[i]!,
        })),
      )
      .onConflictDoNothing()
      .returning({ id: ingestBatch.batchId })
    if (own.length < fresh.length) throw new Error('A batch was stored by another process meanwhile')
    return made
  })
}

async function knownOf(
  db: Database,
  batches: readonly TakenBatch[],
): Promise<Map<TakenBatch, { bodyHash: string; ack: IngestAck }>> {
  const { rows } = await db.execute<{ i: number; bodyHash: string; ack: IngestAck }>(sql`
    select asked.i::int, b.body_hash as "bodyHash", b.ack from unnest(${sql.param(batches.map((one) => one.from.id))}::uuid[], ${sql.param(batches.map((one) => one.id))}::text[]) with ordinality as asked (feed_id, batch_id, i)
      join ingest_batch b on b.feed_id = asked.feed_id and b.batch_id = asked.batch_id`)
  return new Map(rows.map(({ i, ...standing }) => [batches[i - 1]!, standing]))
}

type Refuse = (line: number, text: string, count?: number) => void
/** Samples of one channel of one run [ms of its clock, SI], in order. */
interface Part {
  from: Feed
  ack: IngestAck
  refuse: Refuse
  channel: ChannelName
  lane: LaneName
  runId: string
  samples: Samples
}

async function store({ tx, copy }: Copying, batches: readonly TakenBatch[], pace: NowPace): Promise<IngestAck[]> {
  const lanes = await standingLanes(tx, [...new Set(batches.flatMap(lanesOf))])
  const parts: Part[] = []
  const acks: IngestAck[] = []
  for (const batch of batches) {
    const {
      from,
      id,
      read: { byChannel, refused },
      nowMs,
    } = batch
    const ack: IngestAck = { batch: id, stored: 0, known: 0, idle: 0, refused: 0, problems: [] }
    const refuse: Refuse = (line, text, count = 1) => {
      ack.refused += count
      if (ack.problems.length < INGEST.maxProblems) ack.problems.push({ line, text })
    }
    acks.push(ack)
    for (const { line, text, count } of refused) refuse(line, text, count)
    // A rehearsal's air is not this place's.
    if (!lanesOf(batch).some((lane) => lanes.get(lane)?.rehearsed)) await tellNow(tx, { from, byChannel, pace })
    for (const [channel, samples] of byChannel) {
      for (const lane of from.lanes[channel]!) {
        const at = lanes.get(lane)
        if (at === undefined) ack.idle += samples.v.length
        else if (nowMs - at.zeroMs > LONGEST_STAND_MS)
          refuse(0, `Lane ${lane} has stood for more than three weeks. Finish or clear it first.`, samples.v.length)
        else parts.push({ from, ack, refuse, channel, lane, runId: at.runId, samples: inOrder(samples, at.zeroMs) })
      }
    }
  }
  if (parts.length > 0) await storeParts({ tx, copy }, parts)
  return acks
}
const lanesOf = ({ from, read }: TakenBatch): LaneName[] =>
  [...read.byChannel.keys()].flatMap((channel) => from.lanes[channel] ?? [])
/** A moment on a run's clock is kept in 32 bits of milliseconds, 24 days. */
const LONGEST_STAND_MS = 21 * 86_400_000

/** On the run's clock, in the order of time, as nearly all come. */
function inOrder({ tMs: atMs, v }: Samples, zeroMs: number): Samples {
  const tMs = atMs.map((at) => at - zeroMs)
  if (isRising(tMs, 0)) return { tMs, v }
  const order = tMs.map((_, i) => i).sort((a, b) => tMs[a]! - tMs[b]!)
  return { tMs: order.map((i) => tMs[i]!), v: order.map((i) => v[i]!) }
}
/** Each at least so much after the one before. */
function isRising(tMs: readonly number[], least: number): boolean {
  for (let i = 1; i < tMs.length; i++) if (tMs[i]! - tMs[i - 1]! < least) return false
  return true
}

/**
 * Runs that stand on lanes, armed or burning: a thermometer in the pot counts before the flame does. They are read in
 * the order of their ids, as all who write to several do.
 */
async function standingLanes(
  tx: Connection,
  lanes: readonly LaneName[],
): Promise<Map<LaneName, { runId: string; zeroMs: number; rehearsed: boolean }>> {
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

interface OwnTrace {
  id: string
  feedId: string | null
}

/** All parts in a handful of statements, however many they are. */
async function storeParts({ tx, copy }: Copying, parts: readonly Part[]): Promise<void> {
  const traces = await tracesFor(tx, parts)
  const mine = parts.flatMap((part) => {
    const own = traces.get(keyOf(part))!
    if (own.feedId === part.from.id) return [{ ...part, own }]
    part.refuse(
      0,
      `${CHANNELS[part.channel].name} on lane ${part.lane} is followed by another instrument. Stop that first, or give this one another lane.`,
      part.samples.v.length,
    )
    return []
  })
  const standing = await standingOf(tx, mine)
  const rows = mine.flatMap(({ own, samples, ack }) => {
    const { moments, lastSeq } = standing.get(own.id)!
    const fresh = freshOf(samples, moments, ack)
    ack.stored += fresh.v.length
    return chunkRows(own.id, fresh, lastSeq + 1)
  })
  if (rows.length === 0) return
  await copyChunks(copy, rows)
  await tx.execute(
    sql`select pg_notify(${SAMPLES_CHANNEL}, id) from unnest(${sql.param([...new Set(mine.map((one) => one.runId))])}::text[]) as id`,
  )
}
const keyOf = ({ runId, channel }: { runId: string; channel: string }) => `${runId} ${channel}`

/** Each part's trace, made where there is none, held until the end of the transaction. */
async function tracesFor(tx: Connection, parts: readonly Part[]): Promise<Map<string, OwnTrace>> {
  const ids = [...new Set(parts.map((part) => part.runId))]
  const held = async () => {
    const rows = await tx
      .select({ id: trace.id, runId: trace.runId, channel: trace.channel, feedId: trace.feedId })
      .from(trace)
      .where(
        and(
          anyOf(trace.runId, ids),
          inArray(trace.channel, [...new Set(parts.map((part) => part.channel))]),
          isNull(trace.removedAt),
        ),
      )
      .orderBy(asc(trace.id))
      .for('update')
    return new Map(rows.map((row) => [keyOf(row), row]))
  }
  const before = await held()
  // In one order, as all who make several do.
  const missing = parts.filter((part) => !before.has(keyOf(part))).sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1))
  if (missing.length === 0) return before
  await tx
    .insert(trace)
    .values(
      missing.map(({ from, runId, channel }) => ({
        id: uuidv7(),
        runId,
        channel,
        unit: CHANNELS[channel].unit,
        feedId: from.id,
      })),
    )
    .onConflictDoNothing()
  return held()
}

interface Standing {
  /** The value of each moment from a part's first on. */ moments: Map<number, number>
  lastSeq: number
}
/** What each part's trace has already; read after it is held, so that nothing comes between. */
async function standingOf(
  tx: Connection,
  parts: readonly { own: OwnTrace; samples: Samples }[],
): Promise<Map<string, Standing>> {
  if (parts.length === 0) return new Map()
  const firsts = parts.map(({ own, samples }) => ({ id: own.id, first: samples.tMs[0]! }))
  const { rows } = await tx.execute<{ id: string; last_seq: number; chunks: [number[], number[]][] | null }>(sql`
    select part.id, coalesce((select max(c.seq) from trace_chunk c where c.trace_id = part.id), 0) as last_seq,
      (select json_agg(json_build_array(c.t_ms, c.v)) from trace_chunk c where c.trace_id = part.id and c.last_ms >= part.first) as chunks
    from json_to_recordset(${JSON.stringify(firsts)}::json) as part (id uuid, first bigint)`)
  return new Map(
    rows.map(({ id, last_seq: lastSeq, chunks }) => {
      const moments = new Map<number, number>()
      for (const [tMs, v] of chunks ?? []) for (const [i, t] of tMs.entries()) moments.set(t, v[i]!)
      return [id, { moments, lastSeq }]
    }),
  )
}

/** A sample is known by its moment: the same value again is the same sample; another is kept out, and said. */
function freshOf(samples: Samples, standing: Map<number, number>, ack: IngestAck): Samples {
  // After all that stands, and no moment twice: nearly always.
  if (standing.size === 0 && isRising(samples.tMs, 1)) return samples
  let differ = 0
  const fresh: Samples = { tMs: [], v: [] }
  for (let i = 0; i < samples.tMs.length; i++) {
    const [t, value] = [samples.tMs[i]!, samples.v[i]!]
    const there = standing.get(t)
    if (there === undefined) {
      standing.set(t, value)
      fresh.tMs.push(t)
      fresh.v.push(value)
    } else if (there === value) ack.known += 1
    else differ += 1
  }
  if (differ > 0) {
    ack.refused += differ
    ack.problems.push({
      line: 0,
      text: `${differ === 1 ? 'One sample has' : `${differ} samples have`} the moment of another with another value. The first stays.`,
    })
  }
  return fresh
}
