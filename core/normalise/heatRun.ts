/**
 * One run as the ladder's arithmetic reads it: plain numbers, so that any of them can be moved by its uncertainty,
 * and the figure worked out again from them.
 */
import { evaporationHeldFrom, evaporationPower } from '../heating/evaporation'
import type { Heating } from '../heating/heatingTime'
import { lossFromGeometry } from '../heating/loss'
import { boilingPointFromPressure } from '../water/saturation'
import { liquidEnthalpy, litresFromMass } from '../water/liquid'

export interface HeatRun {
  waterKg: number
  startC: number
  airC: number
  pressurePa: number
  windMS: number
  /** Relative humidity, 0…1. */
  humidity: number
  /** The temperature aimed at: so far below the boiling point [K], unless a target is fixed. */
  belowBoilK: number
  targetC: number | null
  /** Where the heating was timed to; null: to the aim. A run that never boiled has its last temperature here. */
  reachedC: number | null
  /** Time from pot-on to there [s]. */
  heatS: number
  /** Time from lighting to pot-on [s], 0 where the lighting was not marked. */
  leadS: number
  /** Fuel burnt in leadS + heatS [kg]. */
  fuelKg: number
  potJPerK: number
  lidM2: number
  sideM2: number
  closeCone: boolean
  filmWPerM2K: number
  sideShare: number
  windSlopePerMS: number
  /** K_loss from a cool-down test, in this run's wind [W/K]; null: from geometry. */
  lossWPerK: number | null
  thetaK: number
  /** Share of the open pot's evaporation that happens: 1 without a lid, 0 with one. */
  evaporationScale: number
  /** Burn efficiency lost or gained with altitude beyond the boiling point: 1, with an uncertainty. */
  altitudeFactor: number
  /** Lower heating value [J/kg]; NaN where the fuel is not known: it never enters fuel per litre. */
  lhvJPerKg: number
  /** Enthalpy of liquid water [kJ/kg] at a temperature; replaced only to test the limits of the models. */
  enthalpy: (tempC: number) => number
}

/** The conditions a rung moves. */
export interface Conditions {
  startC: number
  pressurePa: number
  airC: number
  windMS: number
}

export const ownConditions = (run: HeatRun): Conditions =>
  ({ startC: run.startC, pressurePa: run.pressurePa, airC: run.airC, windMS: run.windMS })

/** Temperature aimed at in these conditions [°C]. */
export const aimTemperature = (run: HeatRun, at: Conditions): number =>
  run.targetC ?? boilingPointFromPressure(at.pressurePa) - run.belowBoilK

/** Heat loss coefficient in these conditions' wind [W/K]: a measured one belongs to the run's own wind and scales with it. */
export function lossCoefficient(run: HeatRun, windMS: number): number {
  if (run.lossWPerK === null) return lossFromGeometry(run, windMS)
  return (run.lossWPerK * (1 + run.windSlopePerMS * windMS)) / (1 + run.windSlopePerMS * run.windMS)
}

/** Heat that water and pot take up between two temperatures [J]. */
export const sensibleHeat = (run: HeatRun, fromC: number, toC: number): number =>
  run.waterKg * 1000 * (run.enthalpy(toC) - run.enthalpy(fromC)) + run.potJPerK * (toC - fromC)

/** The heating of this run's water and pot in given conditions, up to `endC`. */
export function heatingIn(run: HeatRun, at: Conditions, endC: number): Heating {
  const riseK = endC - at.startC
  const surface = { areaM2: run.lidM2, pressurePa: at.pressurePa, airC: at.airC, humidity: run.humidity, windMS: at.windMS }
  return {
    startC: at.startC, endC, airC: at.airC,
    capacityJPerK: riseK === 0 ? run.waterKg * 4180 + run.potJPerK : sensibleHeat(run, at.startC, endC) / riseK,
    lossWPerK: lossCoefficient(run, at.windMS), thetaK: run.thetaK,
    evaporation: run.evaporationScale === 0
? null
      : { powerW: tempC => run.evaporationScale * evaporationPower(tempC, surface), heldFromC: evaporationHeldFrom(at.pressurePa) },
  }
}

/** Grams of fuel per litre put in. */
export const gramsPerLitre = (fuelKg: number, run: HeatRun): number => (fuelKg * 1000) / litresFromMass(run.waterKg)

export const defaultEnthalpy = liquidEnthalpy
