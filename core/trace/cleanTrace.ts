/** A temperature trace made fit for reading: spikes dropped, fast sampling averaged, its noise told. */

/** Parallel columns: seconds and °C, in time order. */
export interface Samples {
  s: Float64Array
  c: Float64Array
}

export interface CleanTrace extends Samples {
  /** Typical time between samples [s]. */
  everyS: number
  /** Standard deviation of the noise [K]. */
  noiseK: number
  /** Smallest step between readings: the resolution [K]. */
  stepK: number
  spikes: number
}

const BIN_S = 1
const SPIKE_WINDOW_S = 6
const SPIKE_POINTS = { least: 2, most: 15 }
const SPIKE_K = 3
/**
 * A point that differs from the mean of its neighbours by less is no spike, whatever the window says: it spares the
 * work.
 */
const SUSPICIOUS_K = 1.5

/**
 * Sorted, within −20…T_b + 6 °C, one sample a time, without spikes (off a robust local line by more than max(3 K, 5
 * MAD, 2 d)), averaged over 1 s where sampled faster.
 * @param trace [seconds, °C] in any order. Source: boilFinder.
 */
export function cleanTrace(trace: readonly (readonly [number, number])[], boilingC: number): CleanTrace {
  const kept = inOrder(trace, boilingC)
  const { stepK, noiseK } = noiseOf(kept)
  const { samples, spikes } = withoutSpikes(kept, stepK)
  const gapS = medianGap(samples.s)
  const fast = samples.s.length > 1 && gapS < BIN_S * 0.75
  const binned = fast ? inBins(samples) : samples
  const perBin = fast ? samples.s.length / Math.max(1, binned.s.length) : 1
  return {
    ...binned,
    everyS: fast ? medianGap(binned.s) : gapS,
    noiseK: Math.max(noiseK / Math.sqrt(perBin), perBin === 1 ? stepK / Math.sqrt(12) : 0),
    stepK,
    spikes,
  }
}

/** In time order and in range; of several samples at one time the first. */
function inOrder(trace: readonly (readonly [number, number])[], boilingC: number): Samples {
  const sorted = isSorted(trace) ? trace : [...trace].sort((a, b) => a[0] - b[0])
  const s = new Float64Array(sorted.length)
  const c = new Float64Array(sorted.length)
  let n = 0
  for (let i = 0; i < sorted.length; i++) {
    const time = sorted[i]![0]
    const temp = sorted[i]![1]
    if (!(temp >= -20 && temp <= boilingC + 6) || !Number.isFinite(time) || (n > 0 && time === s[n - 1])) continue
    s[n] = time
    c[n++] = temp
  }
  return { s: s.subarray(0, n), c: c.subarray(0, n) }
}

function isSorted(trace: readonly (readonly [number, number])[]): boolean {
  for (let i = 1; i < trace.length; i++) if (trace[i]![0] < trace[i - 1]![0]) return false
  return true
}

/** σ = 1.4826·median|second difference|/√6, at least d/√12; d the smallest step. */
function noiseOf({ c }: Samples): { stepK: number; noiseK: number } {
  let stepK = Infinity
  for (let i = 1; i < c.length; i++) {
    const step = Math.abs(c[i]! - c[i - 1]!)
    // Rounding in binary leaves dust between equal steps.
    if (step > 1e-6 && step < stepK) stepK = step
  }
  const bends = medianSample(c.length - 2, (i) => Math.abs(c[i + 2]! - 2 * c[i + 1]! + c[i]!))
  if (stepK === Infinity) stepK = 0
  return { stepK, noiseK: Math.max((1.4826 * medianOf(bends)) / Math.sqrt(6), stepK / Math.sqrt(12)) }
}

