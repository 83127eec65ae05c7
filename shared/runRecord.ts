/** A run as its page reads it, and a line of the list. */
import type { Origin, TestKind } from '../core/formats/document'
import type { ReduceAnswer, RunAnswer, SetupAnswer } from '../core/formats/answer'
import type { EventKind } from '../core/run/events'
import type { MeasuredQuantity } from './measuredQuantity'
import type { PartRole, ThingProperties } from './thing'
import type { TypedEventKind } from './typedRun'

export interface RunRecord {
  id: string
  origin: Origin
  kind: TestKind
  state: string
  startedAt: string
  zone: string
  notes: string
  revision: number
  person: string
  place: string | null
  placeAltitudeM: number | null
  setup: string
  fuel: string | null
  batch: string | null
  takeBurnShare: boolean
  parts: { role: PartRole, name: string, properties: ThingProperties }[]
  /** Current values in SI, with what was typed. */
  measurements: { quantity: MeasuredQuantity, value: number, typed: string, unit: string }[]
  events: { kind: EventKind, atMs: number, reason: string | null }[]
  history: HistoryEntry[]
}

/** A reading or a time that was corrected or added after the run was logged. */
export interface HistoryEntry {
  what: MeasuredQuantity | TypedEventKind
  /** As typed then; null where nothing stood. */
  was: string | null
  now: string
  reason: string
  person: string
  at: string
}

export interface RunPage {
  record: RunRecord
  answer: RunAnswer
  ribbon: Ribbon
  /** Water temperature, [seconds, °C]. */
  trace: [number, number][]
  reference: ReduceAnswer['reference']
  /** The mean and the wind of its set-up; null where none of its runs is wholly normalised. */
  setup: SetupAnswer | null
}

/** What a ribbon draws: marks on the run's clock, and the water at a few moments. */
export interface Ribbon {
  marks: { kind: EventKind, s: number }[]
  water: [number, number][]
  boilingC: number | null
  endS: number
  weighed: boolean
}

export interface RunLine {
  id: string
  startedAt: string
  zone: string
  setup: string
  place: string | null
  fuel: string | null
  timeToBoilS: number | null
  gPerL: number | null
  normalisedGPerL: number | null
  normalisedU: number | null
  status: RunAnswer['status']
  /** The gravest thing to say of it, in few words. */
  worstFlag: { severity: 'error' | 'warning', text: string } | null
  ended: RunAnswer['ended']
  ribbon: Ribbon
}
