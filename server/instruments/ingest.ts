/** A batch of lines becomes samples of the runs that burn: once, in one transaction, acknowledged when it is stored. */
import { and, asc, desc, eq, gte, inArray, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { parseInstrumentLine } from '../../core/formats/instrumentLine'
import { problemText } from '../../core/result'
import type { LaneName } from '../../shared/benchAct'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import { CHANNEL_RULES, INGEST, type IngestAck } from '../../shared/feed'
import type { Connection, Database } from '../database/connection'
import { sha256 } from '../database/hash'
import { insertChunks } from '../database/repositories/traces'
import { ingestBatch, run, trace, traceChunk } from '../database/schema'
import type { Feed } from './feeds'

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

async function take(db: Database, from: Feed, { id, lines }: Batch, nowMs: number): Promise<Ingested> {
  if (id === '' || id.length > INGEST.maxBatchId) return { ok: false, status: 422, text: `Batch: expected an id of 1 to ${INGEST.maxBatchId} characters.` }
  if (lines.length > INGEST.maxLines) return { ok: false, status: 413, text: `Batch: read ${lines.length} lines, expected at most ${INGEST.maxLines}. Send it in parts.` }
  const bodyHash = sha256(lines.join('\n'))
  return db.transaction(async (tx): Promise<Ingested> => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`${from.id} ${id}`}, 8))`)
    const [known] = await tx.select({ bodyHash: ingestBatch.bodyHash, ack: ingestBatch.ack }).from(ingestBatch).where(and(eq(ingestBatch.feedId, from.id), eq(ingestBatch.batchId, id)))
    if (known) return known.bodyHash === bodyHash ? { ok: true, ack: known.ack } : { ok: false, status: 409, text: 'A batch of this id is stored with other lines. Nothing was changed; give each batch an id of its own.' }
    const ack = await store(tx, from, { id, lines }, nowMs)
    await tx.insert(ingestBatch).values({ feedId: from.id, batchId: id, bodyHash, lines: lines.length, ack })
    return { ok: true, ack }
  })
}

type Samples = [atMs: number, value: number][]

async function store(tx: Connection, from: Feed, { id, lines }: Batch, nowMs: number): Promise<IngestAck> {
  const ack: IngestAck = { batch: id, stored: 0, known: 0, idle: 0, refused: 0, problems: [] }
  const refuse = (line: number, text: string, count = 1) => {
    ack.refused += count
    if (ack.problems.length < INGEST.maxProblems) ack.problems.push({ line, text })
  }
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
    else byChannel.set(channel, [...byChannel.get(channel) ?? [], [atMs, read.value.value]])
  }
  const lanes = await standingLanes(tx, [...new Set([...byChannel.keys()].flatMap(channel => from.lanes[channel] ?? []))])
  for (const [channel, samples] of byChannel) {
    for (const lane of from.lanes[channel]!) {
      const at = lanes.get(lane)
      if (!at) ack.idle += samples.length
      else await storeFor(tx, { from, channel, lane, ...at, samples }, ack, refuse)
    }
  }
  return ack
}

/** Runs that stand on lanes, armed or burning: a thermometer in the pot counts before the flame does. They are read in the order of their ids, as all who write to several do. */
async function standingLanes(tx: Connection, lanes: readonly LaneName[]): Promise<Map<LaneName, { runId: string, zeroMs: number }>> {
  if (lanes.length === 0) return new Map()
  const rows = await tx.select({ id: run.id, lane: run.lane, startedAt: run.startedAt }).from(run).where(and(inArray(run.lane, [...lanes]), inArray(run.state, ['draft', 'live']))).orderBy(asc(run.id)).for('share')
  return new Map(rows.map(row => [row.lane!, { runId: row.id, zeroMs: row.startedAt.getTime() }]))
}

interface ForRun { from: Feed, channel: ChannelName, lane: LaneName, runId: string, zeroMs: number, samples: Samples }

async function storeFor(tx: Connection, { from, channel, lane, runId, zeroMs, samples }: ForRun, ack: IngestAck, refuse: (line: number, text: string, count: number) => void): Promise<void> {
  await tx.insert(trace).values({ id: uuidv7(), runId, channel, unit: CHANNELS[channel].unit, feedId: from.id }).onConflictDoNothing()
  const [own] = await tx.select().from(trace).where(and(eq(trace.runId, runId), eq(trace.channel, channel), isNull(trace.removedAt))).for('update')
  if (own!.feedId !== from.id) return refuse(0, `${CHANNELS[channel].name} on lane ${lane} is followed by another instrument. Stop that first, or give this one another lane.`, samples.length)
  const sorted = [...samples].sort((a, b) => a[0] - b[0]).map(([atMs, value]): [number, number] => [atMs - zeroMs, value])
  const fresh = await withoutStanding(tx, own!.id, sorted, ack)
  if (fresh.length === 0) return
  const [last] = await tx.select({ seq: traceChunk.seq }).from(traceChunk).where(eq(traceChunk.traceId, own!.id)).orderBy(desc(traceChunk.seq)).limit(1)
  await insertChunks(tx, own!.id, fresh, (last?.seq ?? 0) + 1)
  ack.stored += fresh.length
  await tx.execute(sql`select pg_notify(${SAMPLES_CHANNEL}, ${runId})`)
}

/** A sample is known by its moment: the same value again is the same sample; another is kept out, and said. */
async function withoutStanding(tx: Connection, traceId: string, sorted: [number, number][], ack: IngestAck): Promise<[number, number][]> {
  const standing = new Map<number, number>()
  const chunks = await tx.select({ tMs: traceChunk.tMs, v: traceChunk.v }).from(traceChunk).where(and(eq(traceChunk.traceId, traceId), gte(traceChunk.lastMs, sorted[0]![0])))
  for (const chunk of chunks) for (const [i, tMs] of chunk.tMs.entries()) standing.set(tMs, chunk.v[i]!)
  let differ = 0
  const fresh = sorted.filter(([tMs, value]) => {
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
