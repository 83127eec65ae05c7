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

export function rungInputs(input: RunInput, of: RungsOf): RungInput[] {
  return [
    rung(of, 'start', startMove(input, of)),
    rung(of, 'boilingPoint', boilingPointMove(of)),
    rung(of, 'surroundings', surroundingsMove(input, of)),
    windRung(input, of),
    rung(of, 'supply', supplyMove(of)),
  ]
}

type Move = Pick<RungInput, 'basis' | 'moved'> & { open?: string | null }
/** In the order of their figures. */
const ORDER: readonly RungName[] = ['start', 'boilingPoint', 'surroundings', 'wind', 'supply']

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

function windRung({ burner, screen }: RunInput, of: RungsOf): RungInput {
  const { run, windMS, options, series } = of
  const wind = rung(of, 'wind', {
    basis: windBasis(run, windMS, options, series),
    moved: { from: windMS, to: options.reference.windMS, unit: 'm/s' },
    open: openWind(run, windMS, options),
  })
  if (wind.open !== null) wind.ghost = windGhost(wind.gPerL, windMS, classGamma({ head: burner.head, screen }))
  return wind
}

const supplyMove = ({ run, series, options: { supply, reference } }: RungsOf): Move => ({
  basis: supply ? 'ownSeries' : 'notInModel',
  moved: { from: burnRate(run), to: series.supplyReferenceGPerMin ?? reference.burnRateGPerMin, unit: 'g/min' },
  open: series.supplyFactor(run) === null ? 'series.burnRate' : null,
})

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
