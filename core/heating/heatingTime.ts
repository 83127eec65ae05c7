/**
 * The heating model:  C dT/dt = q0·(1 − (T − Ta)/Θ) − K_loss·(T − Ta) − P_ev(T)
 *
 * Solved through the heat left over at the end, D(Te) [W]. Near a stall D is tiny while q0 hardly moves, so D, not q0,
 * carries the precision. On a segment where P_ev is linear, ∫dT/D is ΔT over the logarithmic mean of D at its ends:
 * with no evaporation one segment is the exact closed form t = (C/K)·ln[(q0 − K(Ti−Ta))/(q0 − K(Te−Ta))].
 */
import { fail, ok, type R } from '../result'
import { evaporationPower, type Evaporation } from './evaporation'
import { findRoot } from '../numeric/findRoot'

export interface Heating {
  startC: number
  endC: number
  airC: number
  /** Water and pot, C [J/K]. */
  capacityJPerK: number
  lossWPerK: number
  /** Excess of the effective gas temperature over the air that feeds the flame, Θ [K]. */
  thetaK: number
  /** Evaporation of an open pot; null: none (a lid, or left out). */
  evaporation: Evaporation | null
  /** Heat lost all the way at an even rate, as past a lid [W]. */
  vapourW: number
  /** Heat that goes into melting at the start, before the temperature rises [J]. */
  meltJ: number
}

/** Below this no thermometer tells that the water was heated. */
export const SMALLEST_RISE_K = 0.1

/** ln(1 + x)/x, by series where x is small. */
const log1pOver = (x: number): number => (Math.abs(x) < 1e-5 ? 1 - x / 2 + (x * x) / 3 : Math.log1p(x) / x)

/** Heat flow left for the water at a temperature, given q0 [W]. */
export function surplus(q0W: number, tempC: number, h: Heating): number {
  const excess = tempC - h.airC
  return (
    q0W * (1 - excess / h.thetaK) -
    h.lossWPerK * excess -
    h.vapourW -
    (h.evaporation === null ? 0 : evaporationPower(h.evaporation, tempC))
  )
}

interface Nodes {
  tempsC: number[]
  evaporationW: number[]
}

/**
 * Temperatures and P_ev at the ends of the segments: closer together towards the boil, where evaporation rises steeply.
 */
function nodes(h: Heating, evaporation: Evaporation): Nodes {
  const { heldFromC, segments } = evaporation
  const bendC = heldFromC > h.startC && heldFromC < h.endC ? heldFromC : h.endC
  const last = bendC < h.endC ? segments + 1 : segments
  const tempsC = new Array<number>(last + 1)
  const evaporationW = new Array<number>(last + 1)
  for (let i = 0; i <= segments; i++) {
    const left = 1 - i / segments
    const tempC = bendC - (bendC - h.startC) * left * left * left
    tempsC[i] = tempC
    evaporationW[i] = evaporationPower(evaporation, tempC)
  }
  if (last > segments) {
    tempsC[last] = h.endC
    evaporationW[last] = evaporationPower(evaporation, h.endC)
  }
  return { tempsC, evaporationW }
}

const nodesOf = (h: Heating): Nodes | null => (h.evaporation === null ? null : nodes(h, h.evaporation))
const evaporationAtEnd = (at: Nodes | null): number => (at === null ? 0 : at.evaporationW[at.evaporationW.length - 1]!)

/** q0 that leaves `endSurplusW` at the end. */
function q0FromEndSurplus(endSurplusW: number, h: Heating, evaporationAtEndW: number): number {
  const excess = h.endC - h.airC
  return (endSurplusW + h.lossWPerK * excess + h.vapourW + evaporationAtEndW) / (1 - excess / h.thetaK)
}

/**
 * Seconds on a segment where the surplus falls in a straight line from `lower` to `upper`: C·ΔT over their logarithmic
 * mean.
 */
const segmentTime = (heatJ: number, lowerW: number, upperW: number): number =>
  (heatJ / upperW) * log1pOver(lowerW / upperW - 1)

/** Time to heat all the way, melting included, when `endSurplusW` is left at the end [s]. */
function timeThrough(endSurplusW: number, h: Heating, at: Nodes | null): number {
  const lossAndDroop = h.lossWPerK + q0FromEndSurplus(endSurplusW, h, evaporationAtEnd(at)) / h.thetaK
  if (at !== null) return throughSegments(endSurplusW, lossAndDroop, h, at)
  const startSurplusW = endSurplusW + lossAndDroop * (h.endC - h.startC)
  return (
    segmentTime(h.capacityJPerK * (h.endC - h.startC), startSurplusW, endSurplusW) +
    (h.meltJ === 0 ? 0 : h.meltJ / startSurplusW)
  )
}

