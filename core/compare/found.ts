/** A question that was found, with its one-line answer. */
import type { TestKind } from '../formats/document'
import type { LikeWithLike } from '../statistics/likeWithLike'
import type { GroupCandidate, PairCandidate } from './candidates'
import type { ComparedFacts } from './facts'
import type { LotSums } from './lotSums'

type QuestionKind = PairCandidate['kind'] | GroupCandidate['kind'] | 'wind' | 'claim'

export interface FoundQuestion {
  kind: QuestionKind
  sentence: string
  /** Its answer. */
  line: string
  /** Of the second over the first, 95 %; null: it is no ratio. */
  effect: { ratio: number; low: number; high: number } | null
  p: number | null
  /** What its runs are alike in: "472 g, at full". */
  of: string
  /** How many runs it rests on: "6 and 5 runs". */
  runs: string
  grade: LikeWithLike['grade'] | null
  /** The usual scatter is in it. */
  isAssumed: boolean
  /** The kind of test that it is of, and the scatter that helps where runs are few. */
  testKind: TestKind
  priorSd: number | null
  /** Means that it is of, the first held against. */
  means: string[]
  /** Where it is asked: the part of the address that names it. */
  asks: Record<string, string>
}

/** What the runs of a mean sum up to, by its key; null: none of them is compared. */
export type SumsOf = (key: string) => LotSums | null

/** Facts of the runs of a mean, by its key. */
export type FactsOf = (key: string) => readonly ComparedFacts[]
