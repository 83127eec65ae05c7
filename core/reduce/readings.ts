/**
 * What a run says, read by the conventions asked for: boiling point, times, fuel. Each number's working is
 * written down as it is read.
 */
import type { StationPressure } from '../air/pressure'
import { addBoilingPoint } from './workings/place'
import type { Fuel } from '../constants/fuels'
import type { AddWorking } from '../explain/working'
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import { burnsAndGaps } from '../run/burns'
import type { HeatingPiece } from '../run/heatingPieces'
import { deriveTimes, type DerivedTimes } from '../run/deriveTimes'
import type { FuelToBoil } from '../run/fuelToBoil'
import type { DryWood } from '../run/dryWood'
import type { FuelUsed } from '../run/fuelUsed'
import { cleanTrace, type CleanTrace } from '../trace/cleanTrace'
import type { BoilEstimate } from '../trace/findBoil'
import type { LossEstimate } from '../trace/fitCoolDown'
import { boilingPointFromPressure } from '../water/saturation'
import { formatClock } from '../quantity/format'
import { SHORTEST_HEATING_S, readFuel, readFuelToEnd } from './readFuel'
import { FEWEST_SAMPLES, boilIn, boilFlags, traceBoilU } from './readBoil'
import { coolDownOf } from './readCoolDown'
import { readPressure } from './readPlace'
import { litresOf } from './readLitres'
import { fallenAt } from './fallenAt'
import { readAmid } from './readAmid'
import { timeFlags } from './timeFlags'

export interface Readings {
  pressure: StationPressure | null
  boilingC: number | null
  /** Wind at the pot [m/s]; null: not measured. */
  windMS: number | null
  times: DerivedTimes
  fuel: Fuel | null
  used: FuelUsed | null
  /** Fuel to the boil, or to where a run without one ended; null where it cannot be known. */
  toEnd: FuelToBoil | null
  /** Pot-on to the boil, or to where a run without one ended [s]. */
  heatS: number | null
  /** The same as burns and gaps in turn [s]; one burn where the flame never went out. */
  spansS: number[]
  /** The same by what happened to pot and lid; null: nothing did. */
  pieces: HeatingPiece[] | null
  /** Of it, flame, under the pot or not [s]. */
  burnS: number
  /** How far the wind that changed while it heated may be off its mean, standard [m/s]. */
  windChangeU: number
  /** The valve was set anew while it heated. */
  isSetAnew: boolean
  /** The trace without spikes, for the boil finder and the fit; null: too short. */
  clean: CleanTrace | null
  /** What the trace says of the boil; null without one that is long enough. */
  found: BoilEstimate | null
  /** Standard uncertainty of a boil that was taken from the trace [s]; null: none was. */
  foundU: number | null
  /** Last temperature of a run without a boil: read, else the trace's [°C]. */
  endC: number | null
  /** When the water had fallen half a degree after the boil [s]; null: not seen. */
  fallenAtS: number | null
  /** Wood as dry wood; null: other fuel. */
  dryWood: DryWood | null
  /** Heat loss by this run's own cool-down. */
  coolDown: LossEstimate | null
  /** Lighting to pot-on [s]. */
  leadS: number
  litres: number | null
  flags: Flag[]
  missing: string[]
}

/** What is said and what is missing is gathered as the readings are read. */
export interface Reading {
  input: RunInput
  options: ReduceOptions
  flags: Flag[]
  missing: string[]
  addWorking: AddWorking | undefined
}

export function readRun(input: RunInput, options: ReduceOptions, addWorking?: AddWorking): Readings {
  const reading: Reading = { input, options, flags: [], missing: [], addWorking }
  const { place } = input
  const pressure = readPressure(input, reading.flags, reading.missing)
  const boilingC = pressure === null ? null : boilingPointFromPressure(pressure.pressurePa)
  if (pressure !== null && boilingC !== null) addBoilingPoint(pressure, boilingC, place, addWorking)
  const ofTrace = readTimes(reading, boilingC)
  const { times } = ofTrace
  const ofFuel = readFuel(reading, times, boilingC)
  const { heatS, leadS } = heatingSpan(times, reading.flags)
  const toEnd = readFuelToEnd(reading, ofFuel.used, times)
  const litres = litresOf(input, options, reading.missing, addWorking)
  const spansS = heatS === null ? [] : burnsAndGaps(times.burns, times.potOnS!, times.potOnS! + heatS)
  const ofAmid = readAmid(reading, times, heatS)
  return {
    pressure,
    boilingC,
    ...ofAmid,
    ...ofTrace,
    ...ofFuel,
    toEnd,
    heatS,
    spansS,
    burnS: spansS.reduce((sum, span, i) => (i % 2 === 0 ? sum + span : sum), 0),
    endC: input.traceReading ? input.traceReading.endC : lastTemperature(input, times),
    coolDown: coolDownOf(input, boilingC),
    leadS,
    litres,
    flags: reading.flags,
    missing: reading.missing,
  }
}

function readTimes(
  { input, options, flags }: Reading,
  boilingC: number | null,
): Pick<Readings, 'clean' | 'found' | 'foundU' | 'times' | 'fallenAtS'> {
  const kept = input.traceReading
  const clean = boilingC === null || input.trace.length < FEWEST_SAMPLES ? null : cleanTrace(input.trace, boilingC)
  const found = kept ? kept.found : clean === null ? null : boilIn(clean, boilingC!, input)
  const times = deriveTimes(input.events, input.trace, {
    clock: options.clock,
    boil: options.boil,
    boilingC,
    plateauS: found?.atS ?? null,
    boilBy: input.boilBy,
  })
  flags.push(...timeFlags(times, options, input.kind), ...boilFlags(input, found))
  const seenAtS = times.boilS === null ? null : (fallenAt(input.trace, times.boilS) ?? null)
  return {
    clean,
    found,
    foundU: traceBoilU(input, times, found, options),
    times,
    fallenAtS: kept ? kept.fallenAtS : seenAtS,
  }
}

/** Read, else the trace's last sample within five seconds of the end. */
function lastTemperature({ water, trace }: RunInput, { endedS }: DerivedTimes): number | null {
  if (water.endC !== null || endedS === null) return water.endC
  const near = trace.filter(([s]) => Math.abs(s - endedS) <= NEAR_END_S)
  return near.length === 0 ? null : near.at(-1)![1]
}

const NEAR_END_S = 5

/** From pot-on to the boil, or to where a run without one ended. */
function heatingSpan(times: DerivedTimes, flags: Flag[]): { heatS: number | null; leadS: number } {
  const { potOnS, litS, boilS, endedS } = times
  const endS = boilS ?? endedS
  const leadS = litS !== null && potOnS !== null && potOnS > litS ? potOnS - litS : 0
  if (potOnS === null || endS === null) return { heatS: null, leadS }
  if (endS - potOnS >= SHORTEST_HEATING_S) return { heatS: endS - potOnS, leadS }
  const what = boilS === null ? 'The end' : 'Boil'
  const order = endS < potOnS ? 'before' : 'not after'
  flags.push({
    code: 'boil-before-pot-on',
    severity: 'error',
    text: `${what} (${formatClock(endS)}) is ${order} pot-on (${formatClock(potOnS)}). Swapped?`,
  })
  return { heatS: null, leadS }
}
