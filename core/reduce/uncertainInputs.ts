/** What is uncertain in a run's numbers, by the contract's defaults. */
import { altitudeFromStationPressure } from '../air/pressure'
import { EVAPORATION_RELATIVE_U, LID_EVAPORATION_U } from '../heating/evaporation'
import { LOSS_ESTIMATE } from '../heating/loss'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import type { HeatRun } from '../normalise/heatRun'
import { CLASS_SPREAD } from '../normalise/windClass'
import type { UncertainInput } from '../uncertainty/propagate'
import type { Prepared } from './heatRunFromReadings'
import type { Readings } from './readings'
import type { SetupSeries } from './setupSeries'

/** Uncertainty of what altitude does to a burner beyond the boiling point, per 1 000 m. Source: estimate. */
const ALTITUDE_U = { gas: 0.01, other: 0.02 }

type Input = UncertainInput<HeatRun>
type Mover = Input['move']

/** How each number is moved. Made once: a run has some twenty of these, and there are many runs. */
const MOVE = {
  startC: (x, by) => {
    x.startC += by
  },
  airC: (x, by) => {
    x.airC += by
  },
  pressurePa: (x, by) => {
    x.pressurePa += by
  },
  waterKg: (x, by) => {
    x.waterKg += by
  },
  fuelKg: (x, by) => {
    x.fuelKg += by
  },
  // The burner runs until the call: an error of the call moves time and fuel together.
  boilS: (x, by) => {
    const flameS = x.heatS + x.leadS
    x.heatS += by
    x.fuelKg *= (flameS + by) / flameS
  },
  reachedC: (x, by) => {
    x.reachedC! += by
  },
  belowBoilK: (x, by) => {
    x.belowBoilK += by
  },
  lossWPerK: (x, by) => {
    x.lossWPerK = Math.max(0, x.lossWPerK! + by)
  },
  filmWPerM2K: (x, by) => {
    x.filmWPerM2K = Math.max(0, x.filmWPerM2K + by)
  },
  windSlopePerMS: (x, by) => {
    x.windSlopePerMS += by
  },
  windMS: (x, by) => {
    x.windMS = Math.max(0, x.windMS + by)
  },
  gamma: (x, by) => {
    x.gamma += by
  },
  lnGamma: (x, by) => {
    x.gamma *= Math.exp(by)
  },
  thetaK: (x, by) => {
    x.thetaK += by
  },
  evaporationScale: (x, by) => {
    x.evaporationScale += by
  },
  potJPerK: (x, by) => {
    x.potJPerK += by
  },
  altitudeFactor: (x, by) => {
    x.altitudeFactor += by
  },
  supplyFactor: (x, by) => {
    x.supplyFactor += by
  },
  lhvJPerKg: (x, by) => {
    x.lhvJPerKg += by
  },
} as const satisfies Record<string, Mover>

type Moved = keyof typeof MOVE
const TOUCHES: Partial<Record<Moved, readonly (keyof HeatRun)[]>> = { boilS: ['heatS', 'fuelKg'], lnGamma: ['gamma'] }
const OWN_FIELD = Object.fromEntries(Object.keys(MOVE).map((key) => [key, [key]])) as unknown as Record<
  Moved,
  readonly (keyof HeatRun)[]
>

/** These change no time, so that the normalisation stands. */
const SCALING: ReadonlySet<Moved> = new Set(['fuelKg', 'altitudeFactor', 'supplyFactor', 'lhvJPerKg'])

const input = (name: string, key: Moved, u: number, sharedBy: string | null): Input => ({
  name,
  u,
  sharedBy,
  move: MOVE[key],
  touches: TOUCHES[key] ?? OWN_FIELD[key],
  scales: SCALING.has(key),
})

/**
 * The uncertain inputs with their standard uncertainties, by the contract's defaults. An input with u = 0 is left out.
 */
export function uncertainInputs(
  run: RunInput,
  readings: Readings,
  options: ReduceOptions,
  prepared: Prepared,
  series: SetupSeries,
): Input[] {
  return [
    ...readInputs(run, readings, prepared.run),
    ...boilInputs(run, readings, prepared),
    ...lossInputs(run.lossWPerK, prepared.run, series),
    ...windInputs(run, prepared.run, series),
    ...modelInputs(run, readings, options, prepared, series),
  ].filter((one) => one.u > 0)
}

