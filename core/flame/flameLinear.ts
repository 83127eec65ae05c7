/** The flame's model in straight lines about its parameters: what each moves the residual of each run by. */
import type { Normal } from './flameClass'
import {
  balanceOf,
  FIRST_VOLUME,
  lnBurnRate,
  lnHeatFlow,
  lossResidual,
  residualOf,
  THETA,
  withBalance,
  type FlameRow,
} from './flameRow'

export interface Linear {
  residual: number
  /** ∂r/∂θ. */
  jacobian: number[]
}

/** A weighed loss of water as one datum more, of unit variance. */
export interface LossLinear {
  residual: number
  /** ∂r/∂θ of the balance's parameters, in BALANCE's order. */
  by: number[]
}

const STEP = 1e-3
/** The parameters of where a pot's heat goes. */
const BALANCE = [
  ['lnLoss', THETA.lnLoss],
  ['lnTransfer', THETA.lnTransfer],
  ['vapourWind', THETA.vapourWind],
] as const

export const isOfBalance = (k: number): boolean => BALANCE.some(([, one]) => one === k)

/** What the way from one list of parameters to another does, by slopes in BALANCE's order. */
export function alongBalance(by: readonly number[], from: readonly number[], to: readonly number[]): number {
  let sum = 0
  for (let j = 0; j < by.length; j++) sum += by[j]! * (to[BALANCE[j]![1]]! - from[BALANCE[j]![1]]!)
  return sum
}

/** ln q0 of a run with the heat loss and mass transfer of these parameters. */
export const lnHeatAt = (row: FlameRow, theta: readonly number[]): number =>
  lnHeatFlow(withBalance(row.run, row.isOpen, balanceOf(theta)))

/** What the balance's parameters do to it. */
export function heatSlopes(row: FlameRow, lnHeat: number, theta: readonly number[]): number[] {
  const balance = balanceOf(theta)
  return BALANCE.map(([key]) => {
    if (!row.isOpen && key !== 'lnLoss') return 0
    const moved = { ...balance, [key]: balance[key] + STEP }
    return (lnHeatFlow(withBalance(row.run, row.isOpen, moved)) - lnHeat) / STEP
  })
}

interface Known {
  lnHeat: number
  heatBy: readonly number[]
  lnBurn: number
  lnMeanBurn: number
}

export function linearOf(row: FlameRow, known: Known, theta: readonly number[]): Linear {
  const power = theta[THETA.windPower]!
  const lnRatio = Math.log(row.windMS) - theta[THETA.lnV0]!
  // (v/v₀)ⁿ over 1 + (v/v₀)ⁿ.
  const share = row.windMS > 0 ? 1 / (1 + Math.exp(-power * lnRatio)) : 0
  const jacobian = new Array<number>(theta.length).fill(0)
  jacobian[THETA.a] = -1
  jacobian[THETA.lnV0] = -power * share
  jacobian[THETA.windPower] = share === 0 ? 0 : share * lnRatio
  jacobian[THETA.flamePower] = known.lnMeanBurn - known.lnBurn
  jacobian[THETA.altitude] = -row.altitudeKm
  BALANCE.forEach(([, k], j) => (jacobian[k] = known.heatBy[j]!))
  if (row.volume > 0) jacobian[FIRST_VOLUME + row.volume - 1] = -1
  return { residual: residualOf(row, known, theta), jacobian }
}

export function lossLinear({ run, isOpen, weighedLossKg }: FlameRow, theta: readonly number[]): LossLinear[] {
  if (!isOpen || weighedLossKg === null) return []
  const balance = balanceOf(theta)
  const at = (moved: typeof balance) => lossResidual(withBalance(run, true, moved), weighedLossKg)
  const residual = at(balance)
  const by = BALANCE.map(([key]) => (at({ ...balance, [key]: balance[key] + STEP }) - residual) / STEP)
  return [{ residual, by }]
}

/** Half the objective's slope in each parameter. */
export function gradientOf(
  theta: readonly number[],
  prior: readonly Normal[],
  {
    linear,
    variances,
    losses,
  }: { linear: readonly Linear[]; variances: readonly number[]; losses: readonly LossLinear[] },
): number[] {
  const gradient = prior.map(({ mean, sd }, k) => (theta[k]! - mean) / sd ** 2)
  linear.forEach(({ residual, jacobian }, i) => {
    for (let k = 0; k < gradient.length; k++) gradient[k]! += (residual * jacobian[k]!) / variances[i]!
  })
  for (const { residual, by } of losses) BALANCE.forEach(([, k], j) => (gradient[k]! += residual * by[j]!))
  return gradient
}

/** What priors and runs know of the parameters: the inverse of their covariance. */
export function informationOf(
  prior: readonly Normal[],
  {
    linear,
    variances,
    losses,
  }: { linear: readonly Linear[]; variances: readonly number[]; losses: readonly LossLinear[] },
): number[][] {
  const n = prior.length
  const information = prior.map(({ sd }, k) => {
    const row = new Array<number>(n).fill(0)
    row[k] = 1 / sd ** 2
    return row
  })
  linear.forEach(({ jacobian }, i) => {
    const weight = 1 / variances[i]!
    for (let k = 0; k < n; k++) {
      const by = weight * jacobian[k]!
      if (by !== 0) for (let j = 0; j < n; j++) information[k]![j]! += by * jacobian[j]!
    }
  })
  for (const { by } of losses)
    BALANCE.forEach(([, k], i) => BALANCE.forEach(([, l], j) => (information[k]![l]! += by[i]! * by[j]!)))
  return information
}

/** The residual of a run one of whose readings is moved by its standard uncertainty. */
export function movedResidual(
  row: FlameRow,
  { u, move }: Pick<FlameRow['inputs'][number], 'u' | 'move'>,
  theta: readonly number[],
  lnMeanBurn: number,
): number {
  const moved = withBalance(row.run, row.isOpen, balanceOf(theta))
  moved.v0MS = Math.exp(theta[THETA.lnV0]!)
  moved.windPower = theta[THETA.windPower]!
  move(moved, u)
  const known = { lnHeat: lnHeatFlow(moved) + Math.log(moved.flameFactor), lnBurn: lnBurnRate(moved), lnMeanBurn }
  const { altitudeKm, volume } = row
  return residualOf({ windMS: moved.windMS, altitudeKm, volume }, known, theta)
}
