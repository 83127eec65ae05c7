/** Traces that samples are stored in, and what they have already. */
import { and, asc, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { CHANNELS, type ChannelName } from '../../../shared/channels'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { trace } from '../../database/schema'

/** Told at the commit, with the run that has new samples. */
export const SAMPLES_CHANNEL = 'vulcanum_samples'

export async function notifySamples(tx: Connection, runIds: readonly string[]): Promise<void> {
  await tx.execute(sql`select pg_notify(${SAMPLES_CHANNEL}, id) from unnest(${sql.param([...runIds])}::text[]) as id`)
}

export interface OwnTrace {
  id: string
  runId: string
  channel: string
  feedId: string | null
}
interface Wanted {
  runId: string
  channel: ChannelName
  feedId: string
}

export const traceKey = ({ runId, channel }: { runId: string; channel: string }): string => `${runId} ${channel}`

/** Each one's trace, made where there is none, held until the end of the transaction; by `traceKey`. */
export async function holdTraces(tx: Connection, wanted: readonly Wanted[]): Promise<Map<string, OwnTrace>> {
  const before = await held(tx, wanted)
  // In one order, as all who make several do.
  const missing = wanted
    .filter((one) => !before.has(traceKey(one)))
    .sort((a, b) => (traceKey(a) < traceKey(b) ? -1 : 1))
  if (missing.length === 0) return before
  await tx
    .insert(trace)
    .values(missing.map((one) => ({ id: uuidv7(), ...one, unit: CHANNELS[one.channel].unit })))
    .onConflictDoNothing()
  return held(tx, wanted)
}

async function held(tx: Connection, wanted: readonly Wanted[]): Promise<Map<string, OwnTrace>> {
  const rows = await tx
    .select({ id: trace.id, runId: trace.runId, channel: trace.channel, feedId: trace.feedId })
    .from(trace)
    .where(
      and(
        anyOf(trace.runId, [...new Set(wanted.map((one) => one.runId))]),
        inArray(trace.channel, [...new Set(wanted.map((one) => one.channel))]),
        isNull(trace.removedAt),
      ),
    )
    .orderBy(asc(trace.id))
    .for('update')
  return new Map(rows.map((row) => [traceKey(row), row]))
}

export interface Standing {
  /** The value of each moment from a part's first on. */
  moments: Map<number, number>
  lastSeq: number
}

/** What each trace has already, from a moment on; read after it is held, so that nothing comes between. */
export async function standingSamples(
  tx: Connection,
  from: readonly { id: string; first: number }[],
): Promise<Map<string, Standing>> {
  if (from.length === 0) return new Map()
  const { rows } = await tx.execute<{ id: string; last_seq: number; chunks: [number[], number[]][] | null }>(sql`
    select part.id, coalesce((select max(c.seq) from trace_chunk c where c.trace_id = part.id), 0) as last_seq,
      (select json_agg(json_build_array(c.t_ms, c.v)) from trace_chunk c where c.trace_id = part.id and c.last_ms >= part.first) as chunks
    from json_to_recordset(${JSON.stringify(from)}::json) as part (id uuid, first bigint)`)
  return new Map(
    rows.map(({ id, last_seq: lastSeq, chunks }) => {
      const moments = new Map<number, number>()
      for (const [tMs, v] of chunks ?? []) for (const [i, t] of tMs.entries()) moments.set(t, v[i]!)
      return [id, { moments, lastSeq }]
    }),
  )
}
