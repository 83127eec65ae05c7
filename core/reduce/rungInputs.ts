/** What each rung of the ladder moves, on what basis, and how far its series was tried. */
import type { Basis } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import { FIGURE } from '../normalise/figures'
import type { HeatRun } from '../normalise/heatRun'
import type { RungInput } from '../normalise/ladder'
import type { RungName } from '../normalise/reference'
import { windGhost } from '../flame/flameLimits'
import type { VolumeStep } from '../flame/otherVolume'
import { inGrams } from '../quantity/shown'
import { combined, ratioUncertainty, type Propagation } from '../uncertainty/propagate'
import { boilingPointFromPressure } from '../water/saturation'
import type { BenchOf, SetupSeries } from './setupSeries'

interface RungsOf {
  run: HeatRun
  budget: Propagation<HeatRun>
  options: ReduceOptions
  series: SetupSeries
  windMS: number | null
  boilingC: number | null
  bench: BenchOf
  volume: VolumeStep | null
}

/** An open pot's figure that is known no better than this is none: it is too near its simmering power. */
const NEAR_SIMMER_U = 0.3

/** Whether a figure at the reference is withheld, so near a stall is it. */
export function isNearSimmer({ lid }: RunInput, budget: Propagation<HeatRun>): boolean {
  const { value, u } = combined(budget, FIGURE.normalised)
  return lid === false && Number.isFinite(value) && !(u <= NEAR_SIMMER_U * value)
}

export function rungInputs(input: RunInput, of: RungsOf): RungInput[] {
  const rungs = rungsOf(input, of)
  if (isNearSimmer(input, of.budget)) rungs.at(-1)!.gPerL = NaN
  return rungs
}

function rungsOf(input: RunInput, of: RungsOf): RungInput[] {
  return [
    rung(of, 'start', startMove(input, of)),
    rung(of, 'boilingPoint', boilingPointMove(of)),
    rung(of, 'surroundings', surroundingsMove(input, of)),
    windRung(of),
    rung(of, 'flame', flameMove(of)),
    ...(of.volume === null ? [] : [rung(of, 'volume', volumeMove(of, of.volume))]),
  ]
}

type Move = Pick<RungInput, 'basis' | 'moved'> & { open?: string | null }
/** In the order of their figures. */
const ORDER: readonly RungName[] = ['start', 'boilingPoint', 'surroundings', 'wind', 'flame', 'volume']

function rung({ budget, series }: RungsOf, name: RungName, { basis, moved, open = null }: Move): RungInput {
  const i = ORDER.indexOf(name)
  return {
    rung: name,
    basis,
    moved,
    open,
    ghost: null,
    reach: series.reach(name, moved.to),
    gPerL: budget.values[FIGURE.afterStart + i]!,
    u: combined(budget, FIGURE.afterStart + i).u,
    factorU: ratioUncertainty(budget, FIGURE.afterStart + i, FIGURE.own + i),
  }
}

const startMove = ({ water }: RunInput, { run, options }: RungsOf): Move => ({
  basis: 'measured',
  moved: { from: run.meltJ > 0 ? 0 : water.startC, to: options.reference.startC, unit: '°C' },
})

const boilingPointMove = ({ run, boilingC, options: { reference } }: RungsOf): Move => ({
  basis: 'measured',
  moved: {
    from: run.targetC ?? boilingC,
    to: run.targetC ?? boilingPointFromPressure(reference.pressureHPa * 100),
    unit: '°C',
  },
})

function surroundingsMove({ place, lossWPerK }: RunInput, { options, series }: RungsOf): Move {
  const moved = { from: place.airC, to: options.reference.airC, unit: '°C' }
  if (options.model !== 'loss') return { basis: 'notInModel', moved }
  if (place.airC === null) return { basis: 'assumed', moved, open: 'place.airC' }
  if (lossWPerK !== null) return { basis: 'measured', moved }
  return { basis: series.film === null ? 'assumed' : 'ownSeries', moved }
}

function windRung(of: RungsOf): RungInput {
  const { run, windMS, options, series } = of
  const wind = rung(of, 'wind', {
    basis: windBasis(run, windMS, options, series),
    moved: { from: windMS, to: options.reference.windMS, unit: 'm/s' },
    open: windMS === null ? 'place.windMS' : null,
  })
  if (wind.open !== null) wind.ghost = windGhost(wind.gPerL, series.flame)
  return wind
}

function flameMove({ run, bench, options: { flame } }: RungsOf): Move {
  const to = Number.isNaN(run.benchKgPerS) ? null : run.benchKgPerS * KG_PER_S_IN_G_PER_MIN
  return {
    basis: !flame ? 'notInModel' : bench.basis,
    moved: { from: burnRate(run), to, unit: 'g/min' },
    open: bench.open,
  }
}

const volumeMove = ({ run }: RungsOf, { basis }: VolumeStep): Move => ({
  basis,
  moved: { from: inGrams(run.waterKg), to: inGrams(run.otherKg), unit: 'g' },
})

const KG_PER_S_IN_G_PER_MIN = 60_000

const burnRate = (run: HeatRun): number | null => {
  const rate = (run.fuelKg * KG_PER_S_IN_G_PER_MIN) / (run.heatS + run.leadS)
  return Number.isFinite(rate) ? rate : null
}

function windBasis(run: HeatRun, windMS: number | null, { reference }: ReduceOptions, { flame }: SetupSeries): Basis {
  return windMS === reference.windMS || Number.isNaN(run.v0MS) ? 'measured' : flame.basis
}
