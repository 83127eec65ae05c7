/** The boil in a temperature trace, by its plateau: when it came, how surely, and how far off the probe reads. */
import { fail, ok, type R } from '../result'
import { cleanTrace, medianOf, type CleanTrace, type Samples } from './cleanTrace'
import { highestRunningMedian, settledLevel } from './runningTop'
import { withoutLag } from './withoutLag'
import { BELOW_LEVEL_K, hasPlateau, PLATEAU_POINTS, plateauSlope } from './plateau'
import { fitKnee, kneeResiduals, refineKnee, USUAL_BEND, type Knee } from './kneeFit'

export interface BoilEstimate {
  /**
   * boiled: a plateau; stalled: it stopped rising well short; near: within 4 K below the boiling point without a
   * plateau, so ask; short: it never came near.
   */
  status: 'boiled' | 'stalled' | 'near' | 'short'
  /** The offset-corrected crossing of T_b − 0.5 K [s]; null: no boil was found. */
  atS: number | null
  /** Its standard uncertainty [s]. */
  u: number | null
  /** Level of the plateau, or the highest it came [°C]. */
  levelC: number
  /** Probe offset, level less boiling point [K], and its standard uncertainty; without a plateau 0 ± 1 K. */
  offsetK: number
  offsetU: number
  /** Heating rate at the boil [K/s]. */
  slopeKPerS: number | null
  /** Dips were seen, as when the lid is lifted. */
  dips: boolean
  spikes: number
}

const FEWEST = 6
/** Further from the boiling point no level is a boil [K]. */
export const NEAR_K = 4
/** How much of the rise is fitted: over less, slow wiggles of convection move the knee [K]. */
const FIT_K = 45
/** The same where the residuals are wide against the noise: more periods of a wiggle average out. */
const WIDE_FIT_K = 75
/** Plateau taken into the fit, at most [s]. */
const PLATEAU_FIT_S = 90
const DIP_K = 2

export interface BoilFacts {
  /** Boiling point there [°C]. */
  boilingC: number
  /** The probe's known lag [s], taken out. */
  lagS?: number
  /** What its checks say it reads high by, and how well [K]; null: they say nothing. */
  offset?: { k: number; u: number } | null
  /** When the flame was put out or turned down for good, with no boil called [s]: what levels off then is none. */
  cutS?: number | null
}

/**
 * Finds the boil.
 * @param trace [seconds, °C]
 * @returns a problem where there are too few samples. Source: boilFinder.
 */
export function findBoil(trace: readonly (readonly [number, number])[], facts: BoilFacts): R<BoilEstimate> {
  return findBoilInClean(cleanTrace(trace, facts.boilingC), facts)
}

/** The same, of a trace that is clean already. */
export function findBoilInClean(found: CleanTrace, facts: BoilFacts): R<BoilEstimate> {
  const { boilingC, lagS = 0, offset = null, cutS = null } = facts
  const burning = cutS === null ? found : until(found, cutS)
  const clean = lagS > 0 ? withoutLag(burning, lagS) : burning
  if (clean.s.length < FEWEST)
    return fail({
      code: 'trace-too-short',
      what: 'The trace has too few samples to find a boil in',
      got: `${clean.s.length} usable`,
      limit: `at least ${FEWEST}`,
    })
  const highestC = highestRunningMedian(clean)
  const settled = settledLevel(clean, highestC)
  const topC = settled ?? highestC
  const capped = settled === null ? clean : { ...clean, c: clean.c.map((c) => Math.min(c, settled)) }
  const { knee, data } = fitRobustly(upToTop(capped, topC), capped, topC)
  return ok(judge(knee, data, { clean: capped, boilingC, topC, fallenK: highestC - topC, offset }))
}

/** While the flame burned. */
function until(clean: CleanTrace, endS: number): CleanTrace {
  const after = clean.s.findIndex((s) => s > endS)
  return after < 0 ? clean : { ...clean, s: clean.s.subarray(0, after), c: clean.c.subarray(0, after) }
}

/** What follows the last point near the top (the cooling) is cut. */
function upToTop({ s, c, stepK, noiseK }: CleanTrace, topC: number): Samples {
  const nearK = Math.max(1, 1.5 * stepK, 3 * noiseK)
  let last = s.length - 1
  while (last > 0 && c[last]! < topC - nearK) last--
  return { s: s.subarray(0, last + 1), c: c.subarray(0, last + 1) }
}

/** The last so many kelvin before the top, and so much of the plateau as tells its level. */
function lastStretch({ s, c }: Samples, topC: number, reachK: number): Samples {
  const everyS = s.length > 1 ? (s[s.length - 1]! - s[0]!) / (s.length - 1) : 1
  let reached = 0
  while (reached < s.length - 1 && c[reached]! < topC - 1.5) reached++
  let from = reached
  while (from > 0 && (c[from - 1]! > topC - reachK || (from > 1 && c[from - 2]! > topC - reachK))) from--
  const endS = s[reached]! + Math.max(PLATEAU_FIT_S, 12 * everyS)
  let to = reached
  while (to < s.length && s[to]! <= endS) to++
  return { s: s.subarray(from, to), c: c.subarray(from, to) }
}

