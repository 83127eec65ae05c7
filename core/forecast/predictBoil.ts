/**
 * While it burns: when it will boil, whether it ever will, whether the flame has died, and whether it boiled unseen.
 */

export interface SeenSoFar {
  /** Water temperature, [seconds, °C], from pot-on. */
  readings: readonly (readonly [number, number])[]
  /** Boiling point there, or the method's target [°C]. */
  boilingC: number
  /** Now [s], on the readings' clock. */
  nowS: number
  /** Among them are a thermometer's samples: one that lies low is its noise. */
  isSent?: boolean
}

export interface Prediction {
  /** Median and the middle 90 % of the boil [s]; `toS` null: it may never. Null: too few readings yet. */
  boil: { atS: number; fromS: number; toS: number | null } | null
  /** It tops out below the boil [°C]; null: it may yet boil. */
  stallsAtC: number | null
  /** The water falls though it has not boiled: since when [s]. */
  fallingSinceS: number | null
  /** The readings reached the boil at this moment [s]. */
  boiledAtS: number | null
}

/** Readings are thinned to so many, evenly in time. */
const MOST = 48
/** A reading by hand: stirred water and the eye [K], and the moment it stands for [s]. Source: estimate. */
const READING_U_K = 0.35
const READING_U_S = 2
/**
 * Rates tried at which the heat flow into the water falls [1/s]; 5·10⁻⁴ is usual: q0/Θ and the loss over two cups.
 * Source: estimate.
 */
const RATES = Array.from({ length: 61 }, (_, i) => -4e-4 + i * 1e-4)
const USUAL_RATE = 6e-4
const RATE_U = 7e-4
const STALL_P = 0.9
const FALL_K = 0.5
const NEAR_BOIL_K = 0.5

/** Since when the water falls though it has not boiled [s]; null: it does not. */
export function fallingSinceOf({ readings, boilingC, isSent }: Omit<SeenSoFar, 'nowS'>): number | null {
  const sorted = inOrder(readings)
  return reachedAt(sorted, boilingC) === null ? fallingSince(sorted, { boilingC, isSent }) : null
}

/** What the readings so far say. Source: newton. */
export function predictBoil({ readings, boilingC, nowS, isSent }: SeenSoFar): Prediction {
  const sorted = inOrder(readings)
  const boiledAtS = reachedAt(sorted, boilingC)
  const fallingSinceS = boiledAtS === null ? fallingSince(sorted, { boilingC, isSent }) : null
  const none: Prediction = { boil: null, stallsAtC: null, fallingSinceS, boiledAtS }
  const rising = fallingSinceS === null ? sorted : sorted.filter(([s]) => s <= fallingSinceS)
  const [first, last] = [rising[0], rising.at(-1)]
  if (boiledAtS !== null || fallingSinceS !== null || rising.length < 3 || last![1] - first![1] < 4) return none
  return { ...none, ...posterior(thinned(rising), boilingC, nowS) }
}

/** As they nearly always come: a thermometer's thousands are not sorted each second. */
function inOrder(readings: SeenSoFar['readings']): SeenSoFar['readings'] {
  for (let i = 1; i < readings.length; i++)
    if (readings[i]![0] < readings[i - 1]![0]) return [...readings].sort((a, b) => a[0] - b[0])
  return readings
}

/** The first reading at the boil, less the way it came [s]: between two readings, on the straight line. */
function reachedAt(readings: readonly (readonly [number, number])[], boilingC: number): number | null {
  const i = readings.findIndex(([, c]) => c >= boilingC - NEAR_BOIL_K)
  if (i < 0) return null
  const [s1, c1] = readings[i]!
  const [s0, c0] = readings[i - 1] ?? [s1, c1]
  return c1 === c0 ? s1 : s0 + ((boilingC - NEAR_BOIL_K - c0) / (c1 - c0)) * (s1 - s0)
}

/** The moment of the highest reading, where the last lies clearly under it. Many or sent: the last three all do. */
function fallingSince(
  readings: readonly (readonly [number, number])[],
  { boilingC, isSent }: Pick<SeenSoFar, 'boilingC' | 'isSent'>,
): number | null {
  if (readings.length < 2) return null
  const top = readings.reduce((best, one) => (one[1] >= best[1] ? one : best))
  const after = readings.filter(([s]) => s > top[0])
  const everyS = (readings.at(-1)![0] - readings[0]![0]) / (readings.length - 1)
  const enough = isSent || everyS < 10 ? 3 : 1
  return top[1] < boilingC - NEAR_BOIL_K &&
    after.length >= enough &&
    after.slice(-enough).every(([, c]) => c <= top[1] - FALL_K)
    ? top[0]
    : null
}

