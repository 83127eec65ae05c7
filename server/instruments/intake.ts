/**
 * What instruments send is taken in here: each batch once, those that wait together in one transaction, acknowledged when
 * it is stored.
 */
import { INGEST } from '../../shared/feed'
import type { Database } from '../database/connection'
import { sha256 } from '../database/hash'
import type { Feed } from './feeds'
import { readBatch } from './readBatch'
import type { NowPace } from './sentNow'
import { storeBatches, type Ingested, type TakenBatch } from './storeBatches'

export interface Batch {
  id: string
  lines: readonly string[]
}

interface Waiting {
  batch: TakenBatch
  stored: (as: Ingested) => void
  failed: (error: unknown) => void
}

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

export class Intake {
  readonly #db: Database
  readonly #waiting: Waiting[] = []
  /** Instruments whose batch is being stored: one at a time of each, so that a flood of one waits for itself. */
  readonly #busy = new Set<string>()
  readonly #pace: NowPace = new Map()
  #storing = 0

  constructor(db: Database) {
    this.#db = db
  }

  /** @param nowMs bench time [ms] */
  async take(from: Feed, { id, lines }: Batch, nowMs: number): Promise<Ingested> {
    const read = readBatch(lines, from, nowMs)
    const refused = refusal({ id, lines }, read.count)
    if (refused !== null) return { ok: false, ...refused }
    const batch = { from, id, bodyHash: sha256(lines.join('\n')), lines: lines.length, read, nowMs }
    return new Promise((stored, failed) => {
      this.#waiting.push({ batch, stored, failed })
      this.#storeNext()
    })
  }

  #storeNext(): void {
    if (this.#storing >= AT_ONCE) return
    const group = this.#nextGroup()
    if (group.length === 0) return
    for (const one of group) {
      this.#waiting.splice(this.#waiting.indexOf(one), 1)
      this.#busy.add(one.batch.from.id)
    }
    this.#storing += 1
    void this.#storeTogether(group).finally(() => {
      this.#storing -= 1
      for (const one of group) this.#busy.delete(one.batch.from.id)
      // Once what has come on every connection is read: it goes together.
      setImmediate(() => this.#storeNext())
    })
  }

  /** The first that waits of each instrument, as many as are enough. */
  #nextGroup(): Waiting[] {
    const next = this.#waiting.filter(
      ({ batch }, i) =>
        !this.#busy.has(batch.from.id) && this.#waiting.findIndex((one) => one.batch.from.id === batch.from.id) === i,
    )
    let samples = 0
    return next.filter(({ batch }) => {
      const room = samples < ENOUGH
      samples += batch.read.count
      return room
    })
  }

  async #storeTogether(group: readonly Waiting[]): Promise<void> {
    try {
      const all = await storeBatches(
        this.#db,
        group.map((one) => one.batch),
        this.#pace,
      )
      for (const [i, one] of group.entries()) one.stored(all[i]!)
    } catch (error) {
      // One that cannot be stored holds up no other: each by itself, in a second try.
      if (group.length > 1) for (const one of group) await this.#storeTogether([one])
      else
        await storeBatches(this.#db, [group[0]!.batch], this.#pace).then(
          ([own]) => group[0]!.stored(own!),
          () => group[0]!.failed(error),
        )
    }
  }
}

/** Why a batch is not taken at all; null: it is. */
function refusal({ id, lines }: Batch, samples: number): { status: 413 | 422; text: string } | null {
  if (!/^\P{Cc}+$/u.test(id) || id.length > INGEST.maxBatchId)
    return {
      status: 422,
      text: `Batch: expected an id of 1 to ${INGEST.maxBatchId} characters, without control characters.`,
    }
  if (lines.length > INGEST.maxLines)
    return {
      status: 413,
      text: `Batch: read ${lines.length} lines, expected at most ${INGEST.maxLines}. Send it in parts.`,
    }
  if (samples > INGEST.maxSamples)
    return {
      status: 413,
      text: `Batch: read ${samples} samples, expected at most ${INGEST.maxSamples}. Send it in parts.`,
    }
  return null
}
