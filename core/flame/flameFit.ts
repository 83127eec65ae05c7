/**
 * The set-up's flame: one model of useful heat per gram against wind, burn rate, altitude and volume, fitted to all its
 * runs with the class's priors.
 *
 *     ln(q0/ṁ) = a − ln(1 + (v/v₀)ⁿ) + (x − 1)·ln(ṁ/ṁ*) + κ·h + b_V + e
 *
 * Where the series is silent the priors speak, so that no windy run and forty are the same formula.
 */
import { choleskyFactor, inverseFromFactor, solveInPlace, times, zeroRows, type Rows } from '../numeric/cholesky'
import type { FlamePriors, Normal } from './flameClass'
import { gradientOf, informationOf, isOfBalance, RowLinear } from './flameLinear'
import { lnBurnRate, MovedRow, THETA, type FlameRow, type RowInput } from './flameRow'
import { nextSpread, partsOf, SPREAD_PRIOR, varianceOf, type Parts, type Spread } from './flameVariances'

export interface FlameFit {
  /** The parameters, in THETA's order, then an intercept for each further volume. */
  theta: Float64Array
  /** Their posterior covariance. */
  covariance: Rows
  /** Repeatability of the flame: standard deviation of e. */
  sigma: number
  lnMeanBurn: number
  rows: FittedRow[]
}

interface FittedRow {
  residual: number
  /** What the residual's variance comes to. */
  variance: number
  /** dθ/dr: how this run's residual pulls the parameters. */
  pull: Float64Array
  /** By how much each of its inputs moves the residual, for one standard uncertainty. */
  moved: number[]
  /** By how much anything else would. */
  movedBy: (input: Pick<RowInput, 'u' | 'move' | 'putBack'>) => number
}

/** Bounds of parameters whose meaning ends there. */
const BOUNDS: Partial<Record<number, [number, number]>> = { [THETA.windPower]: [1, 2], [THETA.flamePower]: [0.2, 1.15] }
const UNBOUNDED: [number, number] = [-Infinity, Infinity]
const PRIOR_SDS = 4
const MOST_STEPS = 25
const MOST_HALVINGS = 5
const SETTLED = { theta: 0.01, sigma: 0.02 }
/** Of a further volume: 0.1·ln(V/V₁) ± 0.1. Source: estimate. */
const VOLUME_PRIOR = { slope: 0.1, sd: 0.1 }
/** The level itself is free. */
const LEVEL_SD = 5

/** @param lnVolumes ln of each further volume over the commonest. Source: flameModel. */
export function fitFlame(rows: readonly FlameRow[], priors: FlamePriors, lnVolumes: readonly number[]): FlameFit {
  const fit = new FitState(rows, priorList(priors, lnVolumes))
  fit.begin()
  for (let step = 0; step < MOST_STEPS; step++) if (fit.step()) break
  return fit.result()
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length)

function priorList(priors: FlamePriors, lnVolumes: readonly number[]): Normal[] {
  return [
    { mean: 0, sd: LEVEL_SD },
    priors.lnV0,
    priors.windPower,
    priors.flamePower,
    priors.lnLoss,
    priors.lnTransfer,
    priors.altitude,
    priors.vapourWind,
    ...lnVolumes.map((ln) => ({ mean: VOLUME_PRIOR.slope * ln, sd: VOLUME_PRIOR.sd })),
  ]
}

class FitState {
  private theta: Float64Array
  private spread: Spread = SPREAD_PRIOR
  private parts: Parts[] = []
  /** Parameters at which heat flows and weighed losses were worked out; near them they are straight lines. */
  private readonly at: Float64Array
  private readonly lnMeanBurn: number
  private readonly linear: RowLinear[]
  private readonly moved: MovedRow[]
  private readonly information: Rows
  private readonly lower: Rows
  private readonly covariance: Rows

  constructor(
    private readonly rows: readonly FlameRow[],
    private readonly prior: Normal[],
  ) {
    const k = prior.length
    this.theta = Float64Array.from(prior, ({ mean }) => mean)
    this.at = this.theta.slice()
    this.lnMeanBurn = meanOf(rows.map(({ run }) => lnBurnRate(run)))
    this.linear = rows.map((row) => new RowLinear(row, k, this.lnMeanBurn))
    this.moved = rows.map((row) => new MovedRow(row, this.lnMeanBurn))
    this.information = zeroRows(k)
    this.lower = zeroRows(k)
    this.covariance = zeroRows(k)
  }