/** Cauchy loss of scale 1.5 σ, and once more with the scale that the residuals ask for: slow wiggles are not in σ. */
function fitRobustly(cut: Samples, clean: CleanTrace, topC: number): { knee: Knee | null; data: Samples } {
  const data = lastStretch(cut, topC, FIT_K)
  const n = data.s.length
  if (n < PLATEAU_POINTS) return { knee: null, data }
  let rising = 0
  while (rising < n - 1 && data.c[rising]! < topC - 8) rising++
  const first = fitKnee(
    { ...data, scaleK: Math.max(1.5 * clean.noiseK, 0.02), bendWeight: 0 },
    data.s[rising]! - clean.everyS,
    data.s[n - 1]!,
  )
  if (first === null) return { knee: null, data }
  const residuals = kneeResiduals(data, first)
  for (let i = 0; i < residuals.length; i++) residuals[i] = Math.abs(residuals[i]!)
  const spread = 1.4826 * medianOf(residuals)
  if (spread <= clean.noiseK * 1.3) return { knee: first, data }
  const wide = lastStretch(cut, topC, WIDE_FIT_K)
  const bendWeight = (spread / Math.max(USUAL_BEND.u * first.slopeKPerS, 1e-9)) ** 2
  const second = refineKnee({ ...wide, scaleK: 1.5 * spread, bendWeight }, first, Math.max(12, 2 * clean.everyS))
  return second === null ? { knee: first, data } : { knee: second, data: wide }
}

interface Evidence extends Required<Pick<BoilFacts, 'boilingC' | 'offset'>> {
  clean: CleanTrace
  topC: number
  /** How far the top fell to where it settled [K]. */
  fallenK: number
}

/** Water is even to about so much while it heats, and a probe somewhere in it [K]. Source: estimate. */
const EVEN_K = 0.25

function judge(knee: Knee | null, data: Samples, at: Evidence): BoilEstimate {
  const { clean, boilingC, topC } = at
  const none = (status: BoilEstimate['status']): BoilEstimate => ({
    status,
    atS: null,
    u: null,
    levelC: topC,
    offsetK: 0,
    offsetU: 1,
    slopeKPerS: knee?.slopeKPerS ?? null,
    dips: false,
    spikes: clean.spikes,
  })
  const level = knee !== null && hasPlateau(knee, data, clean)
  const reachedC = knee !== null && level ? knee.levelC : topC
  if (knee === null || !level || Math.abs(reachedC - boilingC) > NEAR_K) {
    if (Math.abs(reachedC - boilingC) <= NEAR_K) return none('near')
    return none(level ? 'stalled' : 'short')
  }
  return boiled(knee, data, at)
}

function boiled(knee: Knee, data: Samples, { clean, boilingC, fallenK, offset }: Evidence): BoilEstimate {
  const residuals = kneeResiduals(data, knee)
  const dips = countDips(residuals, clean) > 0
  const before = data.s.findIndex((time) => time >= knee.kneeS)
  const uRead = Math.hypot(meanUncertainty(residuals.subarray(before), clean), clean.stepK / Math.sqrt(12))
  const offsetK = knee.levelC - boilingC
  const uLevel = Math.hypot(uRead, driftOf(data, knee), fallenK / 2, EVEN_K, unexplained(offsetK, offset))
  const rate = Math.sqrt(knee.slopeKPerS ** 2 + 4 * knee.bend * BELOW_LEVEL_K)
  // The end of a bent line is known less well than its middle.
  const uRise = END_LEVERAGE * meanUncertainty(residuals.subarray(0, before), clean)
  const u = (Math.hypot(uRise, uLevel) / rate + 0.09 * Math.min(clean.everyS, 15)) * (dips ? 3 : 1)
  return {
    status: 'boiled',
    atS: knee.kneeS - timeBelow(knee, BELOW_LEVEL_K),
    u,
    levelC: knee.levelC,
    offsetK,
    offsetU: uRead,
    slopeKPerS: rate,
    dips,
    spikes: clean.spikes,
  }
}

/** How far a plateau drifts while its level is read [K]. */
function driftOf({ s, c }: Samples, { kneeS }: Knee): number {
  return (Math.abs(plateauSlope(s, c, kneeS)) * Math.min(PLATEAU_FIT_S, s[s.length - 1]! - kneeS)) / 2
}

/** An offset that the probe's checks do not explain may be of the rise alone: as wide as both readings of it [K]. */
const unexplained = (offsetK: number, offset: Evidence['offset']): number =>
  isUnexplained(offsetK, offset) ? Math.abs(offsetK - offset!.k) / 2 : 0

/** Further off what its checks say than three standard uncertainties. */
export const isUnexplained = (offsetK: number, offset: { k: number; u: number } | null): boolean =>
  offset !== null && Math.abs(offsetK - offset.k) > 3 * offset.u

/** How long before the knee the fit lies so far below its level [s]. */
function timeBelow({ slopeKPerS: b, bend: c }: Knee, belowK: number): number {
  return (2 * belowK) / (b + Math.sqrt(b * b + 4 * c * belowK))
}

/** Stretches of at least two points well below the fit: a lid that was lifted. */
function countDips(residuals: Float64Array, { noiseK, stepK }: CleanTrace): number {
  const deep = -Math.max(DIP_K, 6 * noiseK, 2 * stepK)
  let dips = 0
  for (let i = 1; i < residuals.length; i++) if (residuals[i]! < deep && residuals[i - 1]! < deep) dips++
  return dips
}

const END_LEVERAGE = 2

/** Uncertainty of a mean of residuals, of which neighbours may go together [K]. */
function meanUncertainty(residuals: Float64Array, { noiseK }: CleanTrace): number {
  const n = residuals.length
  if (n === 0) return noiseK
  let [squares, together] = [0, 0]
  for (let i = 0; i < n; i++) {
    squares += residuals[i]! ** 2
    if (i > 0) together += residuals[i]! * residuals[i - 1]!
  }
  const correlation = squares > 0 ? Math.min(0.95, Math.max(0, together / squares)) : 0
  return (Math.max(noiseK, Math.sqrt(squares / n)) / Math.sqrt(n)) * Math.sqrt((1 + correlation) / (1 - correlation))
}
