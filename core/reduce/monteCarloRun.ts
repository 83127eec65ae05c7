/** Monte Carlo of one run's normalised figure, beside what first order says of it. */
import type { ReduceRequest } from '../formats/document'
import { FIGURED, putFlameBack, shiftFlame } from '../flame/setupFlame'
import { FIGURE, normalisedFigure } from '../normalise/figures'
import { copyHeatRun, type HeatRun } from '../normalise/heatRun'
import { LadderTimes } from '../normalise/normalise'
import { runInSeries } from '../reduce'
import type { Figured } from './figureRun'
import { fail, ok, type R } from '../result'
import { combined } from '../uncertainty/propagate'
import { drawing, monteCarlo, type Distribution, type MonteCarloOptions } from '../uncertainty/monteCarlo'

export interface MonteCarloAnswer {
  runId: string
  seed: number
  /** By first order: the normalised figure and its standard uncertainty [g/L]. */
  firstOrder: { gPerL: number; u: number }
  distribution: Distribution
  /** sd over first order's u. */
  ratio: number
  /** Within 5 % of one another, with no lean to one side worth speaking of. */
  agrees: boolean
  text: string
}

/**
 * Draws all of a run's uncertain inputs together and normalises for each draw.
 * @param request with the runs of the set-up's series in it; `runId` the one to draw. The series' flame is
 * drawn by its posterior, not fitted anew.
 * @returns a problem where the run has no normalised figure, or the draws were stopped. Source: gumSupplement.
 */
export function monteCarloRun(request: ReduceRequest, runId: string, options: MonteCarloOptions): R<MonteCarloAnswer> {
  const found = runInSeries(request, runId)
  if (found === null)
    return fail({ code: 'run-not-found', what: 'The run is not in the request', where: 'runs', got: runId })
  const { budget, normalisation } = found.figured
  const first = combined(budget, FIGURE.normalised)
  if (normalisation === null || !normalisation.ok || !Number.isFinite(first.u))
    return fail({
      code: 'not-normalised',
      what: 'The run has no normalised figure to draw',
      hint: 'Its missing readings are listed with it.',
    })
  const distribution = monteCarlo(drawingOf(found.figured), options)
  if (distribution === null) return fail({ code: 'stopped', what: 'The draws were stopped' })
  const ratio = distribution.sd / first.u
  const agrees = Math.abs(ratio - 1) <= 0.05 && Math.abs(skewOf(distribution)) <= 0.1 && distribution.lost === 0
  return ok({
    runId,
    seed: options.seed,
    firstOrder: { gPerL: first.value, u: first.u },
    distribution,
    ratio,
    agrees,
    text: wordsOf(distribution, ratio, agrees),
  })
}

/** Each cause moves the run, and all of them together the parameters of its set-up's flame. */
function drawingOf({ run, budget, figureOptions, at }: Figured): (normal: () => number) => number {
  const times = new LadderTimes(figureOptions.reference, figureOptions.model)
  const n = FIGURED.length
  const shift = new Float64Array(n)
  const pulls = Float64Array.from(budget.pulls.flatMap((pull) => pull ?? NO_PULL))
  const together = {
    move(x: HeatRun, numbers: Float64Array) {
      shift.fill(0)
      for (let i = 0; i < numbers.length; i++) for (let k = 0; k < n; k++) shift[k]! += numbers[i]! * pulls[i * n + k]!
      shiftFlame(x, shift, 1, at)
    },
    putBack: putFlameBack,
  }
  const result = (x: HeatRun) => normalisedFigure(x, figureOptions, times)
  return drawing(result, run, budget.inputs, { copy: copyHeatRun(run), together })
}

const NO_PULL = FIGURED.map(() => 0)

/** How much longer the upper half of the 95 % interval is than the lower, over the whole. */
function skewOf({ quantiles: [low, , middle, , high] }: Distribution): number {
  return high === low ? 0 : (high + low - 2 * middle) / (high - low)
}

function wordsOf(distribution: Distribution, ratio: number, agrees: boolean): string {
  const { draws, lost } = distribution
  const count = draws.toLocaleString('en').replaceAll(',', '\u202F')
  if (lost > 0)
    return `In ${lost} of ${count} draws it would not boil at the reference: first order cannot say that. Do not compare this figure.`
  if (agrees) return `${count} draws agree with first order.`
  if (Math.abs(ratio - 1) <= 0.05)
    return `${count} draws lean to the ${skewOf(distribution) > 0 ? 'high' : 'low'} side: the arithmetic bends over its inputs’ range. Use the quantiles.`
  return `${count} draws spread ${ratio > 1 ? 'wider' : 'narrower'} than first order by ${Math.abs(Math.round((ratio - 1) * 100))} %: the arithmetic bends over its inputs’ range. Use the quantiles.`
}
