/**
 * The door of what instruments send: each batch once, those that wait together in one transaction, acknowledged when it
 * is stored.
 */
import { INGEST } from '../../shared/feed'
import type { Database } from '../database/connection'
import { sha256 } from '../database/hash'
import type { Feed } from './feeds'
import { readBatch } from './readBatch'
import { storeBatches, type Ingested, type TakenBatch } from './storeBatches'

export interface Batch {
  id: string
  lines: readonly string[]
}

export async function ingest(db: Database, from: Feed, { id, lines }: Batch, nowMs: number): Promise<Ingested> {
  if (!/^\P{Cc}+$/u.test(id) || id.length > INGEST.maxBatchId)
    return {
      ok: false,
      status: 422,
      text: `Batch: expected an id of 1 to ${INGEST.maxBatchId} characters, without control characters.`,
    }
  if (lines.length > INGEST.maxLines)
    return {
      ok: false,
      status: 413,
      text: `Batch: read ${lines.length} lines, expected at most ${INGEST.maxLines}. Send it in parts.`,
    }
  const read = readBatch(lines, from, nowMs)
  if (read.count > INGEST.maxSamples)
    return {
      ok: false,
      status: 413,
      text: `Batch: read ${read.count} samples, expected at most ${INGEST.maxSamples}. Send it in parts.`,
    }
  return new Promise((stored, failed) => {
    waiting.push({
      db,
      batch: { from, id, bodyHash: sha256(lines.join('\n')), lines: lines.length, read, nowMs },
      stored,
      failed,
    })
    storeNext()
  })
}

interface Waiting {
  db: Database
  batch: TakenBatch
  stored: (as: Ingested) => void
  failed: (error: unknown) => void
}
const waiting: Waiting[] = []
/** Instruments whose batch is being stored: one at a time of each, so that a flood of one waits for itself. */
const busy = new Set<string>()
/**
 * So many transactions at a time; what comes meanwhile is stored together in the next. A transaction costs as much as
 * two thousand samples.
 */
const AT_ONCE = 2
/**
 * With so many samples a transaction's own cost is small, and the next batches go in the other: one would wait for the
 * other's single batch [samples].
 */
const ENOUGH = 20_000
let storing = 0

function storeNext(): void {
  if (storing >= AT_ONCE) return
  const next = waiting.filter(
    ({ batch }, i) => !busy.has(batch.from.id) && waiting.findIndex((one) => one.batch.from.id === batch.from.id) === i,
  )
  let samples = 0
  const group = next.filter(({ batch }) => {
    const room = samples < ENOUGH
    samples += batch.read.count
    return room
  })
  if (group.length === 0) return
  for (const one of group) {
    waiting.splice(waiting.indexOf(one), 1)
    busy.add(one.batch.from.id)
  }
  storing += 1
  void storeTogether(group).finally(() => {
    storing -= 1
    for (const one of group) busy.delete(one.batch.from.id)
    // Once what has come on every connection is read: it goes together.
    setImmediate(storeNext)
  })
}

async function storeTogether(group: readonly Waiting[]): Promise<void> {
  const { db } = group[0]!
  try {
    const all = await storeBatches(
      db,
      group.map((one) => one.batch),
    )
    for (const [i, one] of group.entries()) one.stored(all[i]!)
  } catch (error) {
    // One that cannot be stored holds up no other: each by itself, in a second try.
    if (group.length > 1) for (const one of group) await storeTogether([one])
    else
      await storeBatches(db, [group[0]!.batch]).then(
        ([own]) => group[0]!.stored(own!),
        () => group[0]!.failed(error),
      )
  }
}
