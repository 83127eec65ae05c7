/** A batch of lines becomes samples of the runs that burn: once, in one transaction, acknowledged when it is stored. */
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { parseInstrumentLine } from '../../core/formats/instrumentLine'
import { problemText } from '../../core/result'
import type { LaneName } from '../../shared/benchAct'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import { CHANNEL_RULES, INGEST, type IngestAck } from '../../shared/feed'
import type { Connection, Database } from '../database/connection'
import { anyOf } from '../database/anyOf'
import { sha256 } from '../database/hash'
import { chunkRows } from '../database/repositories/traces'
import { ingestBatch, run, trace, traceChunk } from '../database/schema'
import type { Feed } from './feeds'
import { tellNow } from './sentNow'

/** Told at the commit, with the run that has new samples. */
export const SAMPLES_CHANNEL = 'vulcanum_samples'

export interface Batch { id: string, lines: readonly string[] }
export type Ingested = { ok: true, ack: IngestAck } | { ok: false, status: 409 | 413 | 422, text: string }

/** One at a time for each instrument: a flood of one waits for itself, not the others for it. */
const turns = new Map<string, Promise<unknown>>()
export function ingest(db: Database, from: Feed, batch: Batch, nowMs: number): Promise<Ingested> {
  const mine = (turns.get(from.id) ?? Promise.resolve()).catch(() => undefined).then(() => take(db, from, batch, nowMs))
  turns.set(from.id, mine)
  void mine.catch(() => undefined).finally(() => { if (turns.get(from.id) === mine) turns.delete(from.id) })
  return mine
}

async function take(db: Database, from: Feed, batch: Batch, nowMs: number): Promise<Ingested> {
  const { id, lines } = batch
  if (id === '' || id.length > INGEST.maxBatchId) return { ok: false, status: 422, text: `Batch: expected an id of 1 to ${INGEST.maxBatchId} characters.` }
  if (lines.length > INGEST.maxLines) return { ok: false, status: 413, text: `Batch: read ${lines.length} lines, expected at most ${INGEST.maxLines}. Send it in parts.` }
  const bodyHash = sha256(lines.join('\n'))
  const known = () => db.select({ bodyHash: ingestBatch.bodyHash, ack: ingestBatch.ack }).from(ingestBatch).where(and(eq(ingestBatch.feedId, from.id), eq(ingestBatch.batchId, id)))
  const again = (standing: { bodyHash: string, ack: IngestAck }): Ingested =>
    (standing.bodyHash === bodyHash ? { ok: true, ack: standing.ack } : { ok: false, status: 409, text: 'A batch of this id is stored with other lines. Nothing was changed; give each batch an id of its own.' })
  const [before] = await known()
  if (before) return again(before)
  try {
    return await db.transaction(async (tx): Promise<Ingested> => {
      const ack = await store(tx, from, batch, nowMs)
      // Waits for the same batch by another way, and knows it then.
      const own = await tx.insert(ingestBatch).values({ feedId: from.id, batchId: id, bodyHash, lines: lines.length, ack }).onConflictDoNothing().returning({ id: ingestBatch.batchId })
      if (own.length === 0) throw new Overtaken()
      return { ok: true, ack }
    })
  } catch (error) {
    if (!(error instanceof Overtaken)) throw error
    return again((await known())[0]!)
  }
}
/** The same batch came by another process meanwhile: what this one did is undone. */
class Overtaken extends Error {}

type Samples = [atMs: number, value: number][]
type Refuse = (line: number, text: string, count?: number) => void

async function store(tx: Connection, from: Feed, { id, lines }: Batch, nowMs: number): Promise<IngestAck> {
  const ack: IngestAck = { batch: id, stored: 0, known: 0, idle: 0, refused: 0, problems: [] }
  const refuse: Refuse = (line, text, count = 1) => {
    ack.refused += count
    if (ack.problems.length < INGEST.maxProblems) ack.problems.push({ line, text })
  }
  const byChannel = samplesOf(lines, from, nowMs, refuse)
  const lanes = await standingLanes(tx, [...new Set([...byChannel.keys()].flatMap(channel => from.lanes[channel] ?? []))])
  // A rehearsal's air is not this place's.
  if (![...lanes.values()].some(at => at.rehearsed)) await tellNow(tx, from, byChannel)
  const parts: Part[] = []
  for (const [channel, samples] of byChannel) {
    for (const lane of from.lanes[channel]!) {
      const at = lanes.get(lane)
      if (at) parts.push({ channel, lane, runId: at.runId, samples: samples.map(([atMs, value]): [number, number] => [atMs - at.zeroMs, value]).sort((a, b) => a[0] - b[0]) })
      else ack.idle += samples.length
    }
  }
  if (parts.length > 0) await storeParts(tx, from, parts, ack, refuse)
  return ack
}

function samplesOf(lines: readonly string[], from: Feed, nowMs: number, refuse: Refuse): Map<ChannelName, Samples> {
  const byChannel = new Map<ChannelName, Samples>()
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue
    const read = parseInstrumentLine(line, CHANNEL_RULES)
    if (!read.ok) {
      refuse(i + 1, problemText(read.problem))
      continue
    }
    const channel = read.value.channel as ChannelName
    const atMs = read.value.atMs ?? nowMs
    if (!from.lanes[channel]) refuse(i + 1, `${CHANNELS[channel].name}: this instrument is not said to follow it. Add it on the Bench.`)
    else if (atMs > nowMs + INGEST.aheadMs) refuse(i + 1, `Time: ${new Date(atMs).toISOString()} is in the future here. Set the instrument’s clock, or send no time.`)
    else if (atMs < nowMs - INGEST.oldMs) refuse(i + 1, `Time: ${new Date(atMs).toISOString()} is more than an hour old. Bring it in as a file on the run’s page.`)
    else if (byChannel.has(channel)) byChannel.get(channel)!.push([atMs, read.value.value])
    else byChannel.set(channel, [[atMs, read.value.value]])
  }
  return byChannel
}

