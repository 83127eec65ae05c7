/**
 * The heating model:  C dT/dt = q0·(1 − (T − Ta)/Θ) − K_loss·(T − Ta) − P_ev(T)
 *
 * Solved through the heat left over at the end, D(Te) [W]. Near a stall D is tiny while q0 hardly moves, so D, not q0,
 * carries the precision. Where P_ev does not change, ∫dT/D is ΔT over the logarithmic mean of D at its ends: the exact
 * closed form t = (C/K)·ln[(q0 − K(Ti−Ta))/(q0 − K(Te−Ta))]. An open pot takes a quadrature up to where P_ev is held.
 */
import { evaporationPower, type Evaporation } from './evaporation'
import { findRoot } from '../numeric/findRoot'
import { NODES, setWayUp, wayUp, type WayUp } from './wayUp'

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
  /** What evaporates on the way, once that was worked out. */
  way?: WayUp
}

/** ln(1 + x)/x, by series where x is small. */
const log1pOver = (x: number): number => (x < 1e-5 && x > -1e-5 ? 1 - x / 2 + (x * x) / 3 : Math.log1p(x) / x)

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

/** The way up of an open pot; null: nothing evaporates on it that changes. */
export function wayOf(h: Heating): WayUp | null {
  if (h.evaporation === null) return null
  h.way ??= wayUp()
  setWayUp(h.way, h.evaporation, h)
  return h.way
}

export const evaporationAtEnd = (h: Heating, way: WayUp | null): number =>
  way === null ? 0 : h.evaporation!.massFlowK * way.endVapour

/** q0 that leaves `endSurplusW` at the end. */
export function q0FromEndSurplus(endSurplusW: number, h: Heating, evaporationAtEndW: number): number {
  const excess = h.endC - h.airC
  return (endSurplusW + h.lossWPerK * excess + h.vapourW + evaporationAtEndW) / (1 - excess / h.thetaK)
}

/** What loss and droop take for each degree, where `endSurplusW` is left at the end [W/K]. */
const lossAndDroop = (endSurplusW: number, h: Heating, way: WayUp | null): number =>
  h.lossWPerK + q0FromEndSurplus(endSurplusW, h, evaporationAtEnd(h, way)) / h.thetaK

/**
 * Seconds on which the surplus falls in a straight line from `lower` to `upper`: C·ΔT over their logarithmic mean.
 */
const straightTime = (heatJ: number, lowerW: number, upperW: number): number =>
  (heatJ / upperW) * log1pOver(lowerW / upperW - 1)

/** Time to heat all the way, melting included, when `endSurplusW` is left at the end [s]. */
export function timeThrough(endSurplusW: number, h: Heating, way: WayUp | null): number {
  const perK = lossAndDroop(endSurplusW, h, way)
  if (way !== null) return timeOpen(endSurplusW, perK, h, way)
  const riseK = h.endC - h.startC
  const startSurplusW = endSurplusW + perK * riseK
  const heatingS = straightTime(h.capacityJPerK * riseK, startSurplusW, endSurplusW)
  return h.meltJ === 0 ? heatingS : heatingS + h.meltJ / startSurplusW
}

/**
 * Near a stall nearly all time goes where the surplus is least. There it is a straight line, whose time has a closed
 * form: the quadrature is of what is left beside it.
 */
function timeOpen(endSurplusW: number, perK: number, h: Heating, way: WayUp): number {
  const { belowK, spanK, vapour, heldK, endVapour, vapourSlope } = way
  const { massFlowK } = h.evaporation!
  const bendW = endSurplusW + perK * heldK
  const bentPerK = perK + massFlowK * vapourSlope
  const riseK = h.endC - heldK - h.startC
  let kelvinPerW = straightTime(riseK, bendW + bentPerK * riseK, bendW)
  for (let i = 0; i < NODES; i++) {
    const surplusW = endSurplusW + perK * belowK[i]! + massFlowK * (endVapour - vapour[i]!)
    const straightW = bendW + bentPerK * (belowK[i]! - heldK)
    kelvinPerW += (spanK[i]! * (straightW - surplusW)) / (surplusW * straightW)
  }
  if (heldK > 0) kelvinPerW += straightTime(heldK, bendW, endSurplusW)
  return h.capacityJPerK * kelvinPerW + (h.meltJ === 0 ? 0 : meltingTime(endSurplusW, perK, h, way))
}

/** Heat that evaporates on the way of an open pot [J]. */
export function evaporatedOn(endSurplusW: number, h: Heating, way: WayUp): number {
  const { belowK, spanK, vapour, endVapour } = way
  const { massFlowK } = h.evaporation!
  const perK = lossAndDroop(endSurplusW, h, way)
  const heatingS = timeOpen(endSurplusW, perK, h, way) - (h.meltJ === 0 ? 0 : meltingTime(endSurplusW, perK, h, way))
  let less = 0
  for (let i = 0; i < NODES; i++) {
    const lessVapour = endVapour - vapour[i]!
    less += (spanK[i]! * lessVapour) / (endSurplusW + perK * belowK[i]! + massFlowK * lessVapour)
  }
  return massFlowK * (heatingS * endVapour - h.capacityJPerK * less)
}

const meltingTime = (endSurplusW: number, perK: number, h: Heating, way: WayUp): number =>
  h.meltJ / (endSurplusW + perK * (h.endC - h.startC) + h.evaporation!.massFlowK * (way.endVapour - way.startVapour))

/**
 * Time to heat from start to end with a known q0 [s]; Infinity where it stalls on the way.
 * Source: newton. Example: contract's run, q0 824.7 W, 9.2 → 96.84 °C: 228 s.
 */
export function heatingTime(q0W: number, h: Heating): number {
  const endSurplusW = surplus(q0W, h.endC, h)
  return endSurplusW > 0 ? timeThrough(endSurplusW, h, wayOf(h)) : Infinity
}

/** Temperature at which a flame of this q0 heats no further [°C]; above the boiling point it boils. */
export function stallTemperature(q0W: number, h: Heating): number {
  const linearC = h.airC + q0W / (h.lossWPerK + q0W / h.thetaK)
  if (h.evaporation === null) return linearC
  const upper = Math.min(linearC, 200)
  if (surplus(q0W, h.airC, h) <= 0) return h.airC
  return surplus(q0W, upper, h) >= 0 ? upper : findRoot((temp) => surplus(q0W, temp, h), h.airC, upper, 1e-12)
}
