/** Picked runs against each other, by set-up: what may be said, and whether like stands with like. */
import type { LikeWithLike } from '../core/statistics/likeWithLike'
import type { Verdict } from '../core/statistics/compareArms'

export interface RunComparison {
  likeWithLike: LikeWithLike
  /** Thriftiest first. Arms that share a letter are not shown to differ. */
  arms: { name: string; geometricMeanGPerL: number; n: number; letters: string }[]
  pairs: (Pick<Verdict, 'text' | 'ratio' | 'ci95'> & { arms: [string, string]; adjustedP: number | null })[]
  /** How many origins those that were picked have. */
  origins: number
  /** Runs without a figure that can be compared, and why. */
  leftOut: { id: string; setup: string; why: string }[]
}
/** As many can be compared at once. */
export const MOST_COMPARED = 60
