/** Every figure that follows from one run's numbers, as one list: what uncertainty is propagated to. */
import { aimTemperature, gramsPerLitre, ownConditions, sensibleHeat, type HeatRun } from './heatRun'
import { normalise, fuelOnLadder, type Normalisation } from './normalise'
import type { Model, Reference } from './reference'
import type { R } from '../result'

/** Positions in the list that figuresOf returns. */
export const FIGURE = {
  own: 0,
  afterStart: 1,
  afterBoilingPoint: 2,
  afterSurroundings: 3,
  afterWind: 4,
  afterFlame: 5,
  efficiency: 6,
  q0: 7,
  normalisedTime: 8,
} as const

export interface FigureOptions {
  reference: Reference
  model: Model
  /**
   * The figure's litres and fuel over those of the heat balance: litres put in over litres left; what gaps between
   * burns cost.
   */
  scale: number
  /** What a pot taken off, or its lid, cost: in the figure as measured alone. */
  disturbed: number
  /** Heat of water evaporated and weighed [J]; null: by the model. */
  evaporatedJ: number | null
}

/**
 * Efficiency: heat into ice, water, pot and vapour over the fuel's heat: (m_w·Δh + C_p·ΔT + m_evap·h_fg)/(m_fuel·LHV).
 * Source: wbt.
 */
export function efficiency(run: HeatRun, evaporatedJ: number): number {
  const endC = run.reachedC ?? aimTemperature(run, ownConditions(run))
  return (run.meltJ + sensibleHeat(run, run.startC, endC) + evaporatedJ) / (run.fuelKg * run.lhvJPerKg)
}

/** The figures, NaN where they cannot be worked out. */
export function figuresOf(
  run: HeatRun,
  options: FigureOptions,
  normalisation: R<Normalisation> = normalise(run, options.reference, options.model),
): number[] {
  const toPerLitre = gramsPerLitre(1, run) * options.scale
  if (!normalisation.ok) {
    const measured = run.reachedC === null ? run.fuelKg * toPerLitre * options.disturbed : NaN
    return [measured, NaN, NaN, NaN, NaN, NaN, efficiency(run, options.evaporatedJ ?? 0), NaN, NaN]
  }
  const fuelKg = fuelOnLadder(run, normalisation.value)
  return [
    fuelKg[0] * toPerLitre * options.disturbed,
    fuelKg[1] * toPerLitre,
    fuelKg[2] * toPerLitre,
    fuelKg[3] * toPerLitre,
    fuelKg[4] * toPerLitre,
    fuelKg[5] * toPerLitre,
    efficiency(run, options.evaporatedJ ?? normalisation.value.evaporatedJ),
    normalisation.value.q0W,
    normalisation.value.rungS[4],
  ]
}

/**
 * The last of them alone, fuel per litre at the reference: what Monte Carlo draws, with the whole ladder worked out for
 * it.
 */
export function normalisedFigure(run: HeatRun, { reference, model, scale }: FigureOptions): number {
  const normalisation = normalise(run, reference, model)
  return normalisation.ok ? fuelOnLadder(run, normalisation.value)[5] * gramsPerLitre(1, run) * scale : NaN
}