  /** At the priors' means, the level at the middle residual. */
  begin(): void {
    this.workOutHeat()
    const residuals = Float64Array.from(this.linear, (row) => row.residualAt(this.theta, this.at)).sort()
    const middle = residuals[Math.floor(residuals.length / 2)] ?? 0
    this.theta[THETA.a] = middle
    this.prior[THETA.a] = { mean: middle, sd: LEVEL_SD }
    this.readParts()
    this.linearise()
  }

  /** One Gauss–Newton step and one of the variances; true: settled. */
  step(): boolean {
    const { theta, at } = this
    const moved = this.take(solveInPlace(this.lower, gradientOf(theta, this.prior, this.linear)))
    const before = this.spread
    this.straighten()
    this.spread = nextSpread(before, this.parts, { rows: this.linear, covariance: this.covariance })
    this.weigh()
    this.factor()
    const settled = this.isSmall(moved) && Math.abs(this.spread.sigma - before.sigma) <= SETTLED.sigma * before.sigma
    if (!settled) return false
    if (this.isSmall(this.theta.map((one, k) => (isOfBalance(k) ? one - at[k]! : 0)))) return true
    this.workOutHeat()
    this.linearise()
    return false
  }

  result(): FlameFit {
    this.workOutHeat()
    const moves = this.readParts()
    this.linearise()
    const { theta, covariance, spread, lnMeanBurn } = this
    const rows = this.linear.map(({ residual, variance, jacobian }, i): FittedRow => {
      const pull = times(covariance, jacobian).map((one) => -one / variance)
      const movedBy: FittedRow['movedBy'] = (input) => this.moved[i]!.residual(input, theta) - residual
      return { residual, variance, pull, moved: moves[i]!, movedBy }
    })
    return { theta, covariance, sigma: spread.sigma, lnMeanBurn, rows }
  }

  private isSmall(moved: Float64Array): boolean {
    return moved.every((one, k) => Math.abs(one) <= SETTLED.theta * Math.sqrt(this.covariance[k]![k]!))
  }

  /** Heat flows and weighed losses at the parameters as they are now: the costly part. */
  private workOutHeat(): void {
    this.at.set(this.theta)
    for (const row of this.linear) row.workOutHeat(this.theta)
  }

  /** What each input moves each run's residual by, at the parameters as they are now. */
  private readParts(): number[][] {
    const { theta, at } = this
    const moves = this.rows.map(({ inputs }, i) => {
      const row = this.moved[i]!
      const residual = this.linear[i]!.residualAt(theta, at)
      row.setFlame(theta)
      return inputs.map((input) => row.residual(input, theta) - residual)
    })
    this.parts = this.rows.map((row, i) => partsOf(row, moves[i]!))
    this.weigh()
    return moves
  }

  private weigh(): void {
    for (let i = 0; i < this.parts.length; i++) this.linear[i]!.variance = varianceOf(this.parts[i]!, this.spread)
  }

  private straighten(): void {
    for (const row of this.linear) row.straighten(this.theta, this.at)
  }

  private linearise(): void {
    this.straighten()
    this.factor()
  }

  private factor(): void {
    informationOf(this.prior, this.linear, this.information)
    choleskyFactor(this.information, this.lower)
    inverseFromFactor(this.lower, this.covariance)
  }

  /** Takes the step down `slope`: no parameter by more than 1, halved until it helps. @returns what was moved */
  private take(slope: Float64Array): Float64Array {
    const from = this.theta
    const before = this.objective(from)
    let share = 1 / Math.max(1, ...slope.map(Math.abs))
    for (let halved = 0; ; halved++) {
      const to = from.map((one, k) => this.bounded(k, one - share * slope[k]!))
      if (halved >= MOST_HALVINGS || this.objective(to) <= before) {
        this.theta = to
        return to.map((one, k) => one - from[k]!)
      }
      share /= 2
    }
  }

  private bounded(k: number, value: number): number {
    const { mean, sd } = this.prior[k]!
    const [low, high] = BOUNDS[k] ?? UNBOUNDED
    return Math.min(high, mean + PRIOR_SDS * sd, Math.max(low, mean - PRIOR_SDS * sd, value))
  }

  private objective(theta: Float64Array): number {
    let sum = 0
    for (const row of this.linear)
      sum += row.residualAt(theta, this.at) ** 2 / row.variance + row.lossResidualAt(theta, this.at) ** 2
    for (let k = 0; k < theta.length; k++) sum += ((theta[k]! - this.prior[k]!.mean) / this.prior[k]!.sd) ** 2
    return sum
  }
}
