/** What each rung of the ladder moves, on what basis, and how far its series was tried. */
import type { Basis } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import { FIGURE } from '../normalise/figures'
import type { HeatRun } from '../normalise/heatRun'
import type { RungInput } from '../normalise/ladder'
import type { RungName } from '../normalise/reference'
import { classGamma, windGhost } from '../normalise/windClass'
import { combined, ratioUncertainty, type Propagation } from '../uncertainty/propagate'
import { boilingPointFromPressure } from '../water/saturation'
import type { SetupSeries } from './setupSeries'

interface RungsOf {
  run: HeatRun
  budget: Propagation<HeatRun>
  options: ReduceOptions
  series: SetupSeries
  windMS: number | null
  boilingC: number | null
}

export function rungInputs(input: RunInput, { run, budget, options, series, windMS, boilingC }: RungsOf): RungInput[] {
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
