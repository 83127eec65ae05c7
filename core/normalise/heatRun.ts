/**
 * One run as the ladder's arithmetic reads it: plain numbers, so that any of them can be moved by its uncertainty,
 * and the figure worked out again from them.
 */
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
  /** The set-up's own K_loss over what geometry or a cool-down says of it. */
  lossScale: number
  /** Wind takes 1 + (v/v₀)ⁿ of the useful heat per gram [m/s]; NaN where the run's wind was not read. */
  v0MS: number
  windPower: number
  /** Snow: heat that melts it, before the temperature rises [J]. */
  meltJ: number
  /** Useful heat follows the burn rate, q0 ∝ ṁˣ; the burn rate that the flame rung goes to [kg/s], NaN: its own. */
  flamePower: number
  benchKgPerS: number
  /** What a valve set anew does to that rate, the flame to its heat, and the model to the figure: 1, each with a u. */
  valveFactor: number
  flameFactor: number
  modelFactor: number
  /** Share of the open pot's evaporation that happens: 1 without a lid, 0 with one. */
  evaporationScale: number
  /** How wind raises that evaporation [per m/s]. */
  vapourWindPerMS: number
  /**
   * With a lid, what the pot would evaporate without one, on the mean of the way up, at each station of the ladder [W];
   * null: open.
   */
  lidVapourW: readonly number[] | null
  /** Burn efficiency lost or gained with altitude beyond the boiling point: 1, with an uncertainty. */
  altitudeFactor: number
  /** Another mass of water that the figure is brought to, and its wall [kg, m²]; NaN: none was asked for. */
  otherKg: number
  otherSideM2: number
  /** Useful heat per gram with that much water over that with the run's own. */
  volumeFactor: number
  /** Lower heating value [J/kg]; NaN where the fuel is not known: it never enters fuel per litre. */
  lhvJPerKg: number
  /** Enthalpy of liquid water [kJ/kg] at a temperature; replaced only to test the limits of the models. */
  enthalpy: (tempC: number) => number
}

/** A copy, to move. */
export const copyHeatRun = (run: HeatRun): HeatRun => ({ ...run })

/** The conditions a rung moves. */
export interface Conditions {
  startC: number
  pressurePa: number
  airC: number
  windMS: number
  meltJ: number
  /** Which station of the ladder this is: 0 the run's own. */
  station: number
}

export const ownConditions = (run: HeatRun): Conditions => ({
  startC: run.startC,
  pressurePa: run.pressurePa,
  airC: run.airC,
  windMS: run.windMS,
  meltJ: run.meltJ,
  station: 0,
})

/** Temperature aimed at in these conditions [°C]. */
export const aimTemperature = (run: HeatRun, at: Conditions): number =>
  run.targetC ?? boilingPointFromPressure(at.pressurePa) - run.belowBoilK

/**
 * Heat loss coefficient in these conditions' wind [W/K]: a measured one belongs to the run's own wind and scales with
 * it.
 */
export function lossCoefficient(run: HeatRun, windMS: number): number {
  if (run.lossWPerK === null) return run.lossScale * lossFromGeometry(run, windMS)
  return (run.lossScale * run.lossWPerK * (1 + run.windSlopePerMS * windMS)) / (1 + run.windSlopePerMS * run.windMS)
}

/**
 * Useful heat per gram at the reference wind over that in the run's own: (1 + (v/v₀)ⁿ)/(1 + (v_ref/v₀)ⁿ). Source:
 * windSeries.
 */
export const windFactor = ({ v0MS, windPower, windMS }: HeatRun, referenceMS: number): number =>
  windMS === referenceMS ? 1 : (1 + (windMS / v0MS) ** windPower) / (1 + (referenceMS / v0MS) ** windPower)

/** What the flame rung makes of the burn rate: the bench's over the run's own. */
export const burnRatio = ({ benchKgPerS, valveFactor, fuelKg, heatS, leadS }: HeatRun): number =>
  valveFactor * (Number.isNaN(benchKgPerS) ? 1 : (benchKgPerS * (heatS + leadS)) / fuelKg)

/** Heat that water and pot take up between two temperatures [J]. */
export const sensibleHeat = (run: HeatRun, fromC: number, toC: number): number =>
  run.waterKg * 1000 * (run.enthalpy(toC) - run.enthalpy(fromC)) + run.potJPerK * (toC - fromC)

/** Useful heat at the flame rung's burn rate over that at the run's own: (ṁ₀/ṁ)ˣ. Source: flameModel. */
export const flameHeat = (run: HeatRun): number => burnRatio(run) ** run.flamePower * run.flameFactor

/** Grams of fuel per litre put in. */
export const gramsPerLitre = (fuelKg: number, run: HeatRun): number => (fuelKg * 1000) / litresFromMass(run.waterKg)

export const defaultEnthalpy = liquidEnthalpy
