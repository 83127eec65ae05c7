/**
 * Samples of the runs on the bench, to every page: read once a process as they are committed, by whichever process took
 * them.
 */
import type { SamplesHad, SamplesPush } from '../../shared/bench'
import type { ChannelName } from '../../shared/channels'
import type { Connection } from '../database/connection'
import type { Notices } from '../database/notices'
import { SAMPLES_CHANNEL } from '../instruments/repository/parts'
import { runsOnBench } from './repository/lanes'
import { chunksAfter, tracesOfRuns, type Chunk } from './repository/samples'

/** Samples closer than this are one point on a page; the newest is always shown. */
const POINT_MS = 400
/** What is told within this time is told together. */
const TOGETHER_MS = 80

interface LiveTrace {
  runId: string
  channel: ChannelName
  seq: number
  points: [number, number][]
  /** Of each point, its chunk's number. */
  seqs: number[]
  last: [number, number]
  /** The chunk before its first point; 0: it is whole. */
  after: number
}
type Subscriber = (pushes: string) => void

interface Source {
  db: Connection
  notices: Notices
}

export class LiveSamples {
  readonly #source: Source
  readonly #traces = new Map<string, LiveTrace>()
  readonly #subscribers = new Set<Subscriber>()
  readonly #dirty = new Set<string>()
  #timer: ReturnType<typeof setTimeout> | null = null
  #toldAt = -Infinity
  #reading: Promise<unknown> = Promise.resolve()
  #begun = false
  /** Pages whose past is being read: what comes meanwhile is told to them too. */
  #joining = 0

  constructor(source: Source) {
    this.#source = source
  }

  /** Tells of every sample from now on. @returns what ends it */
  subscribe(subscriber: Subscriber): () => void {
    this.#subscribers.add(subscriber)
    if (!this.#begun) this.#source.notices.subscribe(SAMPLES_CHANNEL, (runId) => this.#came(runId))
    this.#begun = true
    return () => this.#subscribers.delete(subscriber)
  }

  /**
   * The runs on the bench, from where this page had them; what comes next is told to those who subscribe. `begin` is
   * called before anything else is told.
   */
  since(had: SamplesHad, begin: Subscriber): Promise<void> {
    this.#joining++
    const joined = this.#inTurn(async () => {
      const ids = await runsOnBench(this.#source.db)
      // What was read only from where another page had it is read anew for one that has less.
      const told = new Map<string, number>()
      for (const [key, { runId, channel, after, seq }] of this.#traces) {
        if (ids.includes(runId) && (had[runId]?.[channel] ?? 0) >= after) continue
        this.#traces.delete(key)
        told.set(key, seq)
      }
      this.#tell(await this.#readOn(ids, had, told))
      const whole = [...this.#traces.values()].filter((one) => one.seq > 0)
      begin(JSON.stringify(whole.flatMap((one) => since(one, had[one.runId]?.[one.channel]))))
    })
    return joined.finally(() => this.#joining--)
  }

  /** A run has new samples; null: each of them may have, since nobody was listening. */
  #came(runId: string | null): void {
    if (this.#subscribers.size === 0 && this.#joining === 0) return
    if (runId === null) {
      this.#inTurn(async () => this.#tell(await this.#readOn(await runsOnBench(this.#source.db)))).catch(
        () => undefined,
      )
      return
    }
    this.#dirty.add(runId)
    // The first after a quiet while is told at once.
    if (this.#timer !== null) return
    this.#timer = setTimeout(() => this.#tellDirty(), Math.max(0, this.#toldAt + TOGETHER_MS - performance.now()))
  }

  #tellDirty(): void {
    this.#timer = null
    this.#toldAt = performance.now()
    const ids = [...this.#dirty]
    this.#dirty.clear()
    this.#inTurn(async () => this.#tell(await this.#readOn(ids))).catch(() => undefined)
  }

  #tell(pushes: readonly SamplesPush[]): void {
    if (pushes.length === 0) return
    // Written once, however many subscribe.
    const told = JSON.stringify(pushes)
    for (const subscriber of this.#subscribers) subscriber(told)
  }

  /** One reading after another, so that no page is told twice or in another order. */
  #inTurn(work: () => Promise<void>): Promise<void> {
    const mine = this.#reading.catch(() => undefined).then(work)
    this.#reading = mine
    return mine
  }

  /**
   * @param had a process that has just begun reads from there on: half an hour of six lanes is half a million samples
   * @param told of traces that are read anew, how far those who subscribe have them
   */
  async #readOn(
    runIds: readonly string[],
    had: SamplesHad = {},
    told: ReadonlyMap<string, number> = new Map(),
  ): Promise<SamplesPush[]> {
    if (runIds.length === 0) return []
    const rows = await tracesOfRuns(this.#source.db, runIds)
    const standing = rows.map((row) => ({ ...row, live: this.#traces.get(row.id) ?? begun(row, had) }))
    const newer = await chunksAfter(
      this.#source.db,
      standing.map(({ id, live }) => ({ id, seq: live.seq })),
    )
    return standing.flatMap(({ id, live, startedAt }) => {
      this.#traces.set(id, live)
      const chunks = newer.get(id)
      if (chunks === undefined) return []
      const before = told.get(id) ?? live.seq
      append(live, chunks, startedAt.getTime())
      return since(live, before)
    })
  }
}

/** A trace of which nothing is read yet, from where a page has it. */
function begun({ runId, channel }: { runId: string; channel: ChannelName }, had: SamplesHad): LiveTrace {
  const seq = had[runId]?.[channel] ?? 0
  return { runId, channel, seq, points: [], seqs: [], last: [-Infinity, 0], after: seq }
}

function append(live: LiveTrace, chunks: readonly Chunk[], zeroMs: number): void {
  const { points, seqs } = thinnedAfter(live.points.at(-1)?.[0] ?? -Infinity, zeroMs, chunks)
  live.points.push(...points)
  live.seqs.push(...seqs)
  live.seq = chunks.at(-1)!.seq
  live.last = chunks
    .map(({ tMs, v }): [number, number] => [zeroMs + tMs.at(-1)!, v.at(-1)!])
    .reduce((x, y) => (y[0] >= x[0] ? y : x), live.last)
}

function since({ runId, channel, points, seqs, last, seq }: LiveTrace, had: number | undefined): SamplesPush[] {
  if (had === undefined) return [{ runId, channel, points, last, seq, whole: true }]
  if (had === seq) return []
  const first = seqs.findIndex((one) => one > had)
  return [{ runId, channel, points: first < 0 ? [] : points.slice(first), last, seq, whole: false }]
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
