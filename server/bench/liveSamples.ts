/**
 * Samples of the runs on the bench, to every page: read once a process as they are committed, by whichever process took
 * them.
 */
import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { SamplesHad, SamplesPush } from '../../shared/bench'
import type { ChannelName } from '../../shared/channels'
import { anyOf } from '../database/anyOf'
import type { Connection } from '../database/connection'
import { useDatabase } from '../database/connection'
import { byKey } from '../database/byKey'
import { run, trace } from '../database/schema'

/** Samples closer than this are one point on a page; the newest is always shown. */
const POINT_MS = 400
/** What is told within this time is told together. */
const TOGETHER_MS = 80

interface LiveTrace {
  runId: string
  channel: ChannelName
  seq: number
  points: [number, number][]
  /** Of each point, its chunk's number. */ seqs: number[]
  last: [number, number]
  /** The chunk before its first point; 0: it is whole. */ after: number
}
const traces = new Map<string, LiveTrace>()
const hearers = new Set<(pushes: string) => void>()
const dirty = new Set<string>()
let timer: ReturnType<typeof setTimeout> | null = null
let toldAt = -Infinity
let reading: Promise<unknown> = Promise.resolve()

/** Tells this page of every sample from now on. */
export function hearSamples(hearer: (pushes: string) => void): () => void {
  hearers.add(hearer)
  return () => hearers.delete(hearer)
}

/** A run has new samples. */
export function samplesCame(runId: string): void {
  if (hearers.size === 0) return
  dirty.add(runId)
  // The first after a quiet while is told at once.
  timer ??= setTimeout(
    () => {
      timer = null
      toldAt = performance.now()
      const ids = [...dirty]
      dirty.clear()
      inTurn(async () => {
        tell(await readOn(useDatabase(), ids))
      }).catch(() => undefined)
    },
    Math.max(0, toldAt + TOGETHER_MS - performance.now()),
  )
}

function tell(pushes: readonly SamplesPush[]): void {
  if (pushes.length === 0) return
  // Written once, however many hear it.
  const told = JSON.stringify(pushes)
  for (const hearer of hearers) hearer(told)
}

/**
 * The runs on the bench, from where this page had them; what comes next is told to those who hear. `begin` is called
 * before anything else is told.
 */
export function samplesSince(db: Connection, had: SamplesHad, begin: (pushes: string) => void): Promise<void> {
  return inTurn(async () => {
    const ids = (
      await db
        .select({ id: run.id })
        .from(run)
        .where(inArray(run.state, ['draft', 'live']))
    ).map((row) => row.id)
    // What was read only from where another page had it is read anew for one that has less.
    const told = new Map<string, number>()
    for (const [key, { runId, channel, after, seq }] of traces) {
      if (ids.includes(runId) && (had[runId]?.[channel] ?? 0) >= after) continue
      traces.delete(key)
      told.set(key, seq)
    }
    tell(await readOn(db, ids, had, told))
    begin(
      JSON.stringify(
        [...traces.values()].filter((one) => one.seq > 0).flatMap((one) => since(one, had[one.runId]?.[one.channel])),
      ),
    )
  })
}
function since({ runId, channel, points, seqs, last, seq }: LiveTrace, had: number | undefined): SamplesPush[] {
  if (had === undefined) return [{ runId, channel, points, last, seq, whole: true }]
  if (had === seq) return []
  const first = seqs.findIndex((one) => one > had)
  return [{ runId, channel, points: first < 0 ? [] : points.slice(first), last, seq, whole: false }]
}

/** One reading after another, so that no page is told twice or in another order. */
function inTurn(work: () => Promise<void>): Promise<void> {
  const mine = reading.catch(() => undefined).then(work)
  reading = mine
  return mine
}

/**
 * @param had a process that has just begun reads from there on: half an hour of six lanes is half a million samples
 * @param told of traces that are read anew, how far those who hear have them
 */
async function readOn(
  db: Connection,
  runIds: readonly string[],
  had: SamplesHad = {},
  told: ReadonlyMap<string, number> = new Map(),
): Promise<SamplesPush[]> {
  if (runIds.length === 0) return []
  const rows = await db
    .select({ id: trace.id, runId: trace.runId, channel: trace.channel, startedAt: run.startedAt })
    .from(trace)
    .innerJoin(run, eq(run.id, trace.runId))
    .where(and(anyOf(trace.runId, runIds), isNull(trace.removedAt)))
  const pushes: SamplesPush[] = []
  const standing = rows.map((row) => {
    const seq = had[row.runId]?.[row.channel as ChannelName] ?? 0
    return {
      ...row,
      live:
        traces.get(row.id) ??
        ({
          runId: row.runId,
          channel: row.channel as ChannelName,
          seq,
          points: [],
          seqs: [],
          last: [-Infinity, 0],
          after: seq,
        } satisfies LiveTrace),
    }
  })
  const newer = await chunksAfter(
    db,
    standing.map(({ id, live }) => ({ id, seq: live.seq })),
  )
  for (const { id, live, startedAt } of standing) {
    traces.set(id, live)
    const chunks = newer.get(id)
    if (chunks === undefined) continue
    const before = told.get(id) ?? live.seq
    const zeroMs = startedAt.getTime()
    const { points, seqs } = thinnedAfter(live.points.at(-1)?.[0] ?? -Infinity, zeroMs, chunks)
    live.points.push(...points)
    live.seqs.push(...seqs)
    live.seq = chunks.at(-1)!.seq
    live.last = chunks
      .map(({ tMs, v }): [number, number] => [zeroMs + tMs.at(-1)!, v.at(-1)!])
      .reduce((x, y) => (y[0] >= x[0] ? y : x), live.last)
    pushes.push(...since(live, before))
  }
  return pushes
}

interface Chunk {
  seq: number
  tMs: number[]
  v: number[]
}
/** All in one asking: six lanes have two dozen traces. */
async function chunksAfter(db: Connection, known: { id: string; seq: number }[]): Promise<Map<string, Chunk[]>> {
  const { rows } = await db.execute<{ id: string; seq: number; tMs: number[]; v: number[] }>(sql`
    select c.trace_id as id, c.seq, to_json(c.t_ms) as "tMs", to_json(c.v) as v from json_to_recordset(${JSON.stringify(known)}::json) as known (id uuid, seq int) join trace_chunk c on c.trace_id = known.id and c.seq > known.seq order by c.trace_id, c.seq`)
  return byKey(rows, (one) => one.id)
}

/**
 * Points not closer than they need be. What came late, between points that stand, is in the run and not on this
 * drawing.
 */
function thinnedAfter(
  afterMs: number,
  zeroMs: number,
  chunks: readonly Chunk[],
): { points: [number, number][]; seqs: number[] } {
  let next = afterMs + POINT_MS
  const points: [number, number][] = []
  const seqs: number[] = []
  for (const { seq, tMs, v } of [...chunks].sort((a, b) => a.tMs[0]! - b.tMs[0]!)) {
    for (let i = 0; i < tMs.length; i++) {
      const atMs = zeroMs + tMs[i]!
      if (atMs < next) continue
      points.push([atMs, v[i]!])
      seqs.push(seq)
      next = atMs + POINT_MS
    }
  }
  return { points, seqs }
}
