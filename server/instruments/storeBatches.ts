/** Batches of several instruments become samples of the runs that burn, all in one transaction, each batch once. */
import type { LaneName } from '../../shared/lanes'
import { INGEST, type IngestAck } from '../../shared/feed'
import type { Database } from '../database/connection'
import { copyingTransaction, type Copying } from '../database/copyRows'
import type { Samples } from '../database/repositories/traces'
import type { Feed } from './feeds'
import type { ReadLines } from './readBatch'
import { insertBatches, knownBatches, standingLanes, type KnownBatch } from './repository/batches'
import { tellNow, type NowPace } from './sentNow'
import { isRising, storeParts, type Part, type Refuse } from './storeParts'

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
    const own = await insertBatches(
      copying.tx,
      fresh.map(({ from, id, bodyHash, lines }, i) => ({
        feedId: from.id,
        batchId: id,
        bodyHash,
        lines,
        ack: made[i]!,
      })),
    )
    if (own < fresh.length) throw new Error('A batch was stored by another process meanwhile')
    return made
  })
}

async function knownOf(db: Database, batches: readonly TakenBatch[]): Promise<Map<TakenBatch, KnownBatch>> {
  const known = await knownBatches(
    db,
    batches.map((one) => ({ feedId: one.from.id, batchId: one.id })),
  )
  return new Map([...known].map(([i, standing]) => [batches[i]!, standing]))
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
