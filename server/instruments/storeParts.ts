/** Samples of a batch, by run and channel, behind those that stand. */
import { and, asc, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import type { IngestAck } from '../../shared/feed'
import type { Connection } from '../database/connection'
import { anyOf } from '../database/anyOf'
import type { Copying } from '../database/copyRows'
import { chunkRows, copyChunks, type Samples } from '../database/repositories/traces'
import { trace } from '../database/schema'
import type { LaneName } from '../../shared/benchAct'
import type { Feed } from './feeds'

/** Told at the commit, with the run that has new samples. */
export const SAMPLES_CHANNEL = 'vulcanum_samples'

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

interface OwnTrace {
  id: string
  feedId: string | null
}

/** Each at least so much after the one before. */
export function isRising(tMs: readonly number[], least: number): boolean {
  for (let i = 1; i < tMs.length; i++) if (tMs[i]! - tMs[i - 1]! < least) return false
  return true
}

/** All parts in a handful of statements, however many they are. */
export async function storeParts({ tx, copy }: Copying, parts: readonly Part[]): Promise<void> {
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
