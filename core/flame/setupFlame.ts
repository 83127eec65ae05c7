/** The flame of a set-up as its figures need it: the fit of its series, or its class alone. */
import type { FlamePriors } from './flameClass'
import { fitFlame, type FlameFit } from './flameFit'
import { THETA, type FlameRow, type RowInput } from './flameRow'
import { choleskyFactor, type Rows } from '../numeric/cholesky'
import { copyHeatRun, type HeatRun } from '../normalise/heatRun'

/** The parameters that a figure hangs on: where each stands in the fit's list. */
export const FIGURED = [
  THETA.lnV0,
  THETA.windPower,
  THETA.flamePower,
  THETA.lnLoss,
  THETA.lnTransfer,
  THETA.altitude,
  THETA.vapourWind,
] as const

const ALL = FIGURED.map((_, i) => i)

/** A cause that several runs share, as it moves one of them by a standard uncertainty. */
export interface SharedInput extends Pick<RowInput, 'u' | 'move' | 'putBack'> {
  sharedBy: string
}

export interface FlameMember extends FlameRow {
  id: string
  shared: readonly SharedInput[]
}

export interface SetupFlame {
  fit: FlameFit
  priors: FlamePriors
  /** Whether its own runs say what wind does to it. */
  basis: 'ownSeries' | 'classDefault'
  /** Runs it was fitted to, by id. */
  rowOf: ReadonlyMap<string, number>
  rows: readonly FlameMember[]
  /** Independent standard errors that together are the posterior of the parameters a figure hangs on. */
  columns: readonly (readonly number[])[]
  /** dθ for one standard uncertainty of what its runs share. */
  sharedPulls: Readonly<Record<string, Float64Array>>
}

/** @param lnVolumes ln of each further volume over the commonest. Sources: flameModel, commonPractice. */
export function setupFlame(
  rows: readonly FlameMember[],
  priors: FlamePriors,
  lnVolumes: readonly number[],
): SetupFlame {
  const fit = fitFlame(rows, priors, lnVolumes)
  const sd = Math.sqrt(fit.covariance[THETA.lnV0]![THETA.lnV0]!)
  return {
    fit,
    priors,
    basis: sd < priors.lnV0.sd / 2 ? 'ownSeries' : 'classDefault',
    rowOf: new Map(rows.map(({ id }, i) => [id, i])),
    rows,
    columns: columnsOf(figuredCovariance({ fit }, null, ALL)),
    sharedPulls: sharedPullsOf(rows, fit),
  }
}

/** One error common to runs moves all their residuals, and the parameters by the sum. */
function sharedPullsOf(rows: readonly FlameMember[], fit: FlameFit): SetupFlame['sharedPulls'] {
  const pulls: Record<string, Float64Array> = {}
  rows.forEach((row, i) => {
    const { pull, movedBy } = fit.rows[i]!
    for (const input of row.shared) {
      const moved = movedBy(input)
      const sum = (pulls[input.sharedBy] ??= new Float64Array(pull.length))
      for (let k = 0; k < sum.length; k++) sum[k]! += pull[k]! * moved
    }
  })
  return pulls
}

interface Applied {
  /** null: not read, so that wind stays. */
  windMS: number | null
  isOpen: boolean
  /** Altitude of the run over the reference's [km]. */
  aboveKm: number
}

/** The run with its set-up's flame in it. */
export function withFlame(run: HeatRun, { fit: { theta } }: SetupFlame, { windMS, isOpen, aboveKm }: Applied): HeatRun {
  const flamed = copyHeatRun(run)
  flamed.v0MS = windMS === null ? NaN : Math.exp(theta[THETA.lnV0]!)
  flamed.windPower = theta[THETA.windPower]!
  flamed.flamePower = theta[THETA.flamePower]!
  flamed.lossScale = Math.exp(theta[THETA.lnLoss]!)
  if (isOpen) {
    flamed.evaporationScale = Math.exp(theta[THETA.lnTransfer]!)
    flamed.vapourWindPerMS = theta[THETA.vapourWind]!
  }
  flamed.altitudeFactor = Math.exp(theta[THETA.altitude]! * aboveKm)
  return flamed
}

/** Undoes what shiftFlame did. */
export function putFlameBack(run: HeatRun, from: HeatRun): void {
  run.v0MS = from.v0MS
  run.windPower = from.windPower
  run.flamePower = from.flamePower
  run.lossScale = from.lossScale
  run.evaporationScale = from.evaporationScale
  run.vapourWindPerMS = from.vapourWindPerMS
  run.altitudeFactor = from.altitudeFactor
}

/** Moves a run's parameters, in FIGURED's order, in place. */
export function shiftFlame(
  run: HeatRun,
  by: ArrayLike<number>,
  share: number,
  at: Pick<Applied, 'isOpen' | 'aboveKm'>,
): void {
  if (by[0] !== 0) run.v0MS *= Math.exp(share * by[0]!)
  run.windPower = Math.min(2, Math.max(1, run.windPower + share * by[1]!))
  run.flamePower += share * by[2]!
  if (by[3] !== 0) run.lossScale *= Math.exp(share * by[3]!)
  if (at.isOpen) {
    run.evaporationScale *= Math.exp(share * by[4]!)
    run.vapourWindPerMS = Math.max(0, run.vapourWindPerMS + share * by[6]!)
  }
  if (at.aboveKm !== 0) run.altitudeFactor *= Math.exp(share * by[5]! * at.aboveKm)
}

/** The posterior of some parameters of FIGURED, without what one of the rows put into it. */
export function figuredCovariance(
  { fit }: Pick<SetupFlame, 'fit'>,
  row: number | null,
  acting: readonly number[],
): Float64Array[] {
  const own = row === null ? null : fit.rows[row]!
  const parameters = acting.map((i) => FIGURED[i]!)
  return parameters.map((i) => {
    const cells = new Float64Array(parameters.length)
    parameters.forEach((k, c) => {
      cells[c] = fit.covariance[i]![k]! - (own === null ? 0 : own.variance * own.pull[i]! * own.pull[k]!)
    })
    return cells
  })
}

/** Columns of the lower factor: independent standard errors that together are the covariance. */
export function columnsOf(covariance: Rows): number[][] {
  const lower = choleskyFactor(covariance)
  return lower.map((_, c) => lower.map((row) => row[c]!))
}

export const figuredPull = (pull: Float64Array): number[] => FIGURED.map((k) => pull[k]!)
