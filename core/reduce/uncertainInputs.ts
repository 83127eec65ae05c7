/** What is uncertain in a run's numbers, by the contract's defaults. */
import { altitudeFromStationPressure } from '../air/pressure'
import { EVAPORATION_RELATIVE_U, LID_EVAPORATION_U } from '../heating/evaporation'
import { LOSS_ESTIMATE } from '../heating/loss'
import type { ReduceOptions, RunDocument } from '../formats/document'
import type { HeatRun } from '../normalise/heatRun'
import type { UncertainInput } from '../uncertainty/propagate'
import type { Readings } from './readings'

/** Uncertainty of what altitude does to a burner beyond the boiling point, per 1 000 m. Source: estimate. */
const ALTITUDE_U = { gas: 0.01, other: 0.02 }

export interface Uncertain { run: HeatRun, capacityU: number, belowBoilU: number, open: boolean }

/** The uncertain inputs with their standard uncertainties, by the contract's defaults. An input with u = 0 is left out. */
export function uncertainInputs(document: RunDocument, readings: Readings, options: ReduceOptions, { run, capacityU, belowBoilU, open }: Uncertain): UncertainInput<HeatRun>[] {
  const { uncertainty, lossWPerK, fuel } = document
  const list: UncertainInput<HeatRun>[] = []
  type Numeric = { [K in keyof HeatRun]: HeatRun[K] extends number ? K : never }[keyof HeatRun]
  const shift = (name: string, key: Numeric, u: number, shared: boolean) => {
    if (u > 0) list.push({ name, u, shared, moved: (x, k) => ({ ...x, [key]: x[key] + k * u }) })
  }
  const called = readings.times.boilS !== null
  shift('Start temperature', 'startC', uncertainty.startC, false)
  shift('Air temperature', 'airC', document.place.airC === null ? 0 : uncertainty.airC, false)
  shift('Station pressure', 'pressurePa', readings.pressure?.uPa ?? 0, readings.pressure?.basis !== 'measured')
  shift('Water', 'waterKg', uncertainty.waterG / 1000, false)
  shift('Fuel weighed', 'fuelKg', fuelU(readings, readings.used?.uRandomG), false)
  shift('Scale accuracy', 'fuelKg', fuelU(readings, readings.used?.uScaleG), true)
  shift('Share of burn time', 'fuelKg', run.fuelKg * (readings.toEnd?.shareU ?? 0), false)
  // The burner runs until the call: an error of the call moves time and fuel together.
  if (called && readings.times.boilFrom === 'call') list.push({ name: 'Boil call', u: uncertainty.boilCallS, shared: false, moved: (x, k) => callMoved(x, k * uncertainty.boilCallS) })
  if (!called && run.reachedC !== null) list.push({ name: 'Last temperature', u: uncertainty.startC, shared: false, moved: (x, k) => ({ ...x, reachedC: x.reachedC! + k * uncertainty.startC }) })
  shift('Where first bubbles come', 'belowBoilK', belowBoilU, false)
  if (lossWPerK !== null) list.push({ name: 'Heat loss, from a cool-down', u: lossWPerK.u, shared: true, moved: (x, k) => ({ ...x, lossWPerK: Math.max(0, x.lossWPerK! + k * lossWPerK.u) }) })
  else {
    shift('Heat loss, film coefficient', 'filmWPerM2K', LOSS_ESTIMATE.filmWPerM2K.u, true)
    shift('Heat loss, share of the wall', 'sideShare', LOSS_ESTIMATE.sideShare.u, true)
    shift('Heat loss, growth with wind', 'windSlopePerMS', run.windMS > 0 ? LOSS_ESTIMATE.windSlopePerMS.u : 0, true)
    shift('Wind at the pot', 'windMS', run.windMS > 0 ? uncertainty.windMS : 0, false)
  }
  shift('Flame temperature excess Θ', 'thetaK', options.theta.u, true)
  shift(open ? 'Evaporation of the open pot' : 'Evaporation past the lid', 'evaporationScale', open ? EVAPORATION_RELATIVE_U : LID_EVAPORATION_U, true)
  shift('Pot’s heat capacity, assumed', 'potJPerK', capacityU, true)
  shift('Altitude beyond the boiling point', 'altitudeFactor', altitudeU(readings, options), true)
  shift('Lower heating value', 'lhvJPerKg', lhvU(fuel.lhvMJPerKg, readings), true)
  return list
}

/** [kg], of the fuel to the boil: an error of the weighing shrinks with the share. */
const fuelU = (readings: Readings, uG = 0): number => (uG * (readings.toEnd?.share ?? 1)) / 1000

function callMoved(run: HeatRun, byS: number): HeatRun {
  const flameS = run.heatS + run.leadS
  return { ...run, heatS: run.heatS + byS, fuelKg: (run.fuelKg * (flameS + byS)) / flameS }
}

/** 1 % per 1 000 m between here and the reference for gas, 2 % for the others. Source: estimate. */
function altitudeU({ pressure, fuel }: Readings, { reference }: ReduceOptions): number {
  if (pressure === null) return 0
  const apartM = Math.abs(altitudeFromStationPressure(pressure.pressurePa) - altitudeFromStationPressure(reference.pressureHPa * 100))
  return (apartM / 1000) * (fuel?.form === 'gas' ? ALTITUDE_U.gas : ALTITUDE_U.other)
}

/** A value given with the run is taken as good as the built-in one of its kind, or 1 % [J/kg]. Source: estimate. */
function lhvU(given: number | null, { fuel }: Readings): number {
  const relative = fuel === null ? 0.01 : fuel.lowerHeatingValue.standardUncertainty / fuel.lowerHeatingValue.value
  return 1e6 * relative * (given ?? fuel?.lowerHeatingValue.value ?? 0)
}