/** What was read and weighed. */
function readInputs({ uncertainty, place }: RunInput, { pressure, used, toEnd }: Readings, run: HeatRun): Input[] {
  const isMeasured = pressure?.basis === 'measured'
  return [
    input('Start temperature', 'startC', run.meltJ > 0 ? 0 : uncertainty.startC, null),
    input('Air temperature', 'airC', place.airC === null ? 0 : uncertainty.airC, null),
    input('Station pressure', 'pressurePa', pressure?.uPa ?? 0, isMeasured ? null : `pressure at ${place.altitudeM} m`),
    input('Water', 'waterKg', uncertainty.waterKg, null),
    input('Fuel weighed', 'fuelKg', fuelU(toEnd, used?.uRandomKg), null),
    input('Scale accuracy', 'fuelKg', fuelU(toEnd, used?.uScaleKg), 'scale'),
    input('Share of burn time', 'fuelKg', run.fuelKg * (toEnd?.shareU ?? 0), null),
  ]
}

/** When it boiled, or how far it came. */
function boilInputs(
  { uncertainty }: RunInput,
  { times: { boilS, boilFrom }, foundU }: Readings,
  { run, belowBoilU }: Prepared,
): Input[] {
  const isCalled = boilS !== null && boilFrom === 'call'
  return [
    input('Boil call', 'boilS', isCalled ? uncertainty.boilCallS : 0, null),
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
  series: SetupSeries,
): Input[] {
  const open = lid === false
  return [
    input('Flame temperature excess Θ', 'thetaK', options.theta.u, 'theta'),
    input(
      open ? 'Evaporation of the open pot' : 'Evaporation past the lid',
      'evaporationScale',
      open ? EVAPORATION_RELATIVE_U : LID_EVAPORATION_U,
      'evaporation',
    ),
    input('Pot’s heat capacity, assumed', 'potJPerK', capacityU, 'pot'),
    input('Altitude beyond the boiling point', 'altitudeFactor', altitudeU(readings, options), 'altitude'),
    input('Burn-rate line of the set-up', 'supplyFactor', series.supplyU(run), 'supply'),
    input('Lower heating value', 'lhvJPerKg', lhvU(fuel.lhvJPerKg, readings), 'heating value'),
  ]
}

function lossInputs(lossWPerK: RunInput['lossWPerK'], run: HeatRun, { film }: SetupSeries): Input[] {
  if (lossWPerK !== null) {
    return [input('Heat loss, from a cool-down', 'lossWPerK', lossWPerK.u, 'loss')]
  }
  return [
    input(
      film === null ? 'Heat loss, from geometry' : 'Heat loss, from the set-up’s cool-down',
      'filmWPerM2K',
      geometryU(run, film?.u ?? LOSS_ESTIMATE.filmWPerM2K.u),
      'loss',
    ),
    input(
      'Heat loss, growth with wind',
      'windSlopePerMS',
      run.windMS > 0 ? LOSS_ESTIMATE.windSlopePerMS.u : 0,
      'loss, wind',
    ),
  ]
}

/** The share of the wall acts on K_loss alone, as the film coefficient does: one input stands for both [W/(m²·K)]. */
function geometryU({ filmWPerM2K, lidM2, sideM2, sideShare }: HeatRun, filmU: number): number {
  return Math.hypot(filmU, (filmWPerM2K * LOSS_ESTIMATE.sideShare.u * sideM2) / (lidM2 + sideShare * sideM2))
}

function windInputs({ uncertainty }: RunInput, run: HeatRun, { wind, settingOf }: SetupSeries): Input[] {
  const atThePot = input(
    'Wind at the pot',
    'windMS',
    run.windMS > 0 ? uncertainty.windMS : 0,
    `wind, setting ${settingOf(run.windMS)}`,
  )
  if (Number.isNaN(run.gamma) || wind === null) return [atThePot]
  return wind.basis === 'ownSeries'
    ? [atThePot, input('Wind series, γ', 'gamma', wind.gammaU, 'wind series')]
    : [atThePot, input('Wind by the burner’s class, ln γ', 'lnGamma', Math.log(CLASS_SPREAD), 'wind class')]
}

/** [kg], of the fuel to the boil: an error of the weighing shrinks with the share. */
const fuelU = (toEnd: Readings['toEnd'], uKg = 0): number => uKg * (toEnd?.share ?? 1)

/** 1 % per 1 000 m between here and the reference for gas, 2 % for the others. Source: estimate. */
function altitudeU({ pressure, fuel }: Readings, { reference }: ReduceOptions): number {
  if (pressure === null) return 0
  const apartM = Math.abs(
    altitudeFromStationPressure(pressure.pressurePa) - altitudeFromStationPressure(reference.pressureHPa * 100),
  )
  return (apartM / 1000) * (fuel?.form === 'gas' ? ALTITUDE_U.gas : ALTITUDE_U.other)
}

/** A value given with the run is taken as good as the built-in one of its kind, or 1 % [J/kg]. Source: estimate. */
function lhvU(given: number | null, { fuel }: Readings): number {
  const relative = fuel === null ? 0.01 : fuel.lowerHeatingValue.standardUncertainty / fuel.lowerHeatingValue.value
  return relative * (given ?? (fuel?.lowerHeatingValue.value ?? 0) * 1e6)
}
