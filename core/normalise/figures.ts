/** Every figure that follows from one run's numbers, as one list: what uncertainty is propagated to. */
import { aimTemperature, gramsPerLitre, ownConditions, sensibleHeat, type HeatRun } from './heatRun'
import { climb, type Climb } from './climb'
import type { Model, Reference } from './reference'
import type { R } from '../result'

/** Positions in the list that figuresOf returns. */
export const FIGURE = {
  own: 0, afterStart: 1, afterBoilingPoint: 2, afterSurroundings: 3,
  lnStart: 4, lnBoilingPoint: 5, lnSurroundings: 6,
  efficiency: 7, q0: 8, normalisedTime: 9,
} as const

export interface FigureOptions {
  reference: Reference
  model: Model
  /** Litres put in over the litres the figure is per: 1, or more per litre remaining. */
  litreRatio: number
  /** Heat of water evaporated and weighed [J]; null: by the model. */
  evaporatedJ: number | null
}

/** Efficiency: heat into water, pot and vapour over the fuel's heat: (m_w·Δh + C_p·ΔT + m_evap·h_fg)/(m_fuel·LHV). Source: wbt. */
export function efficiency(run: HeatRun, evaporatedJ: number): number {
  const endC = run.reachedC ?? aimTemperature(run, ownConditions(run))
  return (sensibleHeat(run, run.startC, endC) + evaporatedJ) / (run.fuelKg * run.lhvJPerKg)
}

/** The figures, NaN where they cannot be worked out. */
export function figuresOf(run: HeatRun, options: FigureOptions, climbed: R<Climb> = climb(run, options.reference, options.model)): number[] {
  const perLitre = (fuelKg: number) => gramsPerLitre(fuelKg, run) * options.litreRatio
  const measured = run.reachedC === null ? perLitre(run.fuelKg) : NaN
  if (!climbed.ok) return [measured, NaN, NaN, NaN, NaN, NaN, NaN, efficiency(run, options.evaporatedJ ?? 0), NaN, NaN]
  const { fuelKg, q0W, rungS, evaporatedJ } = climbed.value
  const [own, start, boilingPoint, surroundings] = fuelKg.map(perLitre) as [number, number, number, number]
  return [
    own, start, boilingPoint, surroundings,
    Math.log(start / own), Math.log(boilingPoint / start), Math.log(surroundings / boilingPoint),
    efficiency(run, options.evaporatedJ ?? evaporatedJ), q0W, rungS[2],
  ]
}
