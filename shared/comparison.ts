/** What the runs can answer, as the page shows it. */
import type { FoundQuestion } from '../core/compare/found'
import type { LikeWithLike } from '../core/statistics/likeWithLike'

/** A question of the list, and where it is asked. */
export interface ListedQuestion extends Omit<FoundQuestion, 'means' | 'p' | 'testKind' | 'priorSd'> {
  key: string
}

export const QUESTION_GROUPS = ['shown', 'worthATest', 'together', 'rankings', 'wind', 'people'] as const
export type QuestionGroup = (typeof QUESTION_GROUPS)[number]

export interface FoundQuestions {
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

/** Two set-ups held against each other. */
export interface TwoAnswer {
  sentence: string
  of: string
  /** What may be said, and why no more. */
  line: string
  asMeasured: string
  grade: LikeWithLike['grade']
  differences: LikeWithLike['differences']
  arms: [ComparedArm, ComparedArm]
  effect: FoundQuestion['effect']
  /** Without any one run: least and most of the ratio; null: fewer than two each. */
  withoutOne: [number, number] | null
  by: string
  runs: ComparedLine[]
  /** Left out by themselves, and why. */
  notCounted: { id: string; startedAt: string; zone: string; arm: number; why: string }[]
}

/** A ranking of the set-ups of one fuel. */
export interface RankingAnswer {
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
  }[]
  notRanked: { name: string; setupId: string; why: string }[]
  /** Other fuels, volumes and settings that are ranked. */
  others: { words: string; query: Record<string, string> }[]
}
