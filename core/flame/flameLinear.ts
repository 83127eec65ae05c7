/** The flame's model in straight lines about its parameters: what each moves the residual of each run by. */
import { copyHeatRun, type HeatRun } from '../normalise/heatRun'
import type { Rows } from '../numeric/cholesky'
import type { Normal } from './flameClass'
import {
  balanceOf,
  FIRST_VOLUME,
  lnBurnRate,
  OwnBalance,
  residualOf,
  setBalance,
  THETA,
  type FlameRow,
  type RowState,
} from './flameRow'

const STEP = 1e-3
/** The parameters of where a pot's heat goes. */
const BALANCE = [
  ['lnLoss', THETA.lnLoss],
  ['lnTransfer', THETA.lnTransfer],
  ['vapourWind', THETA.vapourWind],
] as const
const BALANCED = BALANCE.map(([, k]) => k)

export const isOfBalance = (k: number): boolean => BALANCED.some((one) => one === k)

/** What the way from one list of parameters to another does, by slopes in BALANCE's order. */
function alongBalance(by: Float64Array, from: Float64Array, to: Float64Array): number {
  let sum = 0
  for (let j = 0; j < by.length; j++) sum += by[j]! * (to[BALANCED[j]!]! - from[BALANCED[j]!]!)
  return sum
}

/** A weighed loss of water as one datum more, of unit variance. */
interface WeighedLoss {
  kg: number
  at: number
  /** ∂r/∂θ of the balance's parameters, in BALANCE's order. */
  by: Float64Array
  residual: number
}

/** One run of the series, its heat flow in straight lines about the parameters where it was worked out last. */
export class RowLinear {
  residual = NaN
  variance = NaN
  /** ∂r/∂θ. */
  readonly jacobian: Float64Array
  readonly loss: WeighedLoss | null
  private readonly run: HeatRun
  private readonly balance = new OwnBalance()
  private readonly state: RowState
  private readonly isOpen: boolean
  private lnHeat = NaN
  private readonly heatBy = new Float64Array(BALANCE.length)

  constructor(row: FlameRow, parameters: number, lnMeanBurn: number) {
    const { windMS, altitudeKm, volume, isOpen, weighedLossKg: kg } = row
    this.run = copyHeatRun(row.run)
    this.isOpen = isOpen
    this.jacobian = new Float64Array(parameters)
    this.state = { lnHeat: NaN, lnBurn: lnBurnRate(row.run), lnMeanBurn, windMS, altitudeKm, volume }
    this.loss = isOpen && kg !== null ? { kg, at: NaN, by: new Float64Array(BALANCE.length), residual: NaN } : null
  }

  /** Heat flow, and a weighed loss, at these parameters: the costly part. */
  workOutHeat(theta: Float64Array): void {
    const { run, isOpen, balance, loss } = this
    const at = balanceOf(theta)
    setBalance(run, isOpen, at)
    this.lnHeat = balance.lnHeatFlow(run)
    if (loss !== null) loss.at = balance.lossResidual(run, loss.kg)
    BALANCE.forEach(([key], j) => {
      if (!isOpen && key !== 'lnLoss') return
      setBalance(run, isOpen, { ...at, [key]: at[key] + STEP })
      this.heatBy[j] = (balance.lnHeatFlow(run) - this.lnHeat) / STEP
      if (loss !== null) loss.by[j] = (balance.lossResidual(run, loss.kg) - loss.at) / STEP
    })
  }

  /** @param at where its heat was worked out */
  residualAt(theta: Float64Array, at: Float64Array): number {
    this.state.lnHeat = this.lnHeat + alongBalance(this.heatBy, at, theta)
    return residualOf(this.state, theta)
  }

  lossResidualAt(theta: Float64Array, at: Float64Array): number {
    return this.loss === null ? 0 : this.loss.at + alongBalance(this.loss.by, at, theta)
  }

  /** Residual and slopes at these parameters. */
  straighten(theta: Float64Array, at: Float64Array): void {
    const { jacobian, heatBy } = this
    const { windMS, lnMeanBurn, lnBurn, altitudeKm, volume } = this.state
    this.residual = this.residualAt(theta, at)
    if (this.loss !== null) this.loss.residual = this.lossResidualAt(theta, at)
    const power = theta[THETA.windPower]!
    const lnRatio = windMS > 0 ? Math.log(windMS) - theta[THETA.lnV0]! : 0
    // (v/v₀)ⁿ over 1 + (v/v₀)ⁿ.
    const share = windMS > 0 ? 1 / (1 + Math.exp(-power * lnRatio)) : 0
    jacobian[THETA.a] = -1
    jacobian[THETA.lnV0] = -power * share
    jacobian[THETA.windPower] = share * lnRatio
    jacobian[THETA.flamePower] = lnMeanBurn - lnBurn
    jacobian[THETA.altitude] = -altitudeKm
    for (let j = 0; j < heatBy.length; j++) jacobian[BALANCED[j]!] = heatBy[j]!
    if (volume > 0) jacobian[FIRST_VOLUME + volume - 1] = -1
  }
}

/** Half the objective's slope in each parameter. */
export function gradientOf(theta: Float64Array, prior: readonly Normal[], rows: readonly RowLinear[]): Float64Array {
  const gradient = Float64Array.from(prior, ({ mean, sd }, k) => (theta[k]! - mean) / sd ** 2)
  for (const { residual, variance, jacobian, loss } of rows) {
    const weighted = residual / variance
    for (let k = 0; k < gradient.length; k++) gradient[k]! += weighted * jacobian[k]!
    if (loss !== null) BALANCED.forEach((k, j) => (gradient[k]! += loss.residual * loss.by[j]!))
  }
  return gradient
}

/** What priors and runs know of the parameters: the inverse of their covariance. */
export function informationOf(prior: readonly Normal[], rows: readonly RowLinear[], into: Rows): void {
  prior.forEach(({ sd }, k) => {
    into[k]!.fill(0)
    into[k]![k] = 1 / sd ** 2
  })
  for (const { jacobian, variance, loss } of rows) {
    addSquare(into, jacobian, 1 / variance)
    if (loss !== null)
      BALANCED.forEach((k, i) => BALANCED.forEach((l, j) => (into[k]![l]! += loss.by[i]! * loss.by[j]!)))
  }
}

/** Adds w·v·vᵀ. */
function addSquare(into: Rows, v: Float64Array, weight: number): void {
  for (let k = 0; k < v.length; k++) {
    const by = weight * v[k]!
    if (by === 0) continue
    const row = into[k]!
    for (let j = 0; j < v.length; j++) row[j]! += by * v[j]!
  }
}
