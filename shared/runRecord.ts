/** A run as its page reads it, and a line of the list. */
import type { Rehearsed } from './rehearsal'
import type { Origin, TestKind } from '../core/formats/document'
import type { ReduceAnswer, RunAnswer, SetupAnswer } from '../core/formats/answer'
import type { MethodFindings } from '../core/method/checkRun'
import type { ClaimVerdict } from '../core/statistics/claim'
import type { ChannelName } from './channels'
import type { ChangedQuestion, RunCost } from './answers'
import type { AsidePress } from './keptPress'
import type { ObservationLine } from './observation'
import type { PhotoMeta } from './photo'
import type { Conventions, RunView } from './runOptions'
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
  setting: string | null
  /** The first burn of a new burner: in no figure but its own. */
  breakIn: boolean
  method: { id: string; name: string; n: number } | null
  container: { id: string; name: string } | null
  setupId: string
  setupN: number
  personId: string
  person: string
  placeId: string | null
  fuelId: string | null
  place: string | null
  placeAltitudeM: number | null
  setup: string
  fuel: string | null
  batch: string | null
  batchId: string | null
  /** Day that it was opened. */
  batchOpenedOn: string | null
  takeBurnShare: boolean
  parts: { role: PartRole; name: string; properties: ThingProperties }[]
  /** Current values in SI, with what was typed. */
  measurements: {
    quantity: MeasuredQuantity
    value: number
    typed: string
    unit: string
    correction: number | null
    instrument: string | null
  }[]
  events: {
    /** Changes with each correction. */
    id: string
    kind: EventKind
    atMs: number
    reason: string | null
    massG: number | null
    waterC: number | null
  }[]
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

/** A decision, a void, an amendment: who, when and why. */
export interface DecisionLine {
  question: string
  answer: string
  reason: string | null
  person: string
  at: string
}

export interface RunPage {
  record: RunRecord
  /** The view its figures are read in, with its method's conventions where the address names none. */
  view: RunView
  conventions: Conventions
  /** What its method wants and it lacks, and where it left the method's windows; null: by no method. */
  findings: MethodFindings | null
  /** Of a claim check: met, missed or cannot say. */
  claim: ClaimVerdict | null
  /** Questions of Compare that moved with it. */
  changed: ChangedQuestion[]
  /** By the newest price of its fuel; null: it did not boil, or its fuel was not weighed. */
  cost: RunCost | null
  decisions: DecisionLine[]
  voids: { voided: boolean; reason: string; person: string; at: string }[]
  observations: ObservationLine[]
  photos: PhotoMeta[]
  /** Presses beside the marks, as the bench kept them. */
  /** Null: it burned. */
  rehearsed: Rehearsed | null
  presses: AsidePress[]
  /** Said beside the flame, each at its moment [ms on the run's clock]. */
  benchNotes: { id: string; text: string; atMs: number | null }[]
  answer: RunAnswer
  ribbon: Ribbon
  /** Water temperature, [seconds, °C], thinned for drawing. */
  trace: [number, number][]
  /** What else was followed: thinned for drawing, [seconds, SI]. */
  channels: { channel: ChannelName; count: number; drawn: [number, number][] }[]
  reference: ReduceAnswer['reference']
  /** The mean and the wind of its set-up; null where none of its runs is wholly normalised. */
  setup: SetupAnswer | null
}

/** What a ribbon draws: marks on the run's clock, and the water at a few moments. */
export interface Ribbon {
  marks: { kind: EventKind; s: number }[]
  water: [number, number][]
  boilingC: number | null
  endS: number
  weighed: boolean
}

export interface RunLine extends RunIds {
  id: string
  startedAt: string
  zone: string
  setup: string
  place: string | null
  fuel: string | null
  kind: TestKind
  method: string | null
  voided: boolean
  breakIn: boolean
  setting: string | null
  /** Its main figure in its own terms, where that is not fuel per litre. */
  says: string | null
  timeToBoilS: number | null
  gPerL: number | null
  normalisedGPerL: number | null
  normalisedU: number | null
  status: RunAnswer['status']
  /** The gravest thing to say of it, in few words. */
  worstFlag: { severity: 'error' | 'warning'; text: string } | null
  ended: RunAnswer['ended']
  ribbon: Ribbon
  origin: Origin
  person: string
  efficiency: number | null
  burnRateGPerMin: number | null
  firepowerW: number | null
  tags: string[]
  /** Facts have changed since this was worked out; it is being worked out anew. */
  stale: boolean
}

/** What a run is of, by id; null: none. */
export interface RunIds {
  setupId: string
  placeId: string | null
  fuelId: string | null
  methodId: string | null
  personId: string
}
