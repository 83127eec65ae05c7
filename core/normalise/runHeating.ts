/** The heating of a run's water and pot in the conditions of a station of the ladder. */
import {
  evaporationFrom,
  evaporationPower,
  setEvaporation,
  type Evaporation,
  type OpenSurface,
} from '../heating/evaporation'
import type { Heating } from '../heating/heatingTime'
import { lossCoefficient, type Conditions, type HeatRun } from './heatRun'

/** What comes past the lid at a station of the ladder [W]. */
const pastLid = ({ lidVapourW, evaporationScale }: HeatRun, station: number): number =>
  lidVapourW === null || evaporationScale === 0 ? 0 : evaporationScale * lidVapourW[station]!

/** A heating that is set again and again: what a run's next figure has in common with its last is kept. */
export interface RunHeating extends Heating {
  /** The open pot's air. */
  air: Evaporation | null
  /** By `enthalpy`, from start to end [J/kg]. */
  riseJPerKg: number
  enthalpy: HeatRun['enthalpy'] | null
}

export const runHeating = (): RunHeating => ({
  startC: NaN,
  endC: NaN,
  airC: NaN,
  capacityJPerK: NaN,
  lossWPerK: NaN,
  thetaK: NaN,
  evaporation: null,
  vapourW: 0,
  meltJ: 0,
  way: undefined,
  air: null,
  riseJPerKg: NaN,
  enthalpy: null,
})

/** Of water without a rise [J/(kg·K)]: it takes no time in any case. */
const WATER_J_PER_KG_K = 4180

/** Sets it to the heating of this run's water and pot in given conditions, up to `endC`. */
export function setHeating(h: RunHeating, run: HeatRun, at: Conditions, endC: number): RunHeating {
  const riseK = endC - at.startC
  if (h.startC !== at.startC || h.endC !== endC || h.enthalpy !== run.enthalpy) {
    h.startC = at.startC
    h.endC = endC
    h.enthalpy = run.enthalpy
    h.riseJPerKg = 1000 * (run.enthalpy(endC) - run.enthalpy(at.startC))
  }
  h.airC = at.airC
  h.capacityJPerK = run.waterKg * (riseK === 0 ? WATER_J_PER_KG_K : h.riseJPerKg / riseK) + run.potJPerK
  h.lossWPerK = lossCoefficient(run, at.windMS)
  h.thetaK = run.thetaK
  h.meltJ = at.meltJ
  h.vapourW = pastLid(run, at.station)
  h.evaporation = run.evaporationScale !== 0 && run.lidVapourW === null ? airOver(h, run, at) : null
  return h
}

function airOver(h: RunHeating, run: HeatRun, at: Conditions): Evaporation {
  const surface = surfaceIn(run, at)
  if (h.air === null) h.air = evaporationFrom(surface, run.evaporationScale)
  else setEvaporation(h.air, surface, run.evaporationScale)
  return h.air
}

/** The heating of this run's water and pot in given conditions, up to `endC`. */
export const heatingIn = (run: HeatRun, at: Conditions, endC: number): Heating =>
  setHeating(runHeating(), run, at, endC)

const surfaceIn = (
  { lidM2, humidity, vapourWindPerMS }: HeatRun,
  { pressurePa, airC, windMS }: Conditions,
): OpenSurface => ({
  areaM2: lidM2,
  pressurePa,
  airC,
  humidity,
  windMS,
  windGrowthPerMS: vapourWindPerMS,
})

/** What it evaporates without a lid. */
export const openEvaporation = (run: HeatRun, at: Conditions): Evaporation => evaporationFrom(surfaceIn(run, at), 1)

/**
 * What an open pot would evaporate on the mean of the way from start to end, by Simpson's rule [W]; a lid lets a share
 * of that through.
 */
export function meanOpenEvaporation(run: HeatRun, at: Conditions, endC: number): number {
  const surface = openEvaporation(run, at)
  return (
    (evaporationPower(surface, at.startC) +
      4 * evaporationPower(surface, (at.startC + endC) / 2) +
      evaporationPower(surface, endC)) /
    6
  )
}
