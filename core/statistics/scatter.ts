/** How far a figure is known from its repeats, where few of them, or a coarse scale, say less than they seem to. */
import { squaresOf, sumsOf, type AnyArm, type Reads } from './arms'

/** Scatter on logarithms that is taken as known so well as from so many runs. */
export interface PriorScatter {
  sd: number
  runs: number
  /** It is what is usual, and not the bench's own. */
  isAssumed: boolean
}
/** Of one burn with the next. Source: estimate. */
export const USUAL_SCATTER: PriorScatter = { sd: 0.04, runs: 3, isAssumed: true }
/** From so many runs on the bench's own scatter stands in its place. */
const ENOUGH_FOR_A_POOL = 10

/** From as many runs on an arm's scatter is its own. */
export const ENOUGH = 4

/** A mean's variance on logarithms, with its degrees of freedom. */
export interface Known {
  variance: number
  freedom: number
  /** Of one run [relative]. */
  sd: number
  /** The prior is in it. */
  isHelped: boolean
}

/** Two weighings by steps of one: √2·d/√12. Source: gumResolution. */
const roundingOf = ({ step, random }: Reads): number => Math.min(step ** 2 / 6, random)

/**
 * Variance of a mean of n: never below what the readings give, and rounding is not divided by n where the steps hide
 * the scatter (s < d/2): all of them may be rounded the same way.
 */
function ofMean(variance: number, n: number, observedSd: number, reads: Reads): number {
  const floored = Math.max(variance, reads.random)
  if (!(observedSd < reads.step / 2)) return floored / n
  const rounding = roundingOf(reads)
  return rounding + (floored - rounding) / n
}

/** Scatter of one run, never below what the readings give. */
const seenSd = (variance: number, first: Reads, second: Reads): number =>
  Math.sqrt(Math.max(variance, (first.random + second.random) / 2))

/** Of the difference of two arms' mean logarithms. Sources: welch, pooled. */
export function ofDifference(first: AnyArm, second: AnyArm, prior: PriorScatter): Known {
  const arms = [first, second].map((arm) => {
    const { n, squares, reads } = sumsOf(arm)
    const freedom = n - 1
    return { n, squares, freedom, sd: freedom > 0 ? Math.sqrt(squares / freedom) : 0, reads }
  })
  const [a, b] = arms as [(typeof arms)[number], (typeof arms)[number]]
  const freedom = a.freedom + b.freedom
  const squares = a.squares + b.squares
  if (Math.min(a.n, b.n) < ENOUGH) {
    const blended = withPrior(squares, freedom, prior)
    const [va, vb] = arms.map(({ n, sd, reads }) => ofMean(blended.variance, n, sd, reads)) as [number, number]
    return {
      variance: va + vb,
      freedom: blended.freedom,
      sd: seenSd(blended.variance, a.reads, b.reads),
      isHelped: true,
    }
  }
  const [va, vb] = arms.map((arm) => ofMean(arm.sd ** 2, arm.n, arm.sd, arm.reads)) as [number, number]
  const welch = va + vb === 0 ? Infinity : (va + vb) ** 2 / (va ** 2 / a.freedom + vb ** 2 / b.freedom)
  return { variance: va + vb, freedom: welch, sd: seenSd(squares / freedom, a.reads, b.reads), isHelped: false }
}

/**
 * Of the mean of differences within blocks.
 * @param ratios second over first, on logarithms, a block each
 */
export function ofPairs(first: AnyArm, second: AnyArm, ratios: readonly number[], prior: PriorScatter): Known {
  const n = ratios.length
  const squares = squaresOf(ratios)
  const own = { variance: squares / (n - 1), freedom: n - 1 }
  // A difference scatters √2 times what one run does.
  const known = n < ENOUGH ? withPrior(squares, n - 1, { ...prior, sd: prior.sd * Math.SQRT2 }) : own
  const [a, b] = [sumsOf(first).reads, sumsOf(second).reads]
  const reads = { random: a.random + b.random, step: Math.hypot(a.step, b.step) }
  return {
    variance: ofMean(known.variance, n, Math.sqrt(squares / (n - 1)), reads),
    freedom: known.freedom,
    sd: seenSd(known.variance / 2, a, b),
    isHelped: n < ENOUGH,
  }
}

/** The prior is worth its runs: one degree of freedom less than there are of them. */
function withPrior(squares: number, freedom: number, prior: PriorScatter): { variance: number; freedom: number } {
  const helped = freedom + prior.runs - 1
  return { variance: (squares + (prior.runs - 1) * prior.sd ** 2) / helped, freedom: helped }
}

/** What of repeated runs a pool is made of. */
export interface Repeated {
  n: number
  mean: number
  sd: number
}

/** A bench's scatter is known no finer than this. */
const FINEST = 0.001

/** The bench's own scatter, from ten runs on that were repeated; fewer: what is usual. Source: pooled. */
export function priorScatter(means: readonly Repeated[]): PriorScatter {
  const repeated = means.filter(({ n }) => n > 1)
  const runs = repeated.reduce((sum, { n }) => sum + n, 0)
  const freedom = runs - repeated.length
  if (runs < ENOUGH_FOR_A_POOL || freedom === 0) return USUAL_SCATTER
  const squares = repeated.reduce((sum, { n, sd, mean }) => sum + (n - 1) * (sd / mean) ** 2, 0)
  // One run more does not move every answer of the bench.
  const sd = Math.max(FINEST, Math.round(Math.sqrt(squares / freedom) / FINEST) * FINEST)
  return { sd, runs: USUAL_SCATTER.runs, isAssumed: false }
}
