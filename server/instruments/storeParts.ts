/** Samples of a batch, by run and channel, behind those that stand. */
import { CHANNELS, type ChannelName } from '../../shared/channels'
import type { IngestAck } from '../../shared/feed'
import type { Copying } from '../database/copyRows'
import { chunkRows, copyChunks, type Samples } from '../database/repositories/traces'
import type { LaneName } from '../../shared/lanes'
import type { Feed } from './feeds'
import { holdTraces, notifySamples, standingSamples, traceKey } from './repository/parts'

export type Refuse = (line: number, text: string, count?: number) => void

/** Samples of one channel of one run [ms of its clock, SI], in order. */
export interface Part {
  from: Feed
  ack: IngestAck
  refuse: Refuse
  channel: ChannelName
  lane: LaneName
  runId: string
  samples: Samples
}

/** Each at least so much after the one before. */
export function isRising(tMs: readonly number[], least: number): boolean {
  for (let i = 1; i < tMs.length; i++) if (tMs[i]! - tMs[i - 1]! < least) return false
  return true
}

/** All parts in a handful of statements, however many they are. */
export async function storeParts({ tx, copy }: Copying, parts: readonly Part[]): Promise<void> {
  const traces = await holdTraces(
    tx,
    parts.map(({ runId, channel, from }) => ({ runId, channel, feedId: from.id })),
  )
  const mine = parts.flatMap((part) => {
    const own = traces.get(traceKey(part))!
    if (own.feedId === part.from.id) return [{ ...part, own }]
    part.refuse(
      0,
      `${CHANNELS[part.channel].name} on lane ${part.lane} is followed by another instrument. Stop that first, or give this one another lane.`,
      part.samples.v.length,
    )
    return []
  })
  const standing = await standingSamples(
    tx,
    mine.map(({ own, samples }) => ({ id: own.id, first: samples.tMs[0]! })),
  )
  const rows = mine.flatMap(({ own, samples, ack }) => {
    const { moments, lastSeq } = standing.get(own.id)!
    const fresh = freshOf(samples, moments, ack)
    ack.stored += fresh.v.length
    return chunkRows(own.id, fresh, lastSeq + 1)
  })
  if (rows.length === 0) return
  await copyChunks(copy, rows)
  await notifySamples(tx, [...new Set(mine.map((one) => one.runId))])
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
