/** What the runs can answer, as the page shows it. */
import type { FoundQuestion } from '../core/compare/found'
import type { AskedUnit } from '../core/formats/comparison'
import type { RunView } from './runOptions'
import type { LikeWithLike } from '../core/statistics/likeWithLike'

/** A question of the list, and where it is asked. */
export interface ListedQuestion extends Omit<FoundQuestion, 'means' | 'p' | 'testKind' | 'priorSd'> {
  key: string
}

/** What a question said before runs came in. */
export interface BeforeAnswer {
  line: string
  effect: FoundQuestion['effect']
  runs: string
}

/** What a question said when it was kept, or says now. */
export interface KeptAnswer {
  sentence: string
  line: string
  effect: FoundQuestion['effect']
  /** Runs that were counted. */
  runs: number
  /** A ranking of that day, to be read again. */
  ranking?: RankingAnswer
}

export const QUESTION_GROUPS = ['shown', 'worthATest', 'together', 'rankings', 'wind', 'claims', 'people'] as const
export type QuestionGroup = (typeof QUESTION_GROUPS)[number]

/** A question that somebody keeps. */
export interface KeptLine {
  id: string
  name: string
  path: string
  query: Record<string, string>
  keptAt: string
  kept: KeptAnswer
  now: KeptAnswer
  fresh: KeptAnswer | null
}

export interface FoundQuestions {
  kept: KeptLine[]
  groups: { group: QuestionGroup; questions: ListedQuestion[]; more: number }[]
  /** Of those that a difference decides, how many were looked at. */
  looked: number
  /** Figures are still to come. */
  isWaiting: boolean
}

/** A run of an arm, as a row. */
export interface ComparedLine {
  id: string
  startedAt: string
  zone: string
  person: string | null
  /** Which arm, 0 or 1. */
  arm: number
  /** Corrected [g a boil], standard uncertainty; and as measured. */
  boilG: number
  u: number
  asMeasuredG: number | null
  isCounted: boolean
  /** What is to be known of it. */
  note: string
}

export interface ComparedArm {
  name: string
  setupId: string
  n: number
  /** Geometric mean [g a boil] with its 95 % interval. */
  boilG: number
  low: number
  high: number
}

/** How figures are read, corrected and measured: what every answer says of itself. */
export interface AskedView {
  view: RunView
  unit: AskedUnit
  /** Of money. */
  currency: string | null
  /** What was paid: "6.50 EUR for 230 g since 1 Feb 2026", each fuel's newest. */
  prices: { batchId: string; name: string; words: string }[]
  /** Fuels whose price is not known, in which nothing is measured in money. */
  unpriced: { batchId: string; name: string }[]
}

/** Two set-ups held against each other. */
export interface TwoAnswer extends AskedView {
  sentence: string
  of: string
  /** What may be said, and why no more. */
  line: string
  /** "1:14 sooner; 1:02 to 1:26 fits."; '': none is shown. */
  timeLine: string
  asMeasured: string
  /** The burner by itself is asked for; and whether it could be, where all that it brings is compared now. */
  isAlone: boolean
  mayBeAlone: boolean
  /** The versions that it is of, and the set-ups that were burned so and could stand in their places. */
  versions: [string, string]
  choices: { value: string; label: string }[]
  grade: LikeWithLike['grade']
  differences: LikeWithLike['differences']
  arms: [ComparedArm, ComparedArm]
  effect: FoundQuestion['effect']
  /** With the runs that were left out by hand; null: none were. */
  withAll: FoundQuestion['effect']
  /** Without any one run: least and most of the ratio; null: fewer than two each. */
  withoutOne: [number, number] | null
  by: string
  runs: ComparedLine[]
  /** Left out by themselves, and why. */
  notCounted: { id: string; startedAt: string; zone: string; arm: number; why: string }[]
}

/** What set-ups are ranked by. */
export const RANKED_BY = ['g', 's', 'MJ', 'money', 'measured'] as const
export type RankedBy = (typeof RANKED_BY)[number]

/** A ranking of set-ups, of one fuel or of all. */
export interface RankingAnswer extends AskedView {
  by: RankedBy
  isAcross: boolean
  /** The day of which it is, frozen; null: of now. */
  keptAt: string | null
  sentence: string
  line: string
  fuel: string
  rows: {
    name: string
    setupId: string
    from: number
    to: number
    n: number
    boilG: number
    low: number
    high: number
    tiedWith: string[]
    caution: string | null
    /** "new since 1 August", "was 3rd"; '': nothing to say. */
    moved: string
    /** As measured: start, wind and height. */
    conditions: string
    /** Normalised, for what is drawn against each other: grams and seconds of a boil; null: not known. */
    fuelG: number | null
    timeS: number | null
  }[]
  notRanked: { name: string; setupId: string; why: string }[]
  /** Other fuels, volumes and settings that are ranked. */
  others: { words: string; query: Record<string, string> }[]
}
