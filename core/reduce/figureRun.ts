/** Second pass over a run: the ladder worked out with uncertainty, by what its set-up's series knows. */
import type { Basis, Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import { waterPutIn, type RunInput } from '../run/runInput'
import { normalise, stallsAt, stations, type Normalisation } from '../normalise/normalise'
import { densityAt } from '../constants/fuels'
import { efficiency, FIGURE, figuresOf, type FigureOptions } from '../normalise/figures'
import { aimTemperature, copyHeatRun, meanOpenEvaporation, ownConditions, type HeatRun } from '../normalise/heatRun'
import { ladder, type Ladder, type RungInput } from '../normalise/ladder'
import type { RungName } from '../normalise/reference'
import { classGamma, windGhost } from '../normalise/windClass'
import { efficiencyFlags } from '../plausibility/physicalLimit'
import { powerFlags } from '../plausibility/powerLimit'
import { slips } from '../plausibility/slips'
import { unweighedLeftover } from '../run/fuelUsed'
import type { Readings } from './readings'
import { problemText, type R } from '../result'
import { combined, propagate, ratioUncertainty, type Propagation } from '../uncertainty/propagate'
import { latentHeat } from '../water/liquid'
import { boilingPointFromPressure } from '../water/saturation'
import { withWind, type SetupSeries } from './setupSeries'
import { NORMALISED_KINDS, startsAboveAim, type TakenRun } from './takeRun'
import { firepower } from './firepower'
import { uncertainInputs } from './uncertainInputs'

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
export function figureRun(
  { input, readings, prepared, normalisable, traceFit }: TakenRun,
  options: ReduceOptions,
  series: SetupSeries,
): Figured {
  const run = runInSeries(prepared.run, readings.windMS, options, series)
  const normalisation = normalisable ? normalise(run, options.reference, options.model) : null
  const figureOptions = {
    reference: options.reference,
    model: options.model,
    scale: prepared.gapsCost * litreRatio(input, options),
    evaporatedJ: weighedEvaporation(input),
  }
  const evaluate = (moved: HeatRun) =>
    figuresOf(moved, figureOptions, normalisation === null ? NOT_NORMALISED : undefined)
  const onThisNormalisation = (moved: HeatRun) => figuresOf(moved, figureOptions, normalisation ?? NOT_NORMALISED)
  const budget = propagate(evaluate, run, uncertainInputs(input, readings, options, { ...prepared, run }, series), {
    scaled: onThisNormalisation,
    copy: copyHeatRun(run),
  })
  const stalls = normalisation?.ok ? stallsAt(run, options.reference, normalisation.value.q0W) : null
  const rungs = ladder(
    budget.values[FIGURE.own]!,
    rungInputs(input, { run, budget, options, series, windMS: readings.windMS, boilingC: readings.boilingC }),
  )
  const flags = [
    ...readings.flags,
    ...prepared.flags,
    ...startFlags(run, readings.boilingC),
    ...kindFlags(input),
    ...balanceFlags(normalisation),
    ...(normalisation?.ok
      ? stallFlags(run, {
          boiled: readings.times.boilS !== null,
          windMS: readings.windMS,
          normalisation: normalisation.value,
          stalls: stalls!,
          options,
        })
      : []),
    ...plausibilityFlags(input, run, budget, readings, figureOptions),
    ...powerFlagsOf(input, run, budget, readings),
    ...flameFlags(traceFit),
    ...rungFlags(rungs, readings.windMS),
  ]
  return {
    run,
    figureOptions,
    budget,
    normalisation,
    stalls,
    rungs,
    flags,
    missing: [...new Set([...readings.missing, ...prepared.missing, ...rungs.missing])],
  }
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

interface RungsOf {
  run: HeatRun
  budget: Propagation<HeatRun>
  options: ReduceOptions
  series: SetupSeries
  windMS: number | null
  boilingC: number | null
}

function rungInputs(input: RunInput, { run, budget, options, series, windMS, boilingC }: RungsOf): RungInput[] {
  const { reference, model } = options
  const rung = (
    name: RungName,
    i: number,
    { basis, moved, open = null }: Pick<RungInput, 'basis' | 'moved'> & { open?: string | null },
  ): RungInput => ({
    rung: name,
    basis,
    moved,
    open,
    ghost: null,
    reach: series.reach(name, moved.to),
    gPerL: budget.values[FIGURE.afterStart + i]!,
    u: combined(budget, FIGURE.afterStart + i).u,
    factorU: ratioUncertainty(budget, FIGURE.afterStart + i, FIGURE.own + i),
  })
  const ownBoilingC = run.targetC ?? boilingC
  const lossBasis: Basis =
    input.place.airC === null
      ? 'assumed'
      : input.lossWPerK !== null
        ? 'measured'
        : series.film === null
          ? 'assumed'
          : 'ownSeries'
  const wind = rung('wind', 3, {
    basis: windBasis(run, windMS, options, series),
    moved: { from: windMS, to: reference.windMS, unit: 'm/s' },
    open: openWind(run, windMS, options),
  })
  if (wind.open !== null)
    wind.ghost = windGhost(wind.gPerL, windMS, classGamma({ head: input.burner.head, screen: input.screen }))
  return [
    rung('start', 0, {
      basis: 'measured',
      moved: { from: run.meltJ > 0 ? 0 : input.water.startC, to: reference.startC, unit: '°C' },
    }),
    rung('boilingPoint', 1, {
      basis: 'measured',
      moved: {
        from: ownBoilingC,
        to: run.targetC ?? boilingPointFromPressure(reference.pressureHPa * 100),
        unit: '°C',
      },
    }),
    rung('surroundings', 2, {
      basis: model === 'loss' ? lossBasis : 'notInModel',
      moved: { from: input.place.airC, to: reference.airC, unit: '°C' },
      open: model === 'loss' && input.place.airC === null ? 'place.airC' : null,
    }),
    wind,
    rung('supply', 4, {
      basis: options.supply ? 'ownSeries' : 'notInModel',
      moved: { from: burnRate(run), to: series.supplyReferenceGPerMin ?? reference.burnRateGPerMin, unit: 'g/min' },
      open: series.supplyFactor(run) === null ? 'series.burnRate' : null,
    }),
  ]
}

const burnRate = (run: HeatRun): number | null => {
  const rate = (run.fuelKg * 60_000) / (run.heatS + run.leadS)
  return Number.isFinite(rate) ? rate : null
}

function openWind(run: HeatRun, windMS: number | null, { reference }: ReduceOptions): string | null {
  if (windMS === null) return 'place.windMS'
  return windMS !== reference.windMS && Number.isNaN(run.gamma) ? 'series.wind' : null
}

function windBasis(run: HeatRun, windMS: number | null, { reference }: ReduceOptions, { wind }: SetupSeries): Basis {
  return windMS === reference.windMS || Number.isNaN(run.gamma) || wind === null ? 'measured' : wind.basis
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

function startFlags(run: HeatRun, boilingC: number | null): Flag[] {
  if (boilingC === null || Number.isNaN(run.startC) || !startsAboveAim(run)) return []
  return [
    {
      code: 'start-above-boiling',
      severity: 'error',
      text: `The start (${run.startC.toFixed(1)} °C) is not below where the boil is (${aimTemperature(run, ownConditions(run)).toFixed(1)} °C here). °C or °F?`,
    },
  ]
}

const kindFlags = ({ kind }: RunInput): Flag[] =>
  NORMALISED_KINDS.includes(kind)
    ? []
    : [
        {
          code: 'kind-not-normalised',
          severity: 'note',
          text: `A "${kind}" test is not brought to a reference; its figures stand as measured.`,
        },
      ]

const balanceFlags = (normalisation: R<Normalisation> | null): Flag[] =>
  normalisation === null || normalisation.ok
    ? []
    : [{ code: normalisation.problem.code, severity: 'error', text: problemText(normalisation.problem) }]

interface Stall {
  boiled: boolean
  windMS: number | null
  normalisation: Normalisation
  stalls: { own: number; reference: number }
  options: ReduceOptions
}

function stallFlags(run: HeatRun, { boiled, windMS, normalisation, stalls, options }: Stall): Flag[] {
  const flags: Flag[] = []
  const referenceAim = run.targetC ?? boilingPointFromPressure(options.reference.pressureHPa * 100)
  if (!boiled && normalisation.ownS === Infinity) {
    flags.push({
      code: 'stalls',
      severity: 'warning',
      text: `Would not boil: stalls near ${Math.round(stalls.own)} °C${windMS ? ' in this wind' : ''}.`,
    })
    if (Number.isFinite(normalisation.rungS[3]) && !Number.isFinite(normalisation.rungS[2]))
      flags.push({
        code: 'wind-carries-all',
        severity: 'note',
        text: 'It would not boil in its own wind: the wind rung carries the whole change.',
      })
  } else if (!boiled)
    flags.push({
      code: 'extrapolated',
      severity: 'warning',
      text: 'It did not boil: time and fuel to the boil are extrapolated by the heating model.',
    })
  if (stalls.reference <= referenceAim)
    flags.push({
      code: 'stalls-at-reference',
      severity: 'warning',
      text: `At the reference it would stall near ${Math.round(stalls.reference)} °C.`,
    })
  return flags
}

function plausibilityFlags(
  input: RunInput,
  run: HeatRun,
  budget: Propagation<HeatRun>,
  { windMS, fuel, used }: Readings,
  options: FigureOptions,
): Flag[] {
  const eta = combined(budget, FIGURE.efficiency)
  if (Number.isFinite(eta.value)) {
    const evaporatedJ =
      options.evaporatedJ ?? eta.value * run.fuelKg * run.lhvJPerKg - efficiency(run, 0) * run.fuelKg * run.lhvJPerKg
    const context = {
      scaleResolutionKg: used === null || input.fuel.usedM3 !== null ? null : input.fuel.scaleResolutionKg,
      densityKgPerM3: fuel === null ? null : densityAt(fuel, input.place.airC ?? 20),
      unweighedLeftoverKg: unweighedLeftover(input),
    }
    return efficiencyFlags(eta.value, eta.u, {
      burner: input.burner.kind,
      finned: input.pot.finned,
      calm: windMS === 0,
      slips: () => slips(run, context, (changed) => efficiency(changed, evaporatedJ)),
    })
  }
  if (Number.isNaN(run.lhvJPerKg))
    return [
      { code: 'heating-value-unknown', severity: 'note', text: 'Heating value of the fuel not known: no efficiency.' },
    ]
  return []
}

/** A power that no burner of the kind gives, where the fuel, or the heating of the water, says one. */
function powerFlagsOf(
  input: RunInput,
  run: HeatRun,
  budget: Propagation<HeatRun>,
  { windMS, heatS, burnS, leadS, toEnd, used, fuel, times }: Readings,
): Flag[] {
  // What was stopped from outside was weighed or timed in haste, if at all.
  if (heatS === null || times.ended === 'stopped') return []
  const watts = firepower(toEnd?.massKg ?? null, burnS + leadS, run.lhvJPerKg)
  const q0 = combined(budget, FIGURE.q0)
  const relativeU = used === null ? 0 : Math.hypot(used.uRandomKg, used.uScaleKg) / used.massKg
  return powerFlags({
    kind: input.kind,
    burner: input.burner.kind,
    calm: windMS === 0,
    heatS,
    densityKgPerM3: fuel === null ? null : densityAt(fuel, input.place.airC ?? 20),
    firepower: watts === null ? null : { value: watts, u: watts * relativeU },
    heatFlow: Number.isFinite(q0.value) ? q0 : null,
  })
}

const flameFlags = (traceFit: TakenRun['traceFit']): Flag[] =>
  traceFit?.some((burn) => burn.flameChanged)
    ? [
        {
          code: 'flame-changed',
          severity: 'note',
          text: 'The trace bends away from one even flame: the flame changed, or the pot was disturbed.',
        },
      ]
    : []

function rungFlags({ missing, normalisedGPerL, normalisedU, rungs }: Ladder, windMS: number | null): Flag[] {
  const flags: Flag[] = []
  if (normalisedGPerL !== null && normalisedU === null)
    flags.push({
      code: 'uncertainty-unbounded',
      severity: 'warning',
      text: 'So near a stall at the reference that within its uncertainty it may not boil at all: do not compare this figure.',
    })
  if (missing.includes('place.windMS'))
    flags.push({
      code: 'wind-not-measured',
      severity: 'warning',
      text: 'Wind not measured: partly normalised. Type the wind at the pot, or "calm".',
    })
  if (missing.includes('series.wind'))
    flags.push({
      code: 'wind-series-missing',
      severity: 'warning',
      text: `Wind ${windMS} m/s at the pot: this set-up has no wind series of its own yet, and no class of burner speaks for it here, so wind is not corrected.`,
    })
  if (missing.includes('series.burnRate'))
    flags.push({
      code: 'supply-series-missing',
      severity: 'warning',
      text: 'No burn-rate series of this set-up (five boils at different settings): supply is not corrected.',
    })
  if (rungs.some((rung) => rung.rung === 'wind' && rung.basis === 'classDefault'))
    flags.push({
      code: 'wind-class-default',
      severity: 'note',
      text: 'Wind is corrected by the class of the burner, known to a factor of 1.6: do not break ties with this figure.',
    })
  return flags
}
