/** One set-up burned by several people, or on several benches: how far each is from the rest, and how they repeat. */
import { meanOf, medianOf, squaresOf } from './arms'

export interface RingArm {
  name: string
  /** Figures of its runs, above nought. */
  values: readonly number[]
}

export interface RingScore {
  who: string
  /** Distance from the robust mean in robust standard deviations; null: all are alike. */
  z: number | null
  /** Standard uncertainty of it, by how the burns repeat. */
  u: number | null
}

export interface RingTest {
  scores: RingScore[]
  /** Robust mean of the arms' means. */
  mean: number
  /** Relative, on logarithms: of the arms' means; within one arm; of one run of any arm. Null: no arm repeated. */
  robustSd: number
  repeatabilitySd: number | null
  reproducibilitySd: number | null
}

/** Values further out than so many standard deviations count as if they stood there. Source: algorithmA. */
const CLIP = 1.5
/** Makes the clipped standard deviation that of a normal sample. Source: algorithmA. */
const UNCLIP = 1.134
/** Makes a median of distances a standard deviation. Source: algorithmA. */
const MEDIAN_TO_SD = 1.483

/**
 * Robust mean and standard deviation: values are drawn in to ±1.5 s* and both worked out again until they stand.
 * Source: algorithmA. Example: 2.9, 3.1, 28.95, 3.4 → the 28.95 hardly counts.
 */
export function robustMean(values: readonly number[]): { mean: number; sd: number } {
  let mean = medianOf(values)
  let sd = MEDIAN_TO_SD * medianOf(values.map((value) => Math.abs(value - mean)))
  for (let round = 0; round < 200; round++) {
    const clipped = values.map((value) => Math.min(mean + CLIP * sd, Math.max(mean - CLIP * sd, value)))
    const next = meanOf(clipped)
    const nextSd = values.length < 2 ? 0 : UNCLIP * Math.sqrt(squaresOf(clipped) / (values.length - 1))
    const isSettled = Math.abs(next - mean) <= 1e-12 * Math.abs(mean) && Math.abs(nextSd - sd) <= 1e-12 * sd
    mean = next
    sd = nextSd
    if (isSettled) break
  }
  return { mean, sd }
}

/**
 * Scatter within arms, and of one run of any arm, by one-way analysis of variance; sd², not below nought between arms.
 * Source: repeatability. Null: no arm has two values.
 */
export function repeatability(arms: readonly (readonly number[])[]): { within: number; between: number } | null {
  const n = arms.reduce((sum, one) => sum + one.length, 0)
  const freedom = n - arms.length
  if (freedom < 1) return null
  const within = arms.reduce((sum, one) => sum + squaresOf(one), 0) / freedom
  if (arms.length < 2) return { within: Math.sqrt(within), between: Math.sqrt(within) }
  const grand = meanOf(arms.flat())
  const amongArms = arms.reduce((sum, one) => sum + one.length * (meanOf(one) - grand) ** 2, 0) / (arms.length - 1)
  const usual = (n - arms.reduce((sum, one) => sum + one.length ** 2, 0) / n) / (arms.length - 1)
  const betweenArms = Math.max(0, (amongArms - within) / usual)
  return { within: Math.sqrt(within), between: Math.sqrt(within + betweenArms) }
}

/** @param arms at least two, each with at least one value. Sources: algorithmA, repeatability. */
export function ringTest(arms: readonly RingArm[]): RingTest {
  const logs = arms.map(({ values }) => values.map((value) => Math.log(value)))
  const means = logs.map(meanOf)
  const { mean, sd } = robustMean(means)
  const spread = repeatability(logs)
  return {
    mean: Math.exp(mean),
    robustSd: sd,
    repeatabilitySd: spread?.within ?? null,
    reproducibilitySd: spread?.between ?? null,
    scores: arms.map(({ name, values }, i) => ({
      who: name,
      z: sd > 0 ? (means[i]! - mean) / sd : null,
      u: sd > 0 && spread !== null ? spread.within / Math.sqrt(values.length) / sd : null,
    })),
  }
}
