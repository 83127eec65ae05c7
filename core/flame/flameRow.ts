/** A run as the flame's fit reads it, and what the model says of it. */
import { heatFlowFromTime } from '../heating/heatFlow'
import { latentHeat } from '../water/liquid'
import { aimTemperature, copyHeatRun, heatingIn, ownConditions, type HeatRun } from '../normalise/heatRun'

/** Where each parameter stands in the list of them; the further volumes' intercepts follow. */
export const THETA = {
  a: 0,
  lnV0: 1,
  windPower: 2,
  flamePower: 3,
  lnLoss: 4,
  lnTransfer: 5,
  altitude: 6,
  vapourWind: 7,
} as const
export const FIRST_VOLUME = 8

/** A cause of a run's own scatter: how it moves the run, and whether somebody stated its size. */
export interface RowInput {
  u: number
  /** Of the wind at the pot, of another reading that nobody stated, or of what was stated. */
  scale: 'wind' | 'reading' | 'stated'
  move: (run: HeatRun, by: number) => void
}

export interface FlameRow {
  /** With no flame's parameters in it. */
  run: HeatRun
  windMS: number
  altitudeKm: number
  isOpen: boolean
  /** Its group of volumes: 0 is the commonest. */
  volume: number
  inputs: readonly RowInput[]
  /** Water that an open pot lost, by weighing; null: nobody weighed it [kg]. */
  weighedLossKg: number | null
}

/** ln of the burn rate [ln kg/s]. */
export const lnBurnRate = ({ fuelKg, heatS, leadS }: HeatRun): number => Math.log(fuelKg / (heatS + leadS))

/** ln of what wind takes: ln(1 + (v/v₀)ⁿ). */
export const windLoss = (windMS: number, lnV0: number, power: number): number =>
  windMS <= 0 ? 0 : Math.log1p(Math.exp(power * (Math.log(windMS) - lnV0)))

/** What a fit says of where a pot's heat goes. */
export interface Balance {
  lnLoss: number
  lnTransfer: number
  vapourWind: number
}
export const balanceOf = (theta: readonly number[]): Balance => ({
  lnLoss: theta[THETA.lnLoss]!,
  lnTransfer: theta[THETA.lnTransfer]!,
  vapourWind: theta[THETA.vapourWind]!,
})

/** The run with the heat loss and mass transfer of a fit. */
export function withBalance(run: HeatRun, isOpen: boolean, { lnLoss, lnTransfer, vapourWind }: Balance): HeatRun {
  const balanced = copyHeatRun(run)
  balanced.lossScale = Math.exp(lnLoss)
  if (!isOpen) return balanced
  balanced.evaporationScale = Math.exp(lnTransfer)
  balanced.vapourWindPerMS = vapourWind
  return balanced
}

/** ln of the heat flow that explains its time [ln W]; NaN: none does. */
export function lnHeatFlow(run: HeatRun): number {
  const own = ownConditions(run)
  const flow = heatFlowFromTime(run.heatS, heatingIn(run, own, run.reachedC ?? aimTemperature(run, own)))
  return flow.ok ? Math.log(flow.value.q0W) : NaN
}

/** Two readings of the water, and what the model of the vapour is good for. Source: estimate. */
const LOSS_U = { kg: 0.0015, share: 0.08 }

/** By how much a weighed loss of water is off the model's, in its standard uncertainty; NaN: no flame explains its time. */
export function lossResidual(run: HeatRun, weighedKg: number): number {
  const own = ownConditions(run)
  const flow = heatFlowFromTime(run.heatS, heatingIn(run, own, run.reachedC ?? aimTemperature(run, own)))
  if (!flow.ok) return NaN
  const modelKg = flow.value.evaporatedJ / (latentHeat(VAPOUR_C) * 1000)
  return (weighedKg - modelKg) / Math.hypot(LOSS_U.kg, LOSS_U.share * modelKg)
}
/** Most of it leaves near the boil. */
const VAPOUR_C = 90

/** What the model leaves of a run: its ln q0 less the model's. @param lnHeat its ln q0 at the parameters' balance */
export function residualOf(
  { windMS, altitudeKm, volume }: Pick<FlameRow, 'windMS' | 'altitudeKm' | 'volume'>,
  { lnHeat, lnBurn, lnMeanBurn }: { lnHeat: number; lnBurn: number; lnMeanBurn: number },
  theta: readonly number[],
): number {
  return (
    lnHeat -
    lnBurn -
    theta[THETA.a]! +
    windLoss(windMS, theta[THETA.lnV0]!, theta[THETA.windPower]!) -
    (theta[THETA.flamePower]! - 1) * (lnBurn - lnMeanBurn) -
    theta[THETA.altitude]! * altitudeKm -
    (volume === 0 ? 0 : theta[FIRST_VOLUME + volume - 1]!)
  )
}
