/** The slips of the hand that are made most: which single one would bring an efficiency to where such a set-up lies. */
import type { HeatRun } from '../normalise/heatRun'

export interface SlipContext {
  /** Fuel is measured by weight on a scale of this resolution [g]; null: not weighed. */
  scaleResolutionG: number | null
  /** Density of the liquid fuel [g/mL]; null: none. */
  densityGPerMl: number | null
  /** Pieces were fed and no leftover was weighed: mass of the last piece [g]. */
  unweighedLeftoverG: number | null
  waterG: number
}

export interface Slip {
  text: string
  efficiency: number
}

const FLUID_OUNCE_G = 29.5735
const OUNCE_G = 28.3495
const celsiusOf = (fahrenheit: number): number => (fahrenheit - 32) / 1.8

/**
 * What the efficiency would be, had one slip not been made; the likelier ones first.
 * @param efficiencyOf works the efficiency out for changed numbers. Source: commonPractice.
 */
export function slips(run: HeatRun, context: SlipContext, efficiencyOf: (run: HeatRun) => number): Slip[] {
  const { scaleResolutionG: d, densityGPerMl, unweighedLeftoverG, waterG } = context
  const list: Slip[] = []
  const add = (text: string, changed: Partial<HeatRun>) =>
    list.push({ text, efficiency: efficiencyOf({ ...run, ...changed }) })
  const ounces = Math.round(waterG / FLUID_OUNCE_G)
  if (run.startC > 32) add(`Start of ${Math.round(run.startC)} in °F, typed as °C?`, { startC: celsiusOf(run.startC) })
  if (d !== null && d >= 0.5) {
    add(`The scale reads to ${d} g only: weigh finer, or burn more.`, { fuelKg: run.fuelKg + d / 1000 })
    add(`The scale reads to ${d} g only: weigh finer, or burn more.`, { fuelKg: Math.max(1e-6, run.fuelKg - d / 1000) })
  }
  add(`${Math.round(ounces / 2)} fl oz typed as ${ounces}?`, { waterKg: run.waterKg / 2, potJPerK: run.potJPerK })
  add(`${Math.round((waterG * 2) / FLUID_OUNCE_G)} fl oz typed as ${ounces}?`, { waterKg: run.waterKg * 2 })
  if (run.startC < 30) add(`Start of ${Math.round(run.startC)} °C typed as °F?`, { startC: run.startC * 1.8 + 32 })
  if (unweighedLeftoverG !== null)
    add('Leftover of the last piece not weighed?', { fuelKg: Math.max(1e-6, run.fuelKg - unweighedLeftoverG / 1000) })
  if (densityGPerMl !== null) {
    add('Fuel in millilitres typed as grams?', { fuelKg: run.fuelKg * densityGPerMl })
    add('Fuel in grams typed as millilitres?', { fuelKg: run.fuelKg / densityGPerMl })
  }
  add('Fuel in ounces typed as grams?', { fuelKg: run.fuelKg * OUNCE_G })
  add('Fuel in grams typed as ounces?', { fuelKg: run.fuelKg / OUNCE_G })
  return list
}
