/**
 * The set-up's flame: one model of useful heat per gram against wind, burn rate, altitude and volume, fitted to all its
 * runs with the class's priors.
 *
 *     ln(q0/ṁ) = a − ln(1 + (v/v₀)ⁿ) + (x − 1)·ln(ṁ/ṁ*) + κ·h + b_V + e
 *
 * Where the series is silent the priors speak, so that no windy run and forty are the same formula.
 */
import { choleskyFactor, inverseFromFactor, solveWith, times } from '../numeric/cholesky'
import type { FlamePriors, Normal } from './flameClass'
import {
  alongBalance,
  gradientOf,
  heatSlopes,
  informationOf,
  isOfBalance,
  linearOf,
  lnHeatAt,
  lossLinear,
  movedResidual,
  type Linear,
  type LossLinear,
} from './flameLinear'
import { lnBurnRate, residualOf, THETA, type FlameRow } from './flameRow'
import { nextSpread, partsOf, SPREAD_PRIOR, varianceOf, type Parts, type Spread } from './flameVariances'

export interface FlameFit {
  /** The parameters, in THETA's order, then an intercept for each further volume. */
  theta: number[]
  /** Their posterior covariance. */
  covariance: number[][]
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
  pull: number[]
  /** By how much each of its inputs moves the residual, for one standard uncertainty. */
  moved: number[]
}

