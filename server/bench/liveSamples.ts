/** Samples of the runs on the bench, to every page: read once a process as they are committed, by whichever process took them. */
import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { SamplesPush } from '../../shared/bench'
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

interface LiveTrace { runId: string, channel: ChannelName, seq: number, points: [number, number][], last: [number, number] }
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
  timer ??= setTimeout(() => {
    timer = null
    toldAt = performance.now()
    const ids = [...dirty]
    dirty.clear()
    inTurn(async () => {
      const pushes = await readOn(useDatabase(), ids)
      if (pushes.length === 0) return
      // Written once, however many hear it.
      const told = JSON.stringify(pushes)
      for (const hearer of hearers) hearer(told)
    }).catch(() => undefined)
  }, Math.max(0, toldAt + TOGETHER_MS - performance.now()))
}

/** All so far of the runs on the bench; what comes next is told to those who hear. `begin` is called before anything else is told. */
export function samplesSoFar(begin: (pushes: string) => void): Promise<void> {
  return inTurn(async () => {
    const db = useDatabase()
    const ids = (await db.select({ id: run.id }).from(run).where(inArray(run.state, ['draft', 'live']))).map(row => row.id)
    for (const [key, one] of traces) if (!ids.includes(one.runId)) traces.delete(key)
    await readOn(db, ids)
    begin(JSON.stringify([...traces.values()].map(({ runId, channel, points, last }): SamplesPush => ({ runId, channel, points, last, whole: true }))))
  })
}

/** One reading after another, so that no page is told twice or in another order. */
function inTurn(work: () => Promise<void>): Promise<void> {
  const mine = reading.catch(() => undefined).then(work)
  reading = mine
  return mine
}

async function readOn(db: Connection, runIds: readonly string[]): Promise<SamplesPush[]> {
  if (runIds.length === 0) return []
  const rows = await db.select({ id: trace.id, runId: trace.runId, channel: trace.channel, startedAt: run.startedAt }).from(trace).innerJoin(run, eq(run.id, trace.runId)).where(and(anyOf(trace.runId, runIds), isNull(trace.removedAt)))
  const pushes: SamplesPush[] = []
  const newer = await chunksAfter(db, rows.map(({ id }) => ({ id, seq: traces.get(id)?.seq ?? 0 })))
  for (const { id, runId, channel, startedAt } of rows) {
    const known = traces.get(id)
    const chunks = newer.get(id)
    if (chunks === undefined) continue
    const zeroMs = startedAt.getTime()
    const fresh = chunks.flatMap(chunk => chunk.tMs.map((t, i): [number, number] => [zeroMs + t, chunk.v[i]!])).sort((a, b) => a[0] - b[0])
    const standing = known ?? { runId, channel: channel as ChannelName, seq: 0, points: [], last: fresh[0]! }
    const points = thinnedAfter(standing.points.at(-1)?.[0] ?? -Infinity, fresh)
    const last = fresh.at(-1)![0] >= standing.last[0] ? fresh.at(-1)! : standing.last
    traces.set(id, { ...standing, seq: chunks.at(-1)!.seq, points: [...standing.points, ...points], last })
    pushes.push({ runId, channel: channel as ChannelName, points, last, whole: false })
  }
  return pushes
}

/** All in one asking: six lanes have two dozen traces. */
async function chunksAfter(db: Connection, known: { id: string, seq: number }[]): Promise<Map<string, { seq: number, tMs: number[], v: number[] }[]>> {
  const { rows } = await db.execute<{ id: string, seq: number, tMs: number[], v: number[] }>(sql`
    select c.trace_id as id, c.seq, to_json(c.t_ms) as "tMs", to_json(c.v) as v from json_to_recordset(${JSON.stringify(known)}::json) as known (id uuid, seq int) join trace_chunk c on c.trace_id = known.id and c.seq > known.seq order by c.trace_id, c.seq`)
  return byKey(rows, one => one.id)
}

/** Points not closer than they need be. What came late, between points that stand, is in the run and not on this drawing. */
function thinnedAfter(afterMs: number, samples: readonly [number, number][]): [number, number][] {
  let next = afterMs + POINT_MS
  return samples.filter(([atMs]) => {
    if (atMs < next) return false
    next = atMs + POINT_MS
    return true
  })
}
