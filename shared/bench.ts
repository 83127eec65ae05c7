/** The bench as a page has it: what stands on each lane, acknowledged by the server. */
import type { BurnerKind, Setting, TestKind } from '../core/formats/document'
import type { BenchOrder } from '../core/method/benchOrder'
import type { MethodBody, TestName } from '../core/method/method'
import type { BenchState } from '../core/run/benchStep'
import type { RehearsalScene } from '../core/simulate/rehearsal'
import type { LaneName } from './lanes'
import type { ChannelName } from './channels'
import type { MeasuredQuantity } from './measuredQuantity'

export interface LaneReading {
  id: string
  quantity: MeasuredQuantity
  value: number
  typed: string
  atMs: number | null
}
interface LaneNote {
  id: string
  text: string
  atMs: number | null
}

export interface Lane {
  lane: LaneName
  runId: string
  armedAtMs: number
  test: TestName
  kind: TestKind
  method: { name: string; n: number; body: MethodBody } | null
  setup: string
  burner: BurnerKind | null
  fuelKind: string | null
  fuel: string | null
  person: string
  place: string | null
  zone: string
  setting: Setting | null
  hasLid: boolean
  /** Water boils there [°C]; null: no altitude or pressure is known. */
  boilingC: number | null
  order: BenchOrder
  state: BenchState
  readings: LaneReading[]
  notes: LaneNote[]
  photos: number
  /** What stands in for a stove; null: it burns. */
  rehearsal: RehearsalScene | null
}

/** `gone`: runs that left the bench since, finished or cleared. */
export interface BenchPush {
  seq: number
  serverMs: number
  lanes: Lane[]
  gone: { runId: string; finished: boolean }[]
}
/** The bench whole. */
export interface Bench {
  seq: number
  serverMs: number
  lanes: Lane[]
}

/** What the strip shows of the air at this moment, as instruments send it: [ms of the bench's clock, SI]. */
export const SENT_NOW = ['air', 'wind', 'pressure'] as const satisfies readonly ChannelName[]
export type SentNow = Partial<Record<(typeof SENT_NOW)[number], [atMs: number, value: number]>>

/**
 * What instruments send of the runs on the bench: new points since the last push, thinned for a page, and the newest of
 * all. Moments on the bench's clock [ms], values SI.
 */
export interface SamplesPush {
  runId: string
  channel: ChannelName
  /** All so far where `whole`; else they stand in the place of what a page has from the first of them on. */
  points: [atMs: number, value: number][]
  last: [atMs: number, value: number]
  /** Of the last chunk among them: a page that was away says it, and is told what came since. */
  seq: number
  whole: boolean
}
/** By run and channel, how far a page has samples. */
export type SamplesHad = Record<string, Partial<Record<ChannelName, number>>>
