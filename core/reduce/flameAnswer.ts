/** The set-up's flame as the contract's answer has it. */
import type { FlameFigure, SetupFlameAnswer } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import { flameLimits, type Limit } from '../flame/flameLimits'
import { THETA } from '../flame/flameRow'
import type { SetupFlame } from '../flame/setupFlame'
import { inGrams } from '../quantity/shown'
import { VALVE_U } from './flameBudget'
import type { SetupSeries } from './setupSeries'
import { NORMAL_95 } from '../statistics/student'

/** null: it was fitted to no run. */
export function flameAnswer({ flame, benchRates }: SetupSeries, options: ReduceOptions): SetupFlameAnswer | null {
  const { fit, basis, rows } = flame
  const middle = middleRow(flame)
  if (rows.length === 0 || middle === null) return null
  const [x, n, lnV0] = [fit.theta[THETA.flamePower]!, fit.theta[THETA.windPower]!, fit.theta[THETA.lnV0]!]
  const sdOf = (k: number) => Math.sqrt(fit.covariance[k]![k]!)
  const bench = benchRates.of('full') ?? benchRates.of(null)
  const lnBurn = bench?.lnKgPerS ?? fit.lnMeanBurn
  const lnCalmHeat = fit.theta[THETA.a]! + lnBurn + (x - 1) * (lnBurn - fit.lnMeanBurn)
  const limits = flameLimits(
    flame,
    { run: middle.run, isOpen: middle.isOpen, lnCalmHeat },
    { reference: options.reference, thetaU: options.theta.u },
  )
  const withBasis = (limit: Limit | null): FlameFigure | null => (limit === null ? null : { ...limit, basis })
  return {
    v0: { ...byLog(Math.exp(lnV0), sdOf(THETA.lnV0)), basis },
    n: { ...evenly(n, sdOf(THETA.windPower)), basis },
    x: { ...evenly(x, sdOf(THETA.flamePower)), basis: ownIf(sdOf(THETA.flamePower), flame.priors.flamePower.sd) },
    sigma: {
      ...byLog(fit.sigma, 1 / Math.sqrt(2 * (rows.length + 2))),
      basis: rows.length > 1 ? 'ownSeries' : 'assumed',
    },
    benchBurnRateGPerMin:
      bench === null
        ? null
        : { ...byLog(inGrams(Math.exp(bench.lnKgPerS)) * 60, VALVE_U / Math.sqrt(bench.n)), basis: 'ownSeries' },
    doublingMS: withBasis(limits.doublingMS),
    stallMS: withBasis(limits.stallMS),
  }
}

const ownIf = (sd: number, priorSd: number): FlameFigure['basis'] => (sd < priorSd / 2 ? 'ownSeries' : 'classDefault')

/** The middle one by water among the commonest volume. */
function middleRow({ rows }: SetupFlame) {
  const usual = rows.filter(({ volume }) => volume === 0).sort((a, b) => a.run.waterKg - b.run.waterKg)
  return usual[Math.floor(usual.length / 2)] ?? null
}

const byLog = (value: number, ln: number): Omit<FlameFigure, 'basis'> => ({
  value,
  u: value * ln,
  low: value * Math.exp(-NORMAL_95 * ln),
  high: value * Math.exp(NORMAL_95 * ln),
})
const evenly = (value: number, u: number): Omit<FlameFigure, 'basis'> => ({
  value,
  u,
  low: value - NORMAL_95 * u,
  high: value + NORMAL_95 * u,
})