/** The same where evaporation bends the surplus. `vapour` takes up the heat evaporated on the way [J]. */
function throughSegments(
  endSurplusW: number,
  lossAndDroop: number,
  h: Heating,
  { tempsC, evaporationW }: Nodes,
  vapour?: { joules: number },
): number {
  const last = tempsC.length - 1
  let timeS = 0
  let upper = endSurplusW
  for (let i = last - 1; i >= 0; i--) {
    // The surplus shrinks on the way up; where it is held, rounding must not turn it negative.
    const lower = Math.max(
      upper,
      endSurplusW + lossAndDroop * (h.endC - tempsC[i]!) + evaporationW[last]! - evaporationW[i]!,
    )
    const seconds = segmentTime(h.capacityJPerK * (tempsC[i + 1]! - tempsC[i]!), lower, upper)
    if (vapour !== undefined) vapour.joules += (seconds * (evaporationW[i]! + evaporationW[i + 1]!)) / 2
    timeS += seconds
    upper = lower
  }
  return timeS + (h.meltJ === 0 ? 0 : h.meltJ / upper)
}

/**
 * Time to heat from start to end with a known q0 [s]; Infinity where it stalls on the way.
 * Source: newton. Example: contract's run, q0 824.7 W, 9.2 → 96.84 °C: 228 s.
 */
export function heatingTime(q0W: number, h: Heating): number {
  const endSurplusW = surplus(q0W, h.endC, h)
  return endSurplusW > 0 ? timeThrough(endSurplusW, h, nodesOf(h)) : Infinity
}

export interface HeatFlow {
  /** Heat flow into a pot at the temperature of the air [W]. */
  q0W: number
  /** Heat spent on evaporation on the way [J]. */
  evaporatedJ: number
}

/**
 * The q0 that heats from start to end in a measured time.
 * @param timeS [s], > 0
 * @returns q0 [W], or a problem: heated-by-air where no flame is needed to explain the time, not-heated where there is
 * no rise
 * Bracketed: q0 lies between [s + K_l(Ti−Ta)]/[1−(Ti−Ta)/Θ] and [s + K_l(Te−Ta)]/[1−(Te−Ta)/Θ], s = CΔT/t, and above
 * the stall. Source: newton.
 */
export function heatFlowFromTime(timeS: number, h: Heating): R<HeatFlow> {
  if (!(h.endC - h.startC >= SMALLEST_RISE_K)) return fail({ ...NOT_HEATED, got: `${h.startC} to ${h.endC} °C` })
  if (!(timeS > 0)) return fail({ ...NO_TIME, got: `${timeS} s` })
  const at = nodesOf(h)
  const endEvaporationW = evaporationAtEnd(at)
  const meanRateW = (h.capacityJPerK * (h.endC - h.startC) + h.meltJ) / timeS
  const highest = at === null ? meanRateW : meanRateW + Math.max(...at.evaporationW) - endEvaporationW
  const lowest = Math.max(lowerSurplus(meanRateW, h, at), highest * 1e-100)
  if (!Number.isFinite(highest + lowest)) return fail(NOT_KNOWN)
  const endSurplusW =
    (at === null ? newtonSurplus(meanRateW, h) : null) ??
    Math.exp(surplusRoot(timeS, h, at, Math.log(lowest), Math.log(highest)))
  const q0W = q0FromEndSurplus(endSurplusW, h, endEvaporationW)
  if (!(q0W > 0)) return fail(HEATED_BY_AIR)
  return ok({ q0W, evaporatedJ: at === null ? 0 : evaporatedThrough(endSurplusW, q0W, h, at) })
}

function evaporatedThrough(endSurplusW: number, q0W: number, h: Heating, at: Nodes): number {
  const vapour = { joules: 0 }
  throughSegments(endSurplusW, h.lossWPerK + q0W / h.thetaK, h, at, vapour)
  return vapour.joules
}

