/** What another volume of water does to the useful heat per gram of a set-up. */
import { FIRST_VOLUME } from './flameRow'
import type { FlameFit } from './flameFit'

/** For each doubling of the water, where no run says: more wetted wall takes more from the gas. Source: estimate. */
const U_PER_DOUBLING = 0.1

export interface VolumeStep {
  /** Useful heat per gram there over here, and its relative standard uncertainty. */
  factor: number
  u: number
  basis: 'ownSeries' | 'assumed'
}

/** Where a volume stands among a series' groups of volumes; 0 is the commonest, null: none is alike. */
export type VolumeOf = (waterKg: number) => number | null

/** @param fit of the series, with an intercept for each further volume. Source: flameModel. */
export function volumeStep(
  { theta, covariance }: FlameFit,
  volumeOf: VolumeOf,
  { fromKg, toKg }: { fromKg: number; toKg: number },
): VolumeStep {
  const [from, to] = [volumeOf(fromKg), volumeOf(toKg)]
  if (from === null || to === null)
    return { factor: 1, u: U_PER_DOUBLING * Math.abs(Math.log2(toKg / fromKg)), basis: 'assumed' }
  if (from === to) return { factor: 1, u: 0, basis: 'ownSeries' }
  const [i, k] = [parameterOf(from), parameterOf(to)]
  const intercept = (at: number | null) => (at === null ? 0 : theta[at]!)
  const shared = (a: number | null, b: number | null) => (a === null || b === null ? 0 : covariance[a]![b]!)
  const variance = shared(i, i) + shared(k, k) - 2 * shared(i, k)
  return { factor: Math.exp(intercept(k) - intercept(i)), u: Math.sqrt(Math.max(0, variance)), basis: 'ownSeries' }
}

/** The commonest volume has no intercept of its own. */
const parameterOf = (volume: number): number | null => (volume === 0 ? null : FIRST_VOLUME + volume - 1)
