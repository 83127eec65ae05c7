/** Answers of Compare beside differences and rankings, as their pages show them. */
import type { FoundQuestion } from '../core/compare/found'
import type { CompareAnswer, LineAnswer } from '../core/formats/comparison'
import type { ClaimWhat } from './claim'
import type { AskedView, ComparedArm } from './comparison'

/** Fuel against a flame, wind, air, height or volume. */
export interface LinesAnswer extends AskedView {
  kind: 'flameLine' | 'wind' | 'cold' | 'height' | 'volume'
  sentence: string
  line: string
  of: string
  /** Litres of a boil, where all are of one volume; null: a litre is shown. */
  litres: number | null
  arms: { name: string; setupId: string; n: number; isCounted: boolean }[]
  lines: LineAnswer[]
  leftOut: { id: string; why: string; startedAt: string; zone: string; setup: string }[]
  /** Set-ups that could be drawn beside. */
  others: { id: string; name: string }[]
}

/** What each part, or each tester, does. */
export interface FactorsAnswer extends AskedView {
  sentence: string
  line: string
  of: string
  factors: CompareAnswer['factors']
  runs: number
  setups: number
  leftOut: CompareAnswer['leftOut']
}
export interface PeopleAnswer extends AskedView {
  sentence: string
  line: string
  of: string
  arms: (ComparedArm & { z: number | null; zU: number | null })[]
  ring: CompareAnswer['ring']
}

/** What a maker says of a set-up, and what its runs say to it. */
export interface ClaimLine {
  id: string
  setupId: string
  setup: string
  what: ClaimWhat
  /** "half a litre in 2:30", as it is read out. */
  sentence: string
  conditions: string
  source: string
  says: 'met' | 'aboutAsSaid' | 'missed' | 'cannotSay'
  text: string
  /** Claimed and measured in one unit, the measured one with its 95 % interval; null: nothing was measured. */
  drawn: { claimed: number; measured: number; low: number; high: number; unit: string } | null
  runs: number
}

/** A set-up's boil against how long it takes. */
export interface CarriedAnswer {
  sentence: string
  line: string
  boils: number
  litres: number
  currency: string | null
  rows: CarriedRow[]
  /** Where one becomes lighter than another. */
  crossings: { boils: number; lighter: string; than: string }[]
  notDrawn: { name: string; setupId: string; why: string }[]
}
export interface CarriedRow {
  name: string
  setupId: string
  fuel: string
  fuelKind: string
  stoveG: number
  boilG: number
  /** One container: what it holds, and its empty weight. */
  contentG: number
  shellG: number
  isAssumed: boolean
  /** Carried for 1, 2, 3 … boils [g]: stove, pot and whole containers. */
  carriedG: number[]
  /** Of a boil; null: no price. */
  price: number | null
  timeS: number | null
}

/** Samples of runs laid over each other, from an event on. */
export interface TracesAnswer {
  align: TraceAlign
  lines: { id: string; name: string; trace: [number, number][]; boilS: number | null }[]
  left: { id: string; why: string }[]
}
export const TRACE_ALIGNS = ['potOn', 'lit', 'boil'] as const
export type TraceAlign = (typeof TRACE_ALIGNS)[number]

/** What was seen, counted step by step, and flames by wind. */
export interface SeenAnswer {
  scales: { scale: string; label: string; steps: string[] }[]
  rows: { name: string; setupId: string; counts: Record<string, Record<string, number>> }[]
  flames: {
    setupId: string
    name: string
    /** Runs of one pattern in one wind; with the newest of them, and a photo where one has it. */
    cells: {
      windMS: number | null
      step: string
      words: string
      n: number
      runId: string
      photoId: string | null
    }[]
  }[]
}

/** What can be asked: tests with the set-ups that were burned so. */
export interface AskChoices {
  tests: {
    words: string
    query: Record<string, string>
    setups: { versionId: string; setupId: string; name: string; n: number }[]
  }[]
}

/** What a run cost. */
export interface RunCost {
  words: string
  /** The batch that a price is to be added to; null: there is one. */
  missing: string | null
}

/** What a run changed: a question before and after it. */
export interface ChangedQuestion {
  sentence: string
  asks: Record<string, string>
  kind: FoundQuestion['kind']
  before: string
  now: string
}
