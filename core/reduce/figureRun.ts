/** Second pass over a run: the ladder worked out with uncertainty, by what its set-up's series knows. */
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import { waterPutIn, type RunInput } from '../run/runInput'
import { normalise, stallsAt, stations, type Normalisation } from '../normalise/normalise'
import { FIGURE, figuresOf, type FigureOptions } from '../normalise/figures'
import { aimTemperature, copyHeatRun, meanOpenEvaporation, type HeatRun } from '../normalise/heatRun'
import { ladder, type Ladder } from '../normalise/ladder'
import type { R } from '../result'
import { propagate, type Propagation } from '../uncertainty/propagate'
import { latentHeat } from '../water/liquid'
import { withWind, type SetupSeries } from './setupSeries'
import type { TakenRun } from './takeRun'
import { uncertainInputs } from './uncertainInputs'
import { rungInputs } from './rungInputs'
import { startFlags, kindFlags, balanceFlags, stallFlags, flameFlags, rungFlags } from './figureFlags'
import { plausibilityFlags, powerFlagsOf } from './plausibilityOfRun'

export interface Figured {
  run: HeatRun
  figureOptions: FigureOptions
  budget: Propagation<HeatRun>
  normalisation: R<Normalisation> | null
  stalls: { own: number; reference: number } | null
  rungs: Ladder
  flags: Flag[]
  missing: string[]
}

const NOT_NORMALISED: R<Normalisation> = { ok: false, problem: { code: 'notNormalised', what: 'Not normalised' } }

/** Normalises with uncertainty; where a reading is missing, only what does not need it. */
export function figureRun(taken: TakenRun, options: ReduceOptions, series: SetupSeries): Figured {
  const { input, readings, prepared, normalisable } = taken
  const run = runInSeries(prepared.run, readings.windMS, options, series)
  const normalisation = normalisable ? normalise(run, options.reference, options.model) : null
  const figureOptions = {
    reference: options.reference,
    model: options.model,
    scale: prepared.gapsCost * litreRatio(input, options),
    evaporatedJ: weighedEvaporation(input),
  }
  const uncertain = uncertainInputs(input, readings, options, { ...prepared, run }, series)
  const budget = budgetOf(run, normalisation, figureOptions, uncertain)
  const stalls = normalisation?.ok ? stallsAt(run, options.reference, normalisation.value.q0W) : null
  const rungs = ladder(
    budget.values[FIGURE.own]!,
    rungInputs(input, { run, budget, options, series, windMS: readings.windMS, boilingC: readings.boilingC }),
  )
  const figures = { run, figureOptions, budget, normalisation, stalls, rungs }
  return {
    ...figures,
    flags: flagsOf(taken, figures, options),
    missing: [...new Set([...readings.missing, ...prepared.missing, ...rungs.missing])],
  }
}

function budgetOf(
  run: HeatRun,
  normalisation: R<Normalisation> | null,
  figureOptions: FigureOptions,
  uncertain: ReturnType<typeof uncertainInputs>,
): Propagation<HeatRun> {
  const evaluate = (moved: HeatRun) =>
    figuresOf(moved, figureOptions, normalisation === null ? NOT_NORMALISED : undefined)
  const onThisNormalisation = (moved: HeatRun) => figuresOf(moved, figureOptions, normalisation ?? NOT_NORMALISED)
  return propagate(evaluate, run, uncertain, { scaled: onThisNormalisation, copy: copyHeatRun(run) })
}

function flagsOf(
  { input, readings, prepared, traceFit }: TakenRun,
  { run, figureOptions, budget, normalisation, stalls, rungs }: Omit<Figured, 'flags' | 'missing'>,
  options: ReduceOptions,
): Flag[] {
  const { windMS, boilingC } = readings
  const boiled = readings.times.boilS !== null
  return [
    ...readings.flags,
    ...prepared.flags,
    ...startFlags(run, boilingC),
    ...kindFlags(input),
    ...balanceFlags(normalisation),
    ...(normalisation?.ok
      ? stallFlags(run, { boiled, windMS, normalisation: normalisation.value, stalls: stalls!, options })
      : []),
    ...plausibilityFlags(input, run, budget, readings, figureOptions),
    ...powerFlagsOf(input, run, budget, readings),
    ...flameFlags(traceFit),
    ...rungFlags(rungs, windMS),
  ]
}

function runInSeries(prepared: HeatRun, windMS: number | null, options: ReduceOptions, series: SetupSeries): HeatRun {
  const run = copyHeatRun(withWind(prepared, windMS, series.wind, options.reference))
  run.supplyFactor = series.supplyFactor(run) ?? 1
  if (run.evaporationScale !== 0) return run
  // With a lid: what would evaporate without it, at each station, for the uncertainty of what comes past.
  const at = stations(run, options.reference)
  const [own, boilingPoint, reference] = [at[0], at[2], at[4]].map((one) =>
    meanOpenEvaporation(run, one, aimTemperature(run, one)),
  ) as [number, number, number]
  run.lidVapourW = [own, own, boilingPoint, reference, reference]
  return run
}

/** Litres put in over litres left, where the figure is per litre left. */
function litreRatio({ water }: RunInput, { litre }: ReduceOptions): number {
  if (litre === 'putIn') return 1
  const putInKg = waterPutIn(water)
  return putInKg === null || water.endMassKg === null ? NaN : putInKg / water.endMassKg
}

/** A weighed loss of water beats the model's and the lid's [J]. */
function weighedEvaporation({ water }: RunInput): number | null {
  if (water.massKg === null || water.endMassKg === null) return null
  return (water.massKg + (water.snowKg ?? 0) - water.endMassKg) * latentHeat(100) * 1000
}