function thinned(readings: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  if (readings.length <= MOST) return readings
  return Array.from({ length: MOST }, (_, i) => readings[Math.round((i * (readings.length - 1)) / (MOST - 1))]!)
}

interface Candidate {
  weight: number
  atS: number | null
  sdS: number
  topC: number
}

/** Every rate tried, weighed by how well its curve fits and how usual it is; each predicts the boil in its own way. */
function posterior(
  readings: readonly (readonly [number, number])[],
  boilingC: number,
  nowS: number,
): Pick<Prediction, 'boil' | 'stallsAtC'> {
  const [t0] = readings[0]!
  const candidates = RATES.map((rate) => candidate(readings, { rate, t0, boilingC }))
  const best = Math.max(...candidates.map((one) => one.weight))
  const total = candidates.reduce((sum, one) => sum + Math.exp(one.weight - best), 0)
  const weighed = candidates.map((one) => ({ ...one, p: Math.exp(one.weight - best) / total }))
  const never = weighed.filter((one) => one.atS === null)
  const pNever = never.reduce((sum, one) => sum + one.p, 0)
  if (pNever > STALL_P) return { boil: null, stallsAtC: never.reduce((sum, one) => sum + one.p * one.topC, 0) / pNever }
  // Each candidate's own spread as five equal parts of a normal curve.
  const parts = weighed
    .flatMap(({ p, atS, sdS }) =>
      atS === null ? [] : NORMAL_FIFTHS.map((z) => ({ p: p / NORMAL_FIFTHS.length, s: Math.max(nowS, atS + z * sdS) })),
    )
    .sort((a, b) => a.s - b.s)
  return {
    boil: { atS: quantile(parts, 0.5) ?? parts.at(-1)!.s, fromS: quantile(parts, 0.05)!, toS: quantile(parts, 0.95) },
    stallsAtC: null,
  }
}
/** Middles of five equally likely parts of the normal curve. */
const NORMAL_FIFTHS = [-1.282, -0.524, 0, 0.524, 1.282]

function quantile(parts: readonly { p: number; s: number }[], q: number): number | null {
  let sum = 0
  for (const part of parts) {
    sum += part.p
    if (sum >= q) return part.s
  }
  return null
}

/**
 * T = a + b·(1 − e^{−kτ})/k at one k: a straight line in its own time, by least squares. Sums in plain loops: six lanes
 * ask each second.
 */
function candidate(
  readings: readonly (readonly [number, number])[],
  { rate, t0, boilingC }: { rate: number; t0: number; boilingC: number },
): Candidate {
  const n = readings.length
  const x = new Float64Array(n)
  let [meanX, meanC] = [0, 0]
  for (let i = 0; i < n; i++) {
    x[i] = grown(readings[i]![0] - t0, rate)
    meanX += x[i]! / n
    meanC += readings[i]![1] / n
  }
  let [sxx, sxc, scc] = [0, 0, 0]
  for (let i = 0; i < n; i++) {
    const [dx, dc] = [x[i]! - meanX, readings[i]![1] - meanC]
    sxx += dx * dx
    sxc += dx * dc
    scc += dc * dc
  }
  const slope = sxc / sxx
  const readingU = Math.hypot(READING_U_K, READING_U_S * Math.max(0, slope))
  const squares = Math.max(0, scc - slope * sxc) / (readingU * readingU)
  const weight = -squares / 2 - ((rate - USUAL_RATE) / RATE_U) ** 2 / 2 - Math.log(readingU) * n
  const neededX = meanX + (boilingC - meanC) / slope
  const topX = rate > 0 ? 1 / rate : Infinity
  const topC = meanC + slope * (topX - meanX)
  if (!(slope > 0) || neededX >= topX * 0.995) return { weight, atS: null, sdS: 0, topC: Math.min(topC, boilingC) }
  const atS = t0 + (Math.abs(rate) < 1e-9 ? neededX : -Math.log(1 - rate * neededX) / rate)
  const slopeThere = slope * Math.exp(-rate * (atS - t0))
  const sdC = readingU * Math.sqrt(1 / n + (neededX - meanX) ** 2 / sxx)
  return { weight, atS, sdS: sdC / slopeThere, topC }
}

const grown = (tau: number, rate: number): number => (Math.abs(rate) < 1e-9 ? tau : -Math.expm1(-rate * tau) / rate)
