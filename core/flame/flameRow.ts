/** A run as the flame's fit reads it, and what the model says of it. */
import { solveHeatFlow, type HeatFlow } from '../heating/heatFlow'
import { aimTemperature, copyHeatRun, type HeatRun } from '../normalise/heatRun'
import { runHeating, setHeating, type RunHeating } from '../normalise/runHeating'
import { latentHeat } from '../water/liquid'

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
  /** Undoes what `move` changed, from how it was. */
  putBack: (run: HeatRun, from: HeatRun) => void
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
export const balanceOf = (theta: ArrayLike<number>): Balance => ({
  lnLoss: theta[THETA.lnLoss]!,
  lnTransfer: theta[THETA.lnTransfer]!,
  vapourWind: theta[THETA.vapourWind]!,
})

/** Gives a run the heat loss and mass transfer of a fit, in place. */
export function setBalance(run: HeatRun, isOpen: boolean, { lnLoss, lnTransfer, vapourWind }: Balance): HeatRun {
  run.lossScale = Math.exp(lnLoss)
  if (!isOpen) return run
  run.evaporationScale = Math.exp(lnTransfer)
  run.vapourWindPerMS = vapourWind
  return run
}

/** Works out heat flows of one run as it is moved; what they have in common is kept. */
export class OwnBalance {
  private readonly heating: RunHeating = runHeating()
  private readonly own = { startC: 0, pressurePa: 0, airC: 0, windMS: 0, meltJ: 0, station: 0 }
  private readonly flow: HeatFlow = { q0W: NaN, evaporatedJ: 0 }

  /** ln of the heat flow that explains its time [ln W]; NaN: none does. */
  lnHeatFlow(run: HeatRun): number {
    return this.solve(run) ? Math.log(this.flow.q0W) : NaN
  }

  /** By how much a weighed loss of water is off the model's, in its standard uncertainty; NaN: no flame explains its time. */
  lossResidual(run: HeatRun, weighedKg: number): number {
    if (!this.solve(run)) return NaN
    const modelKg = this.flow.evaporatedJ / (latentHeat(VAPOUR_C) * 1000)
    return (weighedKg - modelKg) / Math.hypot(LOSS_U.kg, LOSS_U.share * modelKg)
  }

  private solve(run: HeatRun): boolean {
    const { own } = this
    own.startC = run.startC
    own.pressurePa = run.pressurePa
    own.airC = run.airC
    own.windMS = run.windMS
    own.meltJ = run.meltJ
    const endC = run.reachedC ?? aimTemperature(run, own)
    return solveHeatFlow(run.heatS, setHeating(this.heating, run, own, endC), this.flow) === null
  }
}

/** ln of the heat flow that explains a run's time [ln W]; NaN: none does. */
export const lnHeatFlow = (run: HeatRun): number => new OwnBalance().lnHeatFlow(run)

/** Two readings of the water, and what the model of the vapour is good for. Source: estimate. */
const LOSS_U = { kg: 0.0015, share: 0.08 }
/** Most of it leaves near the boil. */
const VAPOUR_C = 90

/** What a run's residual is worked out from. */
export interface RowState {
  /** ln q0 at the parameters' balance. */
  lnHeat: number
  lnBurn: number
  lnMeanBurn: number
  windMS: number
  altitudeKm: number
  volume: number
}

/** What the model leaves of a run: its ln q0 less the model's. */
export function residualOf(of: RowState, theta: ArrayLike<number>): number {
  return (
    of.lnHeat -
    of.lnBurn -
    theta[THETA.a]! +
    windLoss(of.windMS, theta[THETA.lnV0]!, theta[THETA.windPower]!) -
    (theta[THETA.flamePower]! - 1) * (of.lnBurn - of.lnMeanBurn) -
    theta[THETA.altitude]! * of.altitudeKm -
    (of.volume === 0 ? 0 : theta[FIRST_VOLUME + of.volume - 1]!)
  )
}

/** A run whose readings are moved one by one, with the flame's parameters in it. */
export class MovedRow {
  private readonly balance = new OwnBalance()
  private readonly flamed: HeatRun
  private readonly moved: HeatRun
  private readonly state: RowState

  constructor(
    private readonly row: FlameRow,
    lnMeanBurn: number,
  ) {
    this.flamed = copyHeatRun(row.run)
    this.moved = copyHeatRun(row.run)
    const { windMS, altitudeKm, volume } = row
    this.state = { lnHeat: NaN, lnBurn: NaN, lnMeanBurn, windMS, altitudeKm, volume }
  }

  /** From here on with these parameters. */
  setFlame(theta: ArrayLike<number>): void {
    for (const run of [this.flamed, this.moved]) {
      setBalance(run, this.row.isOpen, balanceOf(theta))
      run.v0MS = Math.exp(theta[THETA.lnV0]!)
      run.windPower = theta[THETA.windPower]!
    }
  }

  /** The residual of the run one of whose readings is moved by its standard uncertainty. */
  residual({ u, move, putBack }: Pick<RowInput, 'u' | 'move' | 'putBack'>, theta: ArrayLike<number>): number {
    const { flamed, moved, state } = this
    move(moved, u)
    state.lnHeat = this.balance.lnHeatFlow(moved) + Math.log(moved.flameFactor)
    state.lnBurn = lnBurnRate(moved)
    state.windMS = moved.windMS
    putBack(moved, flamed)
    return residualOf(state, theta)
  }
}