/** Heat left at the end when q0 is at the lower bound; not positive where that bound is beyond the stall. */
function lowerSurplus(meanRateW: number, h: Heating, at: Nodes | null): number {
  const excess = h.startC - h.airC
  const q0W =
    (meanRateW + h.lossWPerK * excess + h.vapourW + (at === null ? 0 : Math.min(...at.evaporationW))) /
    (1 - excess / h.thetaK)
  const endExcess = h.endC - h.airC
  return q0W * (1 - endExcess / h.thetaK) - h.lossWPerK * endExcess - h.vapourW - evaporationAtEnd(at)
}

const NEWTON_STEPS = 6
/**
 * Newton's way is taken where the surplus falls by less than this on the way up; nearer to a stall the bracket is
 * surer.
 */
const NEWTON_RATIO = 20

/**
 * End surplus D by Newton's method on the logarithmic mean of the surplus, (D_start − D)/ln(D_start/D) = CΔT/t, both of
 * whose ends are
 * straight lines in D; null where it is near a stall or does not settle at once.
 */
function newtonSurplus(meanRateW: number, h: Heating): number | null {
  const riseK = h.endC - h.startC
  const endExcess = h.endC - h.airC
  const droop = 1 / (1 - endExcess / h.thetaK) / h.thetaK
  // D_start = offset + growth·D.
  const growth = 1 + droop * riseK
  const offset = (h.lossWPerK + droop * (h.lossWPerK * endExcess + h.vapourW)) * riseK
  if (h.meltJ !== 0 || !(offset > 0)) return null
  let d = (2 * meanRateW - offset) / (1 + growth)
  for (let i = 0; i < NEWTON_STEPS; i++) {
    const start = offset + growth * d
    if (!(d > 0) || start > NEWTON_RATIO * d) return null
    const ln = Math.log(start / d)
    const mean = (start - d) / ln
    const slope = (growth - 1) / ln - ((start - d) / (ln * ln)) * (growth / start - 1 / d)
    const step = (mean - meanRateW) / slope
    d -= step
    if (Math.abs(step) < 1e-13 * d) return d
  }
  return null
}

/** Secant steps before the bracket is halved instead; far from a stall four or five do. */
const SECANT_STEPS = 12
const CLOSE_ENOUGH = 1e-14

/**
 * ln of the surplus at which the time is the measured one. ln t falls with it, nearly in a straight line: secant steps,
 * which must
 * stay inside the bracket, else the slower sure way. Rounding may push an exact bound a hair past the root; then the
 * bound is the
 * root, or, at the bottom, the stall itself.
 */
function surplusRoot(timeS: number, h: Heating, at: Nodes | null, low: number, high: number): number {
  let x0 = low
  let f0 = Math.log(timeThrough(Math.exp(low), h, at) / timeS)
  if (f0 <= 0) return low
  let x1 = high
  let f1 = Math.log(timeThrough(Math.exp(high), h, at) / timeS)
  if (f1 >= 0) return high
  for (let i = 0; i < SECANT_STEPS; i++) {
    const x = x1 - (f1 * (x1 - x0)) / (f1 - f0)
    if (!(x >= low && x <= high)) break
    const f = Math.log(timeThrough(Math.exp(x), h, at) / timeS)
    if (Math.abs(f) < CLOSE_ENOUGH || x === x1) return x
    x0 = x1
    f0 = f1
    x1 = x
    f1 = f
  }
  return findRoot((ln) => Math.log(timeThrough(Math.exp(ln), h, at) / timeS), low, high, 1e-15)
}

const HEATED_BY_AIR = {
  code: 'heated-by-air',
  what: 'The air alone would heat this water so fast',
  hint: 'Check start temperature, air temperature and times.',
}

const NOT_KNOWN = {
  code: 'heat-balance-not-known',
  what: 'The heat balance lacks a number',
  hint: 'Its missing readings are listed.',
}

const NO_TIME = { code: 'no-time', what: 'The water took no time to heat', hint: 'Check the times.' }

const NOT_HEATED = {
  code: 'not-heated',
  what: 'The water did not get warmer',
  hint: 'Check start and last temperature.',
}

/** Temperature at which a flame of this q0 heats no further [°C]; above the boiling point it boils. */
export function stallTemperature(q0W: number, h: Heating): number {
  const linearC = h.airC + q0W / (h.lossWPerK + q0W / h.thetaK)
  if (h.evaporation === null) return linearC
  const upper = Math.min(linearC, 200)
  if (surplus(q0W, h.airC, h) <= 0) return h.airC
  return surplus(q0W, upper, h) >= 0 ? upper : findRoot((temp) => surplus(q0W, temp, h), h.airC, upper, 1e-12)
}