/** Bounds of parameters whose meaning ends there. */
const BOUNDS: Partial<Record<number, [number, number]>> = { [THETA.windPower]: [1, 2], [THETA.flamePower]: [0.2, 1.15] }
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
  const lnBurns = rows.map(({ run }) => lnBurnRate(run))
  const lnMeanBurn = lnBurns.reduce((sum, one) => sum + one, 0) / Math.max(1, rows.length)
  const fit = new FitState(rows, priorList(priors, lnVolumes), { lnBurns, lnMeanBurn })
  fit.begin()
  for (let step = 0; step < MOST_STEPS; step++) if (fit.step()) break
  return fit.result()
}

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
  private theta: number[]
  private spread: Spread = SPREAD_PRIOR
  private parts: Parts[] = []
  /** Parameters at which heat flows and weighed losses were worked out; near them they are straight lines. */
  private at: number[] = []
  /** ln q0 of each run there, and what the balance's parameters do to it. */
  private lnHeats: number[] = []
  private heatBy: number[][] = []
  private lossesAt: LossLinear[] = []
  private linear: Linear[] = []
  private losses: LossLinear[] = []
  private lower: number[][] = []
  private covariance: number[][] = []

  constructor(
    private readonly rows: readonly FlameRow[],
    private readonly prior: Normal[],
    private readonly burns: { lnBurns: readonly number[]; lnMeanBurn: number },
  ) {
    this.theta = prior.map(({ mean }) => mean)
  }

  /** At the priors' means, the level at the middle residual. */
  begin(): void {
    this.workOutHeat()
    const residuals = this.rows.map((_, i) => this.residual(i, this.theta)).sort((a, b) => a - b)
    const middle = residuals[Math.floor(residuals.length / 2)] ?? 0
    this.theta[THETA.a] = middle
    this.prior[THETA.a] = { mean: middle, sd: LEVEL_SD }
    this.parts = this.rows.map((row, i) => partsOf(row, this.movesOf(row, i)))
    this.linearise()
  }

  /** One Gauss–Newton step and one of the variances; true: settled. */
  step(): boolean {
    const gradient = gradientOf(this.theta, this.prior, this.data())
    const moved = this.take(solveWith(this.lower, gradient).map((one) => -one))
    const before = this.spread
    this.straighten()
    this.spread = nextSpread(before, this.parts, { linear: this.linear, covariance: this.covariance })
    this.factor()
    const settled = this.isSmall(moved) && Math.abs(this.spread.sigma - before.sigma) <= SETTLED.sigma * before.sigma
    if (!settled) return false
    const strayed = this.theta.map((one, k) => (isOfBalance(k) ? one - this.at[k]! : 0))
    if (this.isSmall(strayed)) return true
    this.workOutHeat()
    this.linearise()
    return false
  }

  private isSmall(moved: readonly number[]): boolean {
    return moved.every((one, k) => Math.abs(one) <= SETTLED.theta * Math.sqrt(this.covariance[k]![k]!))
  }

  /** Heat flows and weighed losses at the parameters as they are now: the costly part. */
  private workOutHeat(): void {
    this.at = [...this.theta]
    this.lnHeats = this.rows.map((row) => lnHeatAt(row, this.theta))
    this.heatBy = this.rows.map((row, i) => heatSlopes(row, this.lnHeats[i]!, this.theta))
    this.lossesAt = this.rows.flatMap((row) => lossLinear(row, this.theta))
  }

  result(): FlameFit {
    this.workOutHeat()
    const moves = this.rows.map((row, i) => this.movesOf(row, i))
    this.parts = this.rows.map((row, i) => partsOf(row, moves[i]!))
    this.linearise()
    const { theta, covariance, spread } = this
    const rows = this.linear.map(({ residual, jacobian }, i) => {
      const variance = this.variance(i)
      const pull = times(covariance, jacobian).map((one) => -one / variance)
      return { residual, variance, pull, moved: moves[i]! }
    })
    return { theta, covariance, sigma: spread.sigma, lnMeanBurn: this.burns.lnMeanBurn, rows }
  }

  private movesOf(row: FlameRow, i: number): number[] {
    const at = this.residual(i, this.theta)
    return row.inputs.map((input) => movedResidual(row, input, this.theta, this.burns.lnMeanBurn) - at)
  }

  private residual(i: number, theta: readonly number[]): number {
    const { lnBurns, lnMeanBurn } = this.burns
    return residualOf(this.rows[i]!, { lnHeat: this.lnHeat(i, theta), lnBurn: lnBurns[i]!, lnMeanBurn }, theta)
  }

  private lnHeat(i: number, theta: readonly number[]): number {
    return this.lnHeats[i]! + alongBalance(this.heatBy[i]!, this.at, theta)
  }

  private variance(i: number): number {
    return varianceOf(this.parts[i]!, this.spread)
  }

  private data() {
    return { linear: this.linear, variances: this.parts.map((_, i) => this.variance(i)), losses: this.losses }
  }

  private straighten(): void {
    const { lnBurns, lnMeanBurn } = this.burns
    const { theta, heatBy } = this
    this.linear = this.rows.map((row, i) =>
      linearOf(row, { lnHeat: this.lnHeat(i, theta), heatBy: heatBy[i]!, lnBurn: lnBurns[i]!, lnMeanBurn }, theta),
    )
    this.losses = this.lossesAt.map(({ residual, by }) => ({
      residual: residual + alongBalance(by, this.at, theta),
      by,
    }))
  }

  private linearise(): void {
    this.straighten()
    this.factor()
  }

  private factor(): void {
    this.lower = choleskyFactor(informationOf(this.prior, this.data()))
    this.covariance = inverseFromFactor(this.lower)
  }

  /** Takes the step: no parameter by more than 1, halved until it helps. @returns what was moved */
  private take(full: readonly number[]): number[] {
    const from = this.theta
    const before = this.objective(from)
    let share = 1 / Math.max(1, ...full.map(Math.abs))
    for (let halved = 0; ; halved++) {
      const to = from.map((one, k) => this.bounded(k, one + share * full[k]!))
      if (halved >= MOST_HALVINGS || this.objective(to) <= before) {
        this.theta = to
        return to.map((one, k) => one - from[k]!)
      }
      share /= 2
    }
  }

  private bounded(k: number, value: number): number {
    const { mean, sd } = this.prior[k]!
    const [low, high] = BOUNDS[k] ?? [-Infinity, Infinity]
    return Math.min(high, mean + PRIOR_SDS * sd, Math.max(low, mean - PRIOR_SDS * sd, value))
  }

  private objective(theta: readonly number[]): number {
    let sum = 0
    for (let i = 0; i < this.rows.length; i++) sum += this.residual(i, theta) ** 2 / this.variance(i)
    for (const { residual, by } of this.lossesAt) sum += (residual + alongBalance(by, this.at, theta)) ** 2
    this.prior.forEach(({ mean, sd }, k) => (sum += ((theta[k]! - mean) / sd) ** 2))
    return sum
  }
}
