/** A batch of lines becomes samples of the runs that burn: once, in one transaction, acknowledged when it is stored. */
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { instrumentReader } from '../../core/formats/instrumentLine'
import { problemText } from '../../core/result'
import type { LaneName } from '../../shared/benchAct'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import { CHANNEL_RULES, INGEST, type IngestAck } from '../../shared/feed'
import type { Connection, Database } from '../database/connection'
import { anyOf } from '../database/anyOf'
import { sha256 } from '../database/hash'
import { chunkRows, insertRows, type Samples } from '../database/repositories/traces'
import { ingestBatch, run, trace } from '../database/schema'
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
  const read = samplesOf(lines, from, nowMs)
  if (read.count > INGEST.maxSamples) return { ok: false, status: 413, text: `Batch: read ${read.count} samples, expected at most ${INGEST.maxSamples}. Send it in parts.` }
  try {
    return await db.transaction(async (tx): Promise<Ingested> => {
      const ack = await store(tx, from, id, read, nowMs)
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

type Refuse = (line: number, text: string, count?: number) => void
interface Read { byChannel: Map<ChannelName, Samples>, count: number, refused: { line: number, text: string, count: number }[] }

async function store(tx: Connection, from: Feed, id: string, { byChannel, refused }: Read, nowMs: number): Promise<IngestAck> {
  const ack: IngestAck = { batch: id, stored: 0, known: 0, idle: 0, refused: 0, problems: [] }
  const refuse: Refuse = (line, text, count = 1) => {
    ack.refused += count
    if (ack.problems.length < INGEST.maxProblems) ack.problems.push({ line, text })
  }
  for (const { line, text, count } of refused) refuse(line, text, count)
  const lanes = await standingLanes(tx, [...new Set([...byChannel.keys()].flatMap(channel => from.lanes[channel] ?? []))])
  // A rehearsal's air is not this place's.
  if (![...lanes.values()].some(at => at.rehearsed)) await tellNow(tx, from, byChannel)
  const parts: Part[] = []
  for (const [channel, samples] of byChannel) {
    for (const lane of from.lanes[channel]!) {
      const at = lanes.get(lane)
      if (at === undefined) ack.idle += samples.v.length
      else if (nowMs - at.zeroMs > LONGEST_STAND_MS) refuse(0, `Lane ${lane} has stood for more than three weeks. Finish or clear it first.`, samples.v.length)
      else parts.push({ channel, lane, runId: at.runId, samples: inOrder({ tMs: samples.tMs.map(atMs => atMs - at.zeroMs), v: samples.v }) })
    }
  }
  if (parts.length > 0) await storeParts(tx, from, parts, ack, refuse)
  return ack
}
/** A moment on a run's clock is kept in 32 bits of milliseconds, 24 days. */
const LONGEST_STAND_MS = 21 * 86_400_000

const readLine = instrumentReader(CHANNEL_RULES)
/** By channel, at moments since 1970 [ms]; a channel without a good sample is not named. */
function samplesOf(lines: readonly string[], from: Feed, nowMs: number): Read {
  const read: Read = { byChannel: new Map(), count: 0, refused: [] }
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue
    const refuse = (text: string, count = 1) => void read.refused.push({ line: i + 1, text, count })
    const said = readLine(line)
    if (!said.ok) {
      refuse(problemText(said.problem))
      continue
    }
    const { atMs, values, refused } = said.value
    if (refused) refuse(problemText(refused.why), refused.count)
    read.count += values.length
    const channel = said.value.channel as ChannelName
    if (from.lanes[channel]) takeTimed(held(read.byChannel, channel), atMs ?? [nowMs], values, nowMs, refuse)
    else if (values.length > 0) refuse(`${CHANNELS[channel].name}: this instrument is not said to follow it. Add it on the Bench.`, values.length)
  }
  for (const [channel, samples] of read.byChannel) if (samples.v.length === 0) read.byChannel.delete(channel)
  return read
}
function held(byChannel: Map<ChannelName, Samples>, channel: ChannelName): Samples {
  const samples = byChannel.get(channel) ?? { tMs: [], v: [] }
  byChannel.set(channel, samples)
  return samples
}

/** Those whose time can be: the rest are refused together, by the first of them. */
function takeTimed({ tMs, v }: Samples, atMs: readonly number[], values: readonly number[], nowMs: number, refuse: (text: string, count: number) => void): void {
  const wrong: number[] = []
  for (let i = 0; i < atMs.length; i++) {
    const at = atMs[i]!
    if (at > nowMs + INGEST.aheadMs || at < nowMs - INGEST.oldMs) wrong.push(at)
    else {
      tMs.push(at)
      v.push(values[i]!)
    }
  }
  if (wrong.length === 0) return
  const [at] = wrong
  // Beyond the year 275760 no date can be written.
  const said = Math.abs(at!) <= 8.64e15 ? new Date(at!).toISOString() : String(at)
  refuse(at! > nowMs ? `Time: ${said} is in the future here. Set the instrument’s clock, or send no time.` : `Time: ${said} is more than an hour old. Bring it in as a file on the run’s page.`, wrong.length)
}

/** In the order of time, as nearly all come. */
function inOrder({ tMs, v }: Samples): Samples {
  if (tMs.every((t, i) => i === 0 || tMs[i - 1]! <= t)) return { tMs, v }
  const order = tMs.map((_, i) => i).sort((a, b) => tMs[a]! - tMs[b]!)
  return { tMs: order.map(i => tMs[i]!), v: order.map(i => v[i]!) }
}

/** Runs that stand on lanes, armed or burning: a thermometer in the pot counts before the flame does. They are read in the order of their ids, as all who write to several do. */
async function standingLanes(tx: Connection, lanes: readonly LaneName[]): Promise<Map<LaneName, { runId: string, zeroMs: number, rehearsed: boolean }>> {
  if (lanes.length === 0) return new Map()
  const rows = await tx.select({ id: run.id, lane: run.lane, startedAt: run.startedAt, origin: run.origin }).from(run).where(and(inArray(run.lane, [...lanes]), inArray(run.state, ['draft', 'live']))).orderBy(asc(run.id)).for('share')
  return new Map(rows.map(row => [row.lane!, { runId: row.id, zeroMs: row.startedAt.getTime(), rehearsed: row.origin === 'rehearsal' }]))
}

/** Samples of one channel of one run [ms of its clock, SI], in order. */
interface Part { channel: ChannelName, lane: LaneName, runId: string, samples: Samples }
interface OwnTrace { id: string, feedId: string | null }

/** All parts in a handful of statements, however many they are. */
async function storeParts(tx: Connection, from: Feed, parts: readonly Part[], ack: IngestAck, refuse: Refuse): Promise<void> {
  const traces = await tracesFor(tx, from, parts)
  const mine = parts.flatMap((part) => {
    const own = traces.get(keyOf(part))!
    if (own.feedId === from.id) return [{ ...part, own }]
    refuse(0, `${CHANNELS[part.channel].name} on lane ${part.lane} is followed by another instrument. Stop that first, or give this one another lane.`, part.samples.v.length)
    return []
  })
  const standing = await standingOf(tx, mine)
  const rows = mine.flatMap(({ own, samples }) => {
    const { moments, lastSeq } = standing.get(own.id)!
    const fresh = freshOf(samples, moments, ack)
    ack.stored += fresh.v.length
    return chunkRows(own.id, fresh, lastSeq + 1)
  })
  if (rows.length === 0) return
  await insertRows(tx, rows)
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
async function standingOf(tx: Connection, parts: readonly { own: OwnTrace, samples: Samples }[]): Promise<Map<string, Standing>> {
  if (parts.length === 0) return new Map()
  const firsts = parts.map(({ own, samples }) => ({ id: own.id, first: samples.tMs[0]! }))
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
function freshOf(samples: Samples, standing: Map<number, number>, ack: IngestAck): Samples {
  // After all that stands, and no moment twice: nearly always.
  if (standing.size === 0 && samples.tMs.every((t, i) => i === 0 || samples.tMs[i - 1]! < t)) return samples
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
    ack.problems.push({ line: 0, text: `${differ === 1 ? 'One sample has' : `${differ} samples have`} the moment of another with another value. The first stays.` })
  }
  return fresh
}