function withoutSpikes({ s, c }: Samples, stepK: number): { samples: Samples; spikes: number } {
  const n = s.length
  const keep = new Uint8Array(n).fill(1)
  let spikes = 0
  for (let i = 0; i < n; i++) {
    if (!isSuspicious(s, c, i) || !isSpike(s, c, i, stepK)) continue
    keep[i] = 0
    spikes++
  }
  if (spikes === 0) return { samples: { s, c }, spikes }
  return { samples: { s: s.filter((_, i) => keep[i] === 1), c: c.filter((_, i) => keep[i] === 1) }, spikes }
}

function isSuspicious(s: Float64Array, c: Float64Array, i: number): boolean {
  const before = i === 0 ? i + 1 : i - 1
  const after = i === s.length - 1 ? i - 1 : i + 1
  if (before < 0 || after < 0 || before >= s.length || after >= s.length) return false
  const share = after === before ? 0 : (s[i]! - s[before]!) / (s[after]! - s[before]!)
  return Math.abs(c[i]! - (c[before]! + share * (c[after]! - c[before]!))) > SUSPICIOUS_K
}

/** Against a robust line (Theil–Sen) through its neighbours within 6 s. */
function isSpike(s: Float64Array, c: Float64Array, i: number, stepK: number): boolean {
  const near = neighbours(s, i)
  if (near.length < SPIKE_POINTS.least) return false
  const slopes: number[] = []
  for (let a = 0; a < near.length; a++)
    for (let b = a + 1; b < near.length; b++) slopes.push((c[near[b]!]! - c[near[a]!]!) / (s[near[b]!]! - s[near[a]!]!))
  const slope = medianOf(Float64Array.from(slopes))
  const levels = Float64Array.from(near, (j) => c[j]! - slope * (s[j]! - s[i]!))
  const level = medianOf(levels)
  const mad = medianOf(levels.map((value) => Math.abs(value - level)))
  return Math.abs(c[i]! - level) > Math.max(SPIKE_K, 5 * mad, 2 * stepK)
}

function neighbours(s: Float64Array, i: number): number[] {
  const near: number[] = []
  for (let reach = 1; near.length < SPIKE_POINTS.most; reach++) {
    const [left, right] = [i - reach, i + reach]
    const hasLeft = left >= 0 && s[i]! - s[left]! <= SPIKE_WINDOW_S
    const hasRight = right < s.length && s[right]! - s[i]! <= SPIKE_WINDOW_S
    if (!hasLeft && !hasRight) break
    if (hasLeft) near.push(left)
    if (hasRight) near.push(right)
  }
  return near.sort((a, b) => a - b)
}

/** Means of time and temperature over whole seconds. */
function inBins({ s, c }: Samples): Samples {
  const times: number[] = []
  const temps: number[] = []
  for (let i = 0; i < s.length;) {
    const bin = Math.floor(s[i]! / BIN_S)
    let [sumS, sumC, n] = [0, 0, 0]
    for (; i < s.length && Math.floor(s[i]! / BIN_S) === bin; i++) {
      sumS += s[i]!
      sumC += c[i]!
      n++
    }
    times.push(sumS / n)
    temps.push(sumC / n)
  }
  return { s: Float64Array.from(times), c: Float64Array.from(temps) }
}

function medianGap(s: Float64Array): number {
  return medianOf(medianSample(s.length - 1, (i) => s[i + 1]! - s[i]!, ENOUGH_GAPS))
}

/** For the median of a long list, some thousands of its values do. */
const ENOUGH_FOR_A_MEDIAN = 5000
const ENOUGH_GAPS = 150

function medianSample(n: number, valueAt: (i: number) => number, enough = ENOUGH_FOR_A_MEDIAN): Float64Array {
  const every = Math.max(1, Math.ceil(n / enough))
  const values = new Float64Array(Math.max(0, Math.ceil(n / every)))
  for (let i = 0; i < values.length; i++) values[i] = valueAt(i * every)
  return values
}

/** Median; 0 of nothing. The array is sorted in place. */
export function medianOf(values: Float64Array): number {
  const n = values.length
  if (n === 0) return 0
  values.sort()
  return n % 2 === 1 ? values[(n - 1) / 2]! : (values[n / 2 - 1]! + values[n / 2]!) / 2
}
