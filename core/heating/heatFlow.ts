/** The heating model the other way round: the heat flow that heats from start to end in a measured time. */
import { findRoot } from '../numeric/findRoot'
import { fail, ok, type R } from '../result'
import {
  evaporationAtEnd,
  nodesOf,
  q0FromEndSurplus,
  throughSegments,
  timeThrough,
  type Heating,
  type Nodes,
} from './heatingTime'

/** Below this no thermometer tells that the water was heated. */
export const SMALLEST_RISE_K = 0.1

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
