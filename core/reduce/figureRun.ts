/** Second pass over a run: the ladder worked out with uncertainty, by what its set-up's series knows. */
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import { waterPutIn, type RunInput } from '../run/runInput'
import { normaliseBy, stallsAt, stations, type LadderTimes, type Normalisation } from '../normalise/normalise'
import { FIGURE, figuresOf, type FigureOptions } from '../normalise/figures'
import { aimTemperature, copyHeatRun, type HeatRun } from '../normalise/heatRun'
import { meanOpenEvaporation } from '../normalise/runHeating'
import { ladder, type Ladder } from '../normalise/ladder'
import type { R } from '../result'
import { latentHeat } from '../water/liquid'
import type { VolumeStep } from '../flame/otherVolume'
import { withFlame } from '../flame/setupFlame'
import { altitudeFromStationPressure } from '../air/pressure'
import { burnRatio } from '../normalise/heatRun'
import { flameBudget, type FlameBudget, type InFlame } from './flameBudget'
import type { BenchOf, SetupSeries } from './setupSeries'
import type { TakenRun } from './takeRun'
import { uncertainInputs } from './uncertainInputs'
import { isNearSimmer, rungInputs } from './rungInputs'
import {
  balanceFlags,
  flameFlags,
  kindFlags,
  rungFlags,
  settingFlags,
  simmerFlags,
  stallFlags,
  startFlags,
} from './figureFlags'
import { plausibilityFlags, powerFlagsOf } from './plausibilityOfRun'

export interface Figured {
  run: HeatRun
  figureOptions: FigureOptions
  budget: FlameBudget
  bench: BenchOf
  normalisation: R<Normalisation> | null
  stalls: { own: number; reference: number } | null
  rungs: Ladder
  flags: Flag[]
  missing: string[]
  /** How its set-up's flame acts on it. */
  at: InFlame
}

/** Normalises with uncertainty; where a reading is missing, only what does not need it. */
export function figureRun(taken: TakenRun, options: ReduceOptions, series: SetupSeries): Figured {
  const { input, readings, prepared, normalisable } = taken
  const { run, bench, at } = runInSeries(taken, options, series)
  const normalisation = normalisable ? normaliseBy(series.movedTimes, run) : null
  const figureOptions = {
    reference: options.reference,
    model: options.model,
    scale: prepared.gapsCost * litreRatio(input, options),
    disturbed: prepared.disturbed,
    evaporatedJ: weighedEvaporation(input),
  }
  const causes = uncertainInputs(input, readings, options, { ...prepared, run })
  const budget = budgetOf(run, normalisation, figureOptions, { causes, at, moved: series.movedTimes })
  const stalls = normalisation?.ok ? stallsAt(run, options.reference, normalisation.value.q0W) : null
  const rungs = ladder(
    budget.values[FIGURE.own]!,
    rungInputs(input, {
      run,
      budget,
      options,
      series,
      windMS: readings.windMS,
      boilingC: readings.boilingC,
      bench,
      volume: at.volume,
    }),
  )
  const figures = { run, figureOptions, budget, bench, normalisation, stalls, rungs }
  return {
    ...figures,
    at,
    flags: flagsOf(taken, { ...figures, at }, options),
    missing: [...new Set([...readings.missing, ...prepared.missing, ...rungs.missing])],
  }
}

function budgetOf(
  run: HeatRun,
  normalisation: R<Normalisation> | null,
  figureOptions: FigureOptions,
  { causes, at, moved }: { causes: ReturnType<typeof uncertainInputs>; at: InFlame; moved: LadderTimes },
): FlameBudget {
  const times = normalisation?.ok ? normalisation.value : null
  const evaluate = (x: HeatRun) =>
    figuresOf(x, figureOptions, normalisation === null || moved.workOut(x) !== null ? null : moved)
  const onThisNormalisation = (x: HeatRun) => figuresOf(x, figureOptions, times)
  return flameBudget(run, causes, at, { model: evaluate, scaled: onThisNormalisation, copy: copyHeatRun(run) })
}

function flagsOf(
  { input, readings, prepared, traceFit }: TakenRun,
  { run, figureOptions, budget, normalisation, stalls, rungs, at }: Omit<Figured, 'flags' | 'missing'>,
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
    ...simmerFlags(isNearSimmer(input, budget)),
    ...rungFlags(rungs, run),
    ...settingFlags(run, burnRatio(run), at.flame.fit.sigma),
  ]
}

/** The run with its set-up's flame in it, and where the flame rung goes. */
function runInSeries(taken: TakenRun, options: ReduceOptions, { flame, benchOf, volumeStep }: SetupSeries) {
  const { input, readings, prepared } = taken
  const isOpen = input.lid === false
  const kilometres = (pressurePa: number) => altitudeFromStationPressure(pressurePa) / 1000
  const isPlaced = readings.pressure !== null
  const aboveKm = isPlaced ? kilometres(prepared.run.pressurePa) - kilometres(options.reference.pressureHPa * 100) : 0
  const run = withFlame(prepared.run, flame, { windMS: readings.windMS, isOpen, aboveKm })
  const bench = benchOf(taken, run)
  run.benchKgPerS = bench.kgPerS
  if (!isOpen) run.lidVapourW = lidVapour(run, options)
  const toKg = options.reference.waterG === null ? null : options.reference.waterG / 1000
  const volume = toKg === null || !(run.waterKg > 0) ? null : volumeStep(run.waterKg, toKg)
  if (volume !== null) takeVolume(run, volume, toKg!)
  const at: InFlame = {
    flame,
    row: flame.rowOf.get(input.id) ?? null,
    isOpen,
    aboveKm,
    owner: JSON.stringify([input.setup ?? input.id, input.fuel.kind, input.origin]),
    benchRuns: bench.runs,
    lnBurnRatio: Math.log(burnRatio(run)) || 0,
    volume,
  }
  return { run, bench, at }
}

/** The same pot with another mass of water in it. */
function takeVolume(run: HeatRun, { factor }: VolumeStep, waterKg: number): void {
  run.otherKg = waterKg
  run.otherSideM2 = (run.sideM2 * waterKg) / run.waterKg
  run.volumeFactor = factor
}

/** With a lid: what would evaporate without it, at each station, for the uncertainty of what comes past. */
function lidVapour(run: HeatRun, options: ReduceOptions): number[] {
  const at = stations(run, options.reference)
  const [own, boilingPoint, reference] = [at[0], at[2], at[4]].map((one) =>
    meanOpenEvaporation(run, one, aimTemperature(run, one)),
  ) as [number, number, number]
  return [own, own, boilingPoint, reference, reference]
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
