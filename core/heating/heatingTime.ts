/**
 * The heating model:  C dT/dt = q0·(1 − (T − Ta)/Θ) − K_loss·(T − Ta) − P_ev(T)
 *
 * Solved through the heat left over at the end, D(Te) [W]. Near a stall D is tiny while q0 hardly moves, so D, not q0,
 * carries the precision. On a segment where P_ev is linear, ∫dT/D is ΔT over the logarithmic mean of D at its ends:
 * with no evaporation one segment is the exact closed form t = (C/K)·ln[(q0 − K(Ti−Ta))/(q0 − K(Te−Ta))].
 */
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

export interface Nodes {
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

export const nodesOf = (h: Heating): Nodes | null => (h.evaporation === null ? null : nodes(h, h.evaporation))
export const evaporationAtEnd = (at: Nodes | null): number =>
  at === null ? 0 : at.evaporationW[at.evaporationW.length - 1]!

/** q0 that leaves `endSurplusW` at the end. */
export function q0FromEndSurplus(endSurplusW: number, h: Heating, evaporationAtEndW: number): number {
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
export function timeThrough(endSurplusW: number, h: Heating, at: Nodes | null): number {
  const lossAndDroop = h.lossWPerK + q0FromEndSurplus(endSurplusW, h, evaporationAtEnd(at)) / h.thetaK
  if (at !== null) return throughSegments(endSurplusW, lossAndDroop, h, at)
  const startSurplusW = endSurplusW + lossAndDroop * (h.endC - h.startC)
  return (
    segmentTime(h.capacityJPerK * (h.endC - h.startC), startSurplusW, endSurplusW) +
    (h.meltJ === 0 ? 0 : h.meltJ / startSurplusW)
  )
}

/** The same where evaporation bends the surplus. `vapour` takes up the heat evaporated on the way [J]. */
export function throughSegments(
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

/** Temperature at which a flame of this q0 heats no further [°C]; above the boiling point it boils. */
export function stallTemperature(q0W: number, h: Heating): number {
  const linearC = h.airC + q0W / (h.lossWPerK + q0W / h.thetaK)
  if (h.evaporation === null) return linearC
  const upper = Math.min(linearC, 200)
  if (surplus(q0W, h.airC, h) <= 0) return h.airC
  return surplus(q0W, upper, h) >= 0 ? upper : findRoot((temp) => surplus(q0W, temp, h), h.airC, upper, 1e-12)
}
