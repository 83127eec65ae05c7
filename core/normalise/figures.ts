/** Every figure that follows from one run's numbers, as one list: what uncertainty is propagated to. */
import { litresFromMass } from '../water/liquid'
import { aimTemperature, gramsPerLitre, ownConditions, sensibleHeat, type HeatRun } from './heatRun'
import { fuelOnLadder, type LadderTimes, type Normalisation } from './normalise'
import type { Model, Reference } from './reference'

/** Positions in the list that figuresOf returns. */
export const FIGURE = {
  own: 0,
  afterStart: 1,
  afterBoilingPoint: 2,
  afterSurroundings: 3,
  afterWind: 4,
  afterFlame: 5,
  /** The last of the ladder: as after the flame where no other volume was asked for. */
  normalised: 6,
  efficiency: 7,
  q0: 8,
  normalisedTime: 9,
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

/** @param times its normalisation; null: there is none, and what hangs on it is NaN */
export function figuresOf(run: HeatRun, options: FigureOptions, times: Normalisation | null): number[] {
  const toPerLitre = gramsPerLitre(1, run) * options.scale
  if (times === null) {
    const measured = run.reachedC === null ? run.fuelKg * toPerLitre * options.disturbed : NaN
    return [measured, NaN, NaN, NaN, NaN, NaN, NaN, efficiency(run, options.evaporatedJ ?? 0), NaN, NaN]
  }
  const fuelKg = fuelOnLadder(run, times)
  return [
    fuelKg[0] * toPerLitre * options.disturbed,
    fuelKg[1] * toPerLitre,
    fuelKg[2] * toPerLitre,
    fuelKg[3] * toPerLitre,
    fuelKg[4] * toPerLitre,
    fuelKg[5] * toPerLitre,
    fuelKg[6] * perOtherLitre(run, toPerLitre),
    efficiency(run, options.evaporatedJ ?? times.evaporatedJ),
    times.q0W,
    times.rungS[5]!,
  ]
}

/** Of the volume that the figure is brought to. */
const perOtherLitre = ({ otherKg, waterKg }: HeatRun, toPerLitre: number): number =>
  Number.isNaN(otherKg) ? toPerLitre : (toPerLitre * litresFromMass(waterKg)) / litresFromMass(otherKg)

/** The last of the ladder alone, fuel per litre at the reference: what Monte Carlo draws. */
export function normalisedFigure(run: HeatRun, { scale }: FigureOptions, times: LadderTimes): number {
  if (times.workOut(run) !== null) return NaN
  return fuelOnLadder(run, times)[6] * perOtherLitre(run, gramsPerLitre(1, run) * scale)
}
