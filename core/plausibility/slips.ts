/** The slips of the hand that are made most: which single one would bring an efficiency to where such a set-up lies. */
import type { HeatRun } from '../normalise/heatRun'
import { inGrams } from '../quantity/shown'

export interface SlipContext {
  /** Fuel is measured by weight on a scale of this resolution; null: not weighed. */
  scaleResolutionKg: number | null
  /** Density of the liquid fuel; null: none. */
  densityKgPerM3: number | null
  /** Pieces were fed and no leftover was weighed: mass of the last piece. */
  unweighedLeftoverKg: number | null
}

export interface Slip {
  text: string
  efficiency: number
}

const FLUID_OUNCE_KG = 0.0295735
const GRAMS_IN_OUNCE = 28.3495
/** A scale that reads no finer may be the reason. Source: estimate. */
const COARSE_KG = 0.0005
/** Fuel that was weighed is not nothing. */
const LEAST_FUEL_KG = 1e-6
const celsiusOf = (fahrenheit: number): number => (fahrenheit - 32) / 1.8

/**
 * What the efficiency would be, had one slip not been made; the likelier ones first.
 * @param efficiencyOf works the efficiency out for changed numbers. Source: commonPractice.
 */
export function slips(run: HeatRun, context: SlipContext, efficiencyOf: (run: HeatRun) => number): Slip[] {
  const { scaleResolutionKg: stepKg, densityKgPerM3, unweighedLeftoverKg } = context
  const list: Slip[] = []
  const add = (text: string, changed: Partial<HeatRun>) =>
    list.push({ text, efficiency: efficiencyOf({ ...run, ...changed }) })
  const ounces = Math.round(run.waterKg / FLUID_OUNCE_KG)
  if (run.startC > 32) add(`Start of ${Math.round(run.startC)} in °F, typed as °C?`, { startC: celsiusOf(run.startC) })
  if (stepKg !== null && stepKg >= COARSE_KG) {
    const coarse = `The scale reads to ${inGrams(stepKg)} g only: weigh finer, or burn more.`
    add(coarse, { fuelKg: run.fuelKg + stepKg })
    add(coarse, { fuelKg: Math.max(LEAST_FUEL_KG, run.fuelKg - stepKg) })
  }
  add(`${Math.round(ounces / 2)} fl oz typed as ${ounces}?`, { waterKg: run.waterKg / 2, potJPerK: run.potJPerK })
  add(`${Math.round((run.waterKg * 2) / FLUID_OUNCE_KG)} fl oz typed as ${ounces}?`, { waterKg: run.waterKg * 2 })
  if (run.startC < 30) add(`Start of ${Math.round(run.startC)} °C typed as °F?`, { startC: run.startC * 1.8 + 32 })
  if (unweighedLeftoverKg !== null)
    add('Leftover of the last piece not weighed?', {
      fuelKg: Math.max(LEAST_FUEL_KG, run.fuelKg - unweighedLeftoverKg),
    })
  if (densityKgPerM3 !== null) {
    const gramsInMillilitre = densityKgPerM3 / 1000
    add('Fuel in millilitres typed as grams?', { fuelKg: run.fuelKg * gramsInMillilitre })
    add('Fuel in grams typed as millilitres?', { fuelKg: run.fuelKg / gramsInMillilitre })
  }
  add('Fuel in ounces typed as grams?', { fuelKg: run.fuelKg * GRAMS_IN_OUNCE })
  add('Fuel in grams typed as ounces?', { fuelKg: run.fuelKg / GRAMS_IN_OUNCE })
  return list
}