/** Runs that stand on lanes, armed or burning: a thermometer in the pot counts before the flame does. They are read in the order of their ids, as all who write to several do. */
async function standingLanes(tx: Connection, lanes: readonly LaneName[]): Promise<Map<LaneName, { runId: string, zeroMs: number, rehearsed: boolean }>> {
  if (lanes.length === 0) return new Map()
  const rows = await tx.select({ id: run.id, lane: run.lane, startedAt: run.startedAt, origin: run.origin }).from(run).where(and(inArray(run.lane, [...lanes]), inArray(run.state, ['draft', 'live']))).orderBy(asc(run.id)).for('share')
  return new Map(rows.map(row => [row.lane!, { runId: row.id, zeroMs: row.startedAt.getTime(), rehearsed: row.origin === 'rehearsal' }]))
}

/** Samples of one channel of one run [ms of its clock, SI], in order. */
interface Part { channel: ChannelName, lane: LaneName, runId: string, samples: [number, number][] }
interface OwnTrace { id: string, feedId: string | null }

/** All parts in a handful of statements, however many they are. */
async function storeParts(tx: Connection, from: Feed, parts: readonly Part[], ack: IngestAck, refuse: Refuse): Promise<void> {
  const traces = await tracesFor(tx, from, parts)
  const mine = parts.flatMap((part) => {
    const own = traces.get(keyOf(part))!
    if (own.feedId === from.id) return [{ ...part, own }]
    refuse(0, `${CHANNELS[part.channel].name} on lane ${part.lane} is followed by another instrument. Stop that first, or give this one another lane.`, part.samples.length)
    return []
  })
  const standing = await standingOf(tx, mine)
  const rows = mine.flatMap(({ own, samples }) => {
    const { moments, lastSeq } = standing.get(own.id)!
    const fresh = freshOf(samples, moments, ack)
    ack.stored += fresh.length
    return chunkRows(own.id, fresh, lastSeq + 1)
  })
  if (rows.length === 0) return
  await tx.insert(traceChunk).values(rows)
  await tx.execute(sql`select pg_notify(${SAMPLES_CHANNEL}, id) from unnest(${sql.param([...new Set(mine.map(one => one.runId))])}::text[]) as id`)
}
const keyOf = ({ runId, channel }: { runId: string, channel: string }) => `${runId} ${channel}`

/** Each part's trace, made where there is none, held until the end of the transaction. */
async function tracesFor(tx: Connection, from: Feed, parts: readonly Part[]): Promise<Map<string, OwnTrace>> {
  const ids = [...new Set(parts.map(part => part.runId))]
  const held = async () => {
    const rows = await tx.select({ id: trace.id, runId: trace.runId, channel: trace.channel, feedId: trace.feedId }).from(trace).where(and(anyOf(trace.runId, ids), inArray(trace.channel, [...new Set(parts.map(part => part.channel))]), isNull(trace.removedAt))).orderBy(asc(trace.id)).for('update')
    return new Map(rows.map(row => [keyOf(row), row]))
  }
  const before = await held()
  const missing = parts.filter(part => !before.has(keyOf(part)))
  if (missing.length === 0) return before
  await tx.insert(trace).values(missing.map(({ runId, channel }) => ({ id: uuidv7(), runId, channel, unit: CHANNELS[channel].unit, feedId: from.id }))).onConflictDoNothing()
  return held()
}

interface Standing { /** The value of each moment from a part's first on. */ moments: Map<number, number>, lastSeq: number }
/** What each part's trace has already; read after it is held, so that nothing comes between. */
async function standingOf(tx: Connection, parts: readonly { own: OwnTrace, samples: readonly [number, number][] }[]): Promise<Map<string, Standing>> {
  if (parts.length === 0) return new Map()
  const firsts = parts.map(({ own, samples }) => ({ id: own.id, first: samples[0]![0] }))
  const { rows } = await tx.execute<{ id: string, last_seq: number, chunks: [number[], number[]][] | null }>(sql`
    select part.id, coalesce((select max(c.seq) from trace_chunk c where c.trace_id = part.id), 0) as last_seq,
      (select json_agg(json_build_array(c.t_ms, c.v)) from trace_chunk c where c.trace_id = part.id and c.last_ms >= part.first) as chunks
    from json_to_recordset(${JSON.stringify(firsts)}::json) as part (id uuid, first bigint)`)
  return new Map(rows.map(({ id, last_seq: lastSeq, chunks }) => {
    const moments = new Map<number, number>()
    for (const [tMs, v] of chunks ?? []) for (const [i, t] of tMs.entries()) moments.set(t, v[i]!)
    return [id, { moments, lastSeq }]
  }))
}

/** A sample is known by its moment: the same value again is the same sample; another is kept out, and said. */
function freshOf(samples: readonly [number, number][], standing: Map<number, number>, ack: IngestAck): [number, number][] {
  let differ = 0
  const fresh = samples.filter(([tMs, value]) => {
    const there = standing.get(tMs)
    if (there === undefined) {
      standing.set(tMs, value)
      return true
    }
    if (there === value) ack.known += 1
    else differ += 1
    return false
  })
  if (differ > 0) {
    ack.refused += differ
    ack.problems.push({ line: 0, text: `${differ === 1 ? 'One sample has' : `${differ} samples have`} the moment of another with another value. The first stays.` })
  }
  return fresh
}
