/** The heating model the other way round: the heat flow that heats from start to end in a measured time. */
import { findRoot } from '../numeric/findRoot'
import { fail, ok, type Problem, type R } from '../result'
import { evaporatedOn, evaporationAtEnd, q0FromEndSurplus, timeThrough, wayOf, type Heating } from './heatingTime'
import type { WayUp } from './wayUp'

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
 * no rise. Source: newton.
 */
export function heatFlowFromTime(timeS: number, h: Heating): R<HeatFlow> {
  const flow: HeatFlow = { q0W: NaN, evaporatedJ: 0 }
  const problem = solveHeatFlow(timeS, h, flow)
  return problem === null ? ok(flow) : fail(problem)
}

/**
 * The same in place, for figures that are worked out dozens of times a run.
 * Bracketed: q0 lies between [s + K_l(Ti−Ta)]/[1−(Ti−Ta)/Θ] and [s + K_l(Te−Ta)]/[1−(Te−Ta)/Θ], s = CΔT/t, and above
 * the stall.
 */
export function solveHeatFlow(timeS: number, h: Heating, into: HeatFlow): Problem | null {
  if (!(h.endC - h.startC >= SMALLEST_RISE_K)) return { ...NOT_HEATED, got: `${h.startC} to ${h.endC} °C` }
  if (!(timeS > 0)) return { ...NO_TIME, got: `${timeS} s` }
  const way = wayOf(h)
  const endEvaporationW = evaporationAtEnd(h, way)
  const startEvaporationW = way === null ? 0 : h.evaporation!.massFlowK * way.startVapour
  const meanRateW = (h.capacityJPerK * (h.endC - h.startC) + h.meltJ) / timeS
  const highest = meanRateW + Math.max(0, startEvaporationW - endEvaporationW)
  const lowest = Math.max(lowerSurplus(meanRateW, h, { startEvaporationW, endEvaporationW }), highest * 1e-100)
  if (!Number.isFinite(highest + lowest)) return NOT_KNOWN
  let endSurplusW = way === null ? newtonSurplus(meanRateW, h) : NaN
  if (Number.isNaN(endSurplusW)) endSurplusW = Math.exp(surplusRoot(timeS, h, way, Math.log(lowest), Math.log(highest)))
  const q0W = q0FromEndSurplus(endSurplusW, h, endEvaporationW)
  if (!(q0W > 0)) return HEATED_BY_AIR
  into.q0W = q0W
  into.evaporatedJ = way === null ? 0 : evaporatedOn(endSurplusW, h, way)
  return null
}

/** Heat left at the end when q0 is at the lower bound; not positive where that bound is beyond the stall. */
function lowerSurplus(
  meanRateW: number,
  h: Heating,
  { startEvaporationW, endEvaporationW }: { startEvaporationW: number; endEvaporationW: number },
): number {
  const excess = h.startC - h.airC
  const leastEvaporationW = Math.min(startEvaporationW, endEvaporationW)
  const q0W = (meanRateW + h.lossWPerK * excess + h.vapourW + leastEvaporationW) / (1 - excess / h.thetaK)
  const endExcess = h.endC - h.airC
  return q0W * (1 - endExcess / h.thetaK) - h.lossWPerK * endExcess - h.vapourW - endEvaporationW
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
 * straight lines in D; NaN where it is near a stall or does not settle at once.
 */
function newtonSurplus(meanRateW: number, h: Heating): number {
  const riseK = h.endC - h.startC
  const endExcess = h.endC - h.airC
  const droop = 1 / (1 - endExcess / h.thetaK) / h.thetaK
  // D_start = offset + growth·D.
  const growth = 1 + droop * riseK
  const offset = (h.lossWPerK + droop * (h.lossWPerK * endExcess + h.vapourW)) * riseK
  if (h.meltJ !== 0 || !(offset > 0)) return NaN
  let d = (2 * meanRateW - offset) / (1 + growth)
  for (let i = 0; i < NEWTON_STEPS; i++) {
    const start = offset + growth * d
    if (!(d > 0) || start > NEWTON_RATIO * d) return NaN
    const ln = Math.log(start / d)
    const mean = (start - d) / ln
    const slope = (growth - 1) / ln - ((start - d) / (ln * ln)) * (growth / start - 1 / d)
    const step = (mean - meanRateW) / slope
    d -= step
    if (Math.abs(step) < 1e-13 * d) return d
  }
  return NaN
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
function surplusRoot(timeS: number, h: Heating, way: WayUp | null, low: number, high: number): number {
  let x0 = low
  let f0 = Math.log(timeThrough(Math.exp(low), h, way) / timeS)
  if (f0 <= 0) return low
  let x1 = high
  let f1 = Math.log(timeThrough(Math.exp(high), h, way) / timeS)
  if (f1 >= 0) return high
  for (let i = 0; i < SECANT_STEPS; i++) {
    const x = x1 - (f1 * (x1 - x0)) / (f1 - f0)
    if (!(x >= low && x <= high)) break
    const f = Math.log(timeThrough(Math.exp(x), h, way) / timeS)
    if (Math.abs(f) < CLOSE_ENOUGH || x === x1) return x
    x0 = x1
    f0 = f1
    x1 = x
    f1 = f
  }
  return findRoot((ln) => Math.log(timeThrough(Math.exp(ln), h, way) / timeS), low, high, 1e-15)
}

const HEATED_BY_AIR: Problem = {
  code: 'heated-by-air',
  what: 'The air alone would heat this water so fast',
  hint: 'Check start temperature, air temperature and times.',
}

const NOT_KNOWN: Problem = {
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
