/** Monte Carlo: the same inputs drawn together, many times, as a check on first order. */
import { normalNumbers } from './normalNumbers'
import type { UncertainInput } from './propagate'

export interface MonteCarloOptions {
  /** At least 1; 20 000 for a published figure. */
  draws: number
  seed: number
  /** Called now and then with the share done; true from it stops the draws. */
  onProgress?: (share: number) => boolean
}

export interface Distribution {
  draws: number
  /** Draws whose result was not finite: it stalled, say. */
  lost: number
  mean: number
  sd: number
  /** Quantiles at 2.5, 16, 50, 84 and 97.5 %. */
  quantiles: [number, number, number, number, number]
  histogram: { from: number; to: number; counts: number[] }
}

const BINS = 40
const PROGRESS_EVERY = 2000

/**
 * Works one result out for `draws` draws of all inputs together.
 * @param drawn one result, its inputs drawn by the generator of standard normal numbers
 * @returns null where it was stopped, or no draw was finite. Seeded: the same seed, the same numbers. Source:
 * gumSupplement.
 */
export function monteCarlo(
  drawn: (normal: () => number) => number,
  { draws, seed, onProgress }: MonteCarloOptions,
): Distribution | null {
  const normal = normalNumbers(seed)
  const values = new Float64Array(draws)
  let n = 0
  for (let draw = 0; draw < draws; draw++) {
    const value = drawn(normal)
    if (Number.isFinite(value)) values[n++] = value
    if (draw % PROGRESS_EVERY === PROGRESS_EVERY - 1 && onProgress?.((draw + 1) / draws) === true) return null
  }
  return n === 0 ? null : distributionOf(values.subarray(0, n), draws)
}

/**
 * Draws inputs that are moved in place, and put back after each draw.
 * @param copy of x, to work on
 * @param together moves what all of them move together, and puts it back
 */
export function drawing<X extends object>(
  result: (x: X) => number,
  x: X,
  inputs: readonly UncertainInput<X>[],
  {
    copy,
    together,
  }: { copy: X; together: { move: (x: X, numbers: Float64Array) => void; putBack: (x: X, from: X) => void } },
): (normal: () => number) => number {
  const moves = inputs.map((input) => input.move)
  const us = Float64Array.from(inputs, (input) => input.u)
  const putBacks = inputs.map((input) => input.putBack)
  const numbers = new Float64Array(inputs.length)
  return (normal) => {
    for (let i = 0; i < moves.length; i++) {
      numbers[i] = normal()
      moves[i]!(copy, us[i]! * numbers[i]!)
    }
    together.move(copy, numbers)
    const value = result(copy)
    together.putBack(copy, x)
    for (let i = 0; i < putBacks.length; i++) putBacks[i]!(copy, x)
    return value
  }
}

function distributionOf(values: Float64Array, draws: number): Distribution {
  const n = values.length
  values.sort()
  const mean = values.reduce((sum, value) => sum + value, 0) / n
  const sd = n === 1 ? 0 : Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1))
  const quantile = (share: number) => values[Math.min(n - 1, Math.max(0, Math.round(share * n - 0.5)))]!
  return {
    draws,
    lost: draws - n,
    mean,
    sd,
    quantiles: [quantile(0.025), quantile(0.16), quantile(0.5), quantile(0.84), quantile(0.975)],
    histogram: histogramOf(values, quantile(0.001), quantile(0.999)),
  }
}

/** The middle 99.8 %, in even bins. */
function histogramOf(sorted: Float64Array, from: number, to: number): Distribution['histogram'] {
  const counts = new Array<number>(BINS).fill(0)
  const width = (to - from) / BINS
  for (const value of sorted)
    if (value >= from && value <= to && width > 0) counts[Math.min(BINS - 1, Math.floor((value - from) / width))]!++
  return { from, to, counts }
}
