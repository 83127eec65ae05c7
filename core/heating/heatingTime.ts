/**
 * The heating model:  C dT/dt = q0·(1 − (T − Ta)/Θ) − K_loss·(T − Ta) − P_ev(T)
 *
 * Solved through the heat left over at the end, D(Te) [W]. Near a stall D is tiny while q0 hardly moves, so D, not q0,
 * carries the precision. On a segment where P_ev is linear, ∫dT/D is ΔT over the logarithmic mean of D at its ends:
 * with no evaporation one segment is the exact closed form t = (C/K)·ln[(q0 − K(Ti−Ta))/(q0 − K(Te−Ta))].
 */
import { fail, ok, type R } from '../result'
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
}

export interface Evaporation {
  powerW: (tempC: number) => number
  /** From here on the power no longer grows [°C]. */
  heldFromC: number
}

const OPEN_SEGMENTS = 24
/** Below this no thermometer tells that the water was heated. */
export const SMALLEST_RISE_K = 0.1

/** ln(1 + x)/x, by series where x is small. */
const log1pOver = (x: number): number => (Math.abs(x) < 1e-5 ? 1 - x / 2 + (x * x) / 3 : Math.log1p(x) / x)

/** Heat flow left for the water at a temperature, given q0 [W]. */
function surplus(q0W: number, tempC: number, h: Heating): number {
  const excess = tempC - h.airC
  return q0W * (1 - excess / h.thetaK) - h.lossWPerK * excess - (h.evaporation?.powerW(tempC) ?? 0)
}

/** Temperatures and P_ev at the ends of the segments: closer together towards the boil, where evaporation rises steeply. */
function nodes(h: Heating): { tempsC: number[], evaporationW: number[] } {
  if (h.evaporation === null) return { tempsC: [h.startC, h.endC], evaporationW: [0, 0] }
  const { powerW, heldFromC } = h.evaporation
  const bendC = heldFromC > h.startC && heldFromC < h.endC ? heldFromC : h.endC
  const tempsC = Array.from({ length: OPEN_SEGMENTS + 1 }, (_, i) => bendC - (bendC - h.startC) * (1 - i / OPEN_SEGMENTS) ** 3)
  if (bendC < h.endC) tempsC.push(h.endC)
  return { tempsC, evaporationW: tempsC.map(powerW) }
}

type Nodes = ReturnType<typeof nodes>

/** q0 that leaves `endSurplusW` at the end. */
function q0FromEndSurplus(endSurplusW: number, h: Heating, evaporationAtEndW: number): number {
  const excess = h.endC - h.airC
  return (endSurplusW + h.lossWPerK * excess + evaporationAtEndW) / (1 - excess / h.thetaK)
}

/** Time [s] and evaporated heat [J] to heat through all segments when `endSurplusW` is left at the end. */
function run(endSurplusW: number, h: Heating, { tempsC, evaporationW }: Nodes): { timeS: number, evaporatedJ: number } {
  const last = tempsC.length - 1
  const q0W = q0FromEndSurplus(endSurplusW, h, evaporationW[last]!)
  const lossAndDroop = h.lossWPerK + q0W / h.thetaK
  let timeS = 0
  let evaporatedJ = 0
  let upper = endSurplusW
  for (let i = last - 1; i >= 0; i--) {
    // The surplus shrinks on the way up; where it is held, rounding must not turn it negative.
    const lower = Math.max(upper, endSurplusW + lossAndDroop * (h.endC - tempsC[i]!) + evaporationW[last]! - evaporationW[i]!)
    const seconds = ((h.capacityJPerK * (tempsC[i + 1]! - tempsC[i]!)) / upper) * log1pOver(lower / upper - 1)
    timeS += seconds
    evaporatedJ += (seconds * (evaporationW[i]! + evaporationW[i + 1]!)) / 2
    upper = lower
  }
  return { timeS, evaporatedJ }
}

/**
 * Time to heat from start to end with a known q0 [s]; Infinity where it stalls on the way.
 * Source: newton. Example: contract's run, q0 824.7 W, 9.2 → 96.84 °C: 228 s.
 */
export function heatingTime(q0W: number, h: Heating): number {
  const endSurplusW = surplus(q0W, h.endC, h)
  return endSurplusW > 0 ? run(endSurplusW, h, nodes(h)).timeS : Infinity
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
 * @returns q0 [W], or a problem: heated-by-air where no flame is needed to explain the time, not-heated where there is no rise
 * Bracketed: q0 lies between [s + K_l(Ti−Ta)]/[1−(Ti−Ta)/Θ] and [s + K_l(Te−Ta)]/[1−(Te−Ta)/Θ], s = CΔT/t, and above the stall. Source: newton.
 */
export function heatFlowFromTime(timeS: number, h: Heating): R<HeatFlow> {
  if (!(h.endC - h.startC >= SMALLEST_RISE_K)) return fail({ ...NOT_HEATED, got: `${h.startC} to ${h.endC} °C` })
  const at = nodes(h)
  const meanRateW = (h.capacityJPerK * (h.endC - h.startC)) / timeS
  const evaporation = at.evaporationW
  const highest = meanRateW + Math.max(...evaporation) - evaporation.at(-1)!
  const lowest = Math.max(lowerSurplus(meanRateW, h, at), highest * 1e-100)
  const gap = (lnSurplus: number) => Math.log(run(Math.exp(lnSurplus), h, at).timeS / timeS)
  const endSurplusW = Math.exp(bracketedRoot(gap, Math.log(lowest), Math.log(highest)))
  const q0W = q0FromEndSurplus(endSurplusW, h, evaporation.at(-1)!)
  if (!(q0W > 0)) return fail(HEATED_BY_AIR)
  return ok({ q0W, evaporatedJ: run(endSurplusW, h, at).evaporatedJ })
}

/** Heat left at the end when q0 is at the lower bound; not positive where that bound is beyond the stall. */
function lowerSurplus(meanRateW: number, h: Heating, at: Nodes): number {
  const excess = h.startC - h.airC
  const q0W = (meanRateW + h.lossWPerK * excess + Math.min(...at.evaporationW)) / (1 - excess / h.thetaK)
  return surplus(q0W, h.endC, h)
}

/** f falls. Rounding may push an exact bound a hair past the root; then the bound is the root, or, at the bottom, the stall itself. */
function bracketedRoot(f: (x: number) => number, low: number, high: number): number {
  if (f(low) <= 0) return low
  if (f(high) >= 0) return high
  return findRoot(f, low, high, 1e-15)
}

const HEATED_BY_AIR = {
  code: 'heated-by-air', what: 'The air alone would heat this water so fast',
  hint: 'Check start temperature, air temperature and times.',
}

const NOT_HEATED = { code: 'not-heated', what: 'The water did not get warmer', hint: 'Check start and last temperature.' }

/** Temperature at which a flame of this q0 heats no further [°C]; above the boiling point it boils. */
export function stallTemperature(q0W: number, h: Heating): number {
  const linearC = h.airC + q0W / (h.lossWPerK + q0W / h.thetaK)
  if (h.evaporation === null) return linearC
  const upper = Math.min(linearC, 200)
  if (surplus(q0W, h.airC, h) <= 0) return h.airC
  return surplus(q0W, upper, h) >= 0 ? upper : findRoot(temp => surplus(q0W, temp, h), h.airC, upper, 1e-12)
}
