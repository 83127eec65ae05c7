/** Traces: stored in chunks that never change, read whole. */
import { and, asc, eq, isNull, ne, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { CHANNELS, type ChannelName } from '../../../shared/channels'
import { anyOf } from '../anyOf'
import { floatArray, intArray } from '../arrayBytes'
import type { Connection } from '../connection'
import { int4Bytes, int8Bytes, uuidBytes, type Copying } from '../copyRows'
import { hashOfLists } from '../hash'
import { trace, traceChunk } from '../schema'

const CHUNK_SAMPLES = 4096

/** Stores [seconds, °C] samples, sorted by time. */
export const insertWaterTrace = (db: Connection, runId: string, samples: readonly [number, number][]): Promise<void> =>
  insertTrace(db, { runId, channel: 'water' }, samples)

/** Stores [seconds, SI] samples of a channel, sorted by time. */
export async function insertTrace(
  db: Connection,
  {
    runId,
    channel,
    importId = null,
    fileHash = null,
  }: { runId: string; channel: ChannelName; importId?: string | null; fileHash?: string | null },
  samples: readonly [number, number][],
): Promise<void> {
  if (samples.length === 0) return
  const traceId = uuidv7()
  await db.insert(trace).values({ id: traceId, runId, channel, unit: CHANNELS[channel].unit, importId, fileHash })
  await insertChunks(
    db,
    traceId,
    samples.map(([at, value]) => [Math.round(at * 1000), value]),
  )
}

/** Samples [ms, SI] in the order of time, as chunks that never change. */
export async function insertChunks(
  db: Connection,
  traceId: string,
  samples: readonly (readonly [number, number])[],
  firstSeq = 1,
): Promise<void> {
  for (const { id, seq, tMs, v, hash } of chunkRows(
    traceId,
    { tMs: samples.map((one) => one[0]), v: samples.map((one) => one[1]) },
    firstSeq,
  )) {
    await db.execute(
      sql`insert into trace_chunk (id, trace_id, seq, first_ms, last_ms, t_ms, v, hash)
        values (${id}, ${traceId}, ${seq}, ${tMs[0]}, ${tMs.at(-1)}, ${intArray(tMs)}, ${floatArray(v)}, ${hash})`,
    )
  }
}

/** The value `v[i]` [SI] at `tMs[i]`, in the order of time. */
export interface Samples {
  tMs: number[]
  v: number[]
}
interface ChunkRow extends Samples {
  id: string
  traceId: string
  seq: number
  hash: string
}

export function chunkRows(traceId: string, samples: Samples, firstSeq: number): ChunkRow[] {
  return Array.from({ length: Math.ceil(samples.tMs.length / CHUNK_SAMPLES) }, (_, i) => {
    const [tMs, v] = [samples.tMs, samples.v].map((list) =>
      list.length <= CHUNK_SAMPLES ? list : list.slice(i * CHUNK_SAMPLES, (i + 1) * CHUNK_SAMPLES),
    ) as [number[], number[]]
    return { id: uuidv7(), traceId, seq: firstSeq + i, tMs, v, hash: hashOfLists(tMs, v) }
  })
}

/** Their lists as PostgreSQL's own bytes: as text each number is written and read digit by digit. */
export async function copyChunks(copy: Copying['copy'], rows: readonly ChunkRow[]): Promise<void> {
  await copy(
    'trace_chunk (id, trace_id, seq, first_ms, last_ms, t_ms, v, hash)',
    rows.map(({ id, traceId, seq, tMs, v, hash }) => [
      uuidBytes(id),
      uuidBytes(traceId),
      int4Bytes(seq),
      int8Bytes(tMs[0]!),
      int8Bytes(tMs.at(-1)!),
      intArray(tMs),
      floatArray(v),
      Buffer.from(hash),
    ]),
  )
}

// As JSON: lists that the driver reads digit by digit take ten times as long.
const CHUNK = { tMs: sql<number[]>`to_json(${traceChunk.tMs})`, v: sql<number[]>`to_json(${traceChunk.v})` }

/** Traces of one channel of many runs, [seconds, SI], by run. */
export async function tracesOf(
  db: Connection,
  channel: ChannelName,
  runIds: string[],
): Promise<Map<string, [number, number][]>> {
  const chunks = await db
    .select({ runId: trace.runId, ...CHUNK })
    .from(traceChunk)
    .innerJoin(trace, eq(trace.id, traceChunk.traceId))
    .where(and(anyOf(trace.runId, runIds), eq(trace.channel, channel), isNull(trace.removedAt)))
    .orderBy(asc(trace.runId), asc(traceChunk.seq))
  return joined(chunks.map(({ runId, ...chunk }) => ({ key: runId, ...chunk })))
}

/** The channels of a run, or all but one, [seconds, SI]. */
export async function channelTraces(
  db: Connection,
  runId: string,
  { but }: { but?: ChannelName } = {},
): Promise<Map<string, [number, number][]>> {
  const chunks = await db
    .select({ key: trace.channel, ...CHUNK })
    .from(traceChunk)
    .innerJoin(trace, eq(trace.id, traceChunk.traceId))
    .where(and(eq(trace.runId, runId), but === undefined ? undefined : ne(trace.channel, but), isNull(trace.removedAt)))
    .orderBy(asc(trace.channel), asc(traceChunk.seq))
  return joined(chunks)
}

function joined(chunks: readonly { key: string; tMs: number[]; v: number[] }[]): Map<string, [number, number][]> {
  const traces = new Map<string, [number, number][]>()
  for (const { key, tMs, v } of chunks) {
    const samples = traces.get(key) ?? []
    for (let i = 0; i < tMs.length; i++) samples.push([tMs[i]! / 1000, v[i]!])
    traces.set(key, samples)
  }
  return traces
}

/** Those of these runs that a scale followed. */
export async function scaledRuns(db: Connection, runIds: string[]): Promise<Set<string>> {
  return new Set(
    (
      await db
        .select({ runId: trace.runId })
        .from(trace)
        .where(and(anyOf(trace.runId, runIds), eq(trace.channel, 'scale'), isNull(trace.removedAt)))
    ).map((row) => row.runId),
  )
}

export interface TraceChunks {
  n: number
  /** Of all that was sampled. */
  hash: string
}
/** The chunks of each run's traces; a run without is not named. */
export async function traceChunks(db: Connection, runIds: string[]): Promise<Map<string, TraceChunks>> {
  const rows = await db
    .select({
      runId: trace.runId,
      n: sql<number>`count(*)::int`,
      hash: sql<string>`md5(string_agg(${trace.channel} || ${traceChunk.hash}, ',' order by ${trace.channel}, ${traceChunk.seq}))`,
    })
    .from(traceChunk)
    .innerJoin(trace, eq(trace.id, traceChunk.traceId))
    .where(and(anyOf(trace.runId, runIds), isNull(trace.removedAt)))
    .groupBy(trace.runId)
  return new Map(rows.map(({ runId, ...chunks }) => [runId, chunks]))
}
