/** What is uncertain in a run's numbers, by the contract's defaults. */
import { LID_EVAPORATION_U } from '../heating/evaporation'
import { LOSS_ESTIMATE } from '../heating/loss'
import { DEFAULT_UNCERTAINTY, type ReduceOptions } from '../formats/document'
import type { RowInput } from '../flame/flameRow'
import type { RunInput } from '../run/runInput'
import type { HeatRun } from '../normalise/heatRun'
import type { UncertainInput } from '../uncertainty/propagate'
import type { Prepared } from './heatRunFromReadings'
import { MOVE, type MoveName } from './movedNumbers'
import type { Readings } from './readings'

/** A cause of uncertainty, and whether somebody stated its size: the flame's fit finds the size of those nobody did. */
export interface RunCause extends UncertainInput<HeatRun> {
  scale: RowInput['scale']
}
type Input = RunCause

/** This changes no time, so that the normalisation stands. */
const SCALING: ReadonlySet<MoveName> = new Set(['lhvJPerKg'])

const input = (
  name: string,
  key: MoveName,
  u: number,
  sharedBy: string | null,
  scale: RowInput['scale'] = 'stated',
): Input => ({
  name,
  u,
  sharedBy,
  scale,
  move: MOVE[key].move,
  putBack: MOVE[key].putBack,
  scales: SCALING.has(key),
})
/** A reading whose uncertainty nobody stated is as good as is usual. */
const readingScale = (u: number, key: keyof typeof DEFAULT_UNCERTAINTY): RowInput['scale'] =>
  u === DEFAULT_UNCERTAINTY[key] ? 'reading' : 'stated'

/**
 * The uncertain inputs with their standard uncertainties, by the contract's defaults. An input with u = 0 is left out.
 */
export function uncertainInputs(
  run: RunInput,
  readings: Readings,
  options: ReduceOptions,
  prepared: Prepared,
): Input[] {
  return [
    ...readInputs(run, readings, prepared.run),
    ...boilInputs(run, readings, prepared),
    windInput(run, readings, prepared.run),
    ...modelInputs(run, readings, options, prepared),
  ].filter((one) => one.u > 0)
}

/** What was read and weighed. */
function readInputs(
  { uncertainty, place, water, ...owner }: RunInput,
  { pressure, used, toEnd }: Readings,
  run: HeatRun,
): Input[] {
  const isMeasured = pressure?.basis === 'measured'
  return [
    input(
      'Start temperature',
      'startC',
      run.meltJ > 0 ? 0 : uncertainty.startC,
      null,
      readingScale(uncertainty.startC, 'startC'),
    ),
    input(
      'Air temperature',
      'airC',
      place.airC === null ? 0 : uncertainty.airC,
      null,
      readingScale(uncertainty.airC, 'airC'),
    ),
    input('Station pressure', 'pressurePa', pressure?.uPa ?? 0, isMeasured ? null : `pressure at ${place.altitudeM} m`),
    waterInput(water, uncertainty.waterKg, { run, setup: owner.setup ?? owner.id }),
    input('Fuel weighed', 'fuelKg', fuelU(toEnd, used?.uRandomKg), null),
    input('Scale accuracy', 'fuelKg', fuelU(toEnd, used?.uScaleKg), ownedBy('scale', owner.instruments.scale)),
    input('Share of burn time', 'fuelKg', run.fuelKg * (toEnd?.shareU ?? 0), null),
  ]
}

/** What it is common to is one instrument's, where that was said. */
const ownedBy = (what: string, instrument: string | null): string =>
  instrument === null ? what : `${what}: ${instrument}`

/** Filled by a pot's marks or a cup it is known to so much, and repeating does not shrink it. Source: estimate. */
const BY_MARKS_U = 0.025

function waterInput(
  { by }: RunInput['water'],
  weighedU: number,
  { run, setup }: { run: HeatRun; setup: string },
): Input {
  if (by === 'weighed') return input('Water', 'waterKg', weighedU, null)
  return input('Water by the marks', 'waterKg', Math.max(weighedU, BY_MARKS_U * run.waterKg), `marks: ${setup}`)
}

/** Of a flame that was set anew on the way, over one that was not: standard, of ln q0. Source: estimate. */
const SET_ANEW_U = 0.03

/** When it boiled, or how far it came. */
function boilInputs(
  { uncertainty }: RunInput,
  { times: { boilS, boilFrom }, foundU, isSetAnew }: Readings,
  { run, belowBoilU, disturbedU }: Prepared,
): Input[] {
  const isCalled = boilS !== null && boilFrom === 'call'
  return [
    input(
      'Boil call',
      'boilS',
      isCalled ? uncertainty.boilCallS : 0,
      null,
      readingScale(uncertainty.boilCallS, 'boilCallS'),
    ),
    input('Pot or lid off meanwhile', 'boilS', disturbedU, null),
    input('Setting changed meanwhile', 'flame', isSetAnew ? SET_ANEW_U : 0, null),
    input('Boil found in the trace', 'boilS', boilFrom === 'trace' ? (foundU ?? 0) : 0, null),
    input('Last temperature', 'reachedC', run.reachedC === null ? 0 : uncertainty.startC, null),
    input('Where first bubbles come', 'belowBoilK', belowBoilU, null),
  ]
}

/** What the model takes for granted. */
function modelInputs(
  { lid, fuel }: RunInput,
  readings: Readings,
  options: ReduceOptions,
  { run, capacityU }: Prepared,
): Input[] {
  const open = lid === false
  return [
    input('Flame temperature excess Θ', 'thetaK', options.theta.u, 'theta'),
    input('Evaporation past the lid', 'evaporationScale', open ? 0 : LID_EVAPORATION_U, 'evaporation'),
    input(
      'Heat loss, growth with wind',
      'windSlopePerMS',
      run.windMS > 0 ? LOSS_ESTIMATE.windSlopePerMS.u : 0,
      'loss, wind',
    ),
    input('Pot’s heat capacity, assumed', 'potJPerK', capacityU, 'pot'),
    input('Lower heating value', 'lhvJPerKg', lhvU(fuel.lhvJPerKg, readings), 'heating value'),
  ]
}

/** Up to here it is calm, which is not exactly nought [m/s]. Source: estimate. */
export const CALM_MS = 0.3
const CALM_U_MS = 0.15

function windInput({ uncertainty }: RunInput, { windMS, windChangeU }: Readings, run: HeatRun): Input {
  const scale = uncertainty.windMS === DEFAULT_UNCERTAINTY.windMS ? 'wind' : 'stated'
  if (windMS === null) return input('Wind at the pot', 'windMS', 0, null, scale)
  if (run.windMS > CALM_MS || windChangeU > 0)
    return input('Wind at the pot', 'windMS', Math.hypot(uncertainty.windMS, windChangeU), null, scale)
  const u = Math.min(CALM_U_MS, uncertainty.windMS)
  return input('Wind at the pot, calm', 'calmMS', u, null, scale)
}

/** [kg], of the fuel to the boil: an error of the weighing shrinks with the share. */
const fuelU = (toEnd: Readings['toEnd'], uKg = 0): number => uKg * (toEnd?.share ?? 1)

/** A value given with the run is taken as good as the built-in one of its kind, or 1 % [J/kg]. Source: estimate. */
function lhvU(given: number | null, { fuel }: Readings): number {
  const relative = fuel === null ? 0.01 : fuel.lowerHeatingValue.standardUncertainty / fuel.lowerHeatingValue.value
  return relative * (given ?? (fuel?.lowerHeatingValue.value ?? 0) * 1e6)
}
