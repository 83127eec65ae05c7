/**
 * What evaporates on the way from start to end, at the nodes of a quadrature: the temperature goes by the square of the
 * way back from the boil, where evaporation rises steeply and little heat is left over.
 */
import { gaussLegendre } from '../numeric/gaussLegendre'
import { vapourHeat, type Evaporation } from './evaporation'

const { at: NODE_AT, weights: NODE_WEIGHTS } = gaussLegendre(16)
export const NODES = NODE_AT.length

export interface WayUp {
  /** For which way and air it was worked out. */
  startC: number
  endC: number
  airC: number
  pressurePa: number
  dryPa: number
  heldFromC: number
  /** Below the end, each node, and how much of the way it stands for [K]. */
  belowK: Float64Array
  spanK: Float64Array
  /** Evaporation there, for each unit of `massFlowK`; at the start and at the end. */
  vapour: Float64Array
  startVapour: number
  endVapour: number
  /** How it grows with the temperature where the nodes end [1/K]. */
  vapourSlope: number
  /** The last of the way, on which it is held [K]. */
  heldK: number
}

/** To read a slope by [K]. */
const STEP_K = 1e-3

export const wayUp = (): WayUp => ({
  startC: NaN,
  endC: NaN,
  airC: NaN,
  pressurePa: NaN,
  dryPa: NaN,
  heldFromC: NaN,
  belowK: new Float64Array(NODES),
  spanK: new Float64Array(NODES),
  vapour: new Float64Array(NODES),
  startVapour: 0,
  endVapour: 0,
  vapourSlope: 0,
  heldK: 0,
})

/** Works it out for a way, unless it stands for that one already. */
export function setWayUp(way: WayUp, air: Evaporation, { startC, endC }: { startC: number; endC: number }): void {
  const sameAir =
    way.airC === air.airC &&
    way.pressurePa === air.pressurePa &&
    way.dryPa === air.dryPa &&
    way.heldFromC === air.heldFromC
  if (sameAir && way.startC === startC && way.endC === endC) return
  way.startC = startC
  way.endC = endC
  way.airC = air.airC
  way.pressurePa = air.pressurePa
  way.dryPa = air.dryPa
  way.heldFromC = air.heldFromC
  const bendC = air.heldFromC > startC && air.heldFromC < endC ? air.heldFromC : endC
  way.heldK = endC - bendC
  const rise = bendC - startC
  for (let i = 0; i < NODES; i++) {
    const back = NODE_AT[i]!
    const belowBendK = rise * back * back
    way.belowK[i] = way.heldK + belowBendK
    way.spanK[i] = 2 * rise * back * NODE_WEIGHTS[i]!
    way.vapour[i] = vapourHeat(air, bendC - belowBendK)
  }
  way.startVapour = vapourHeat(air, startC)
  way.endVapour = vapourHeat(air, endC)
  way.vapourSlope = (way.endVapour - vapourHeat(air, bendC - STEP_K)) / STEP_K
}
