/**
 * Which pressure counts: what was read on the run beats what is known of its place. The one rule, for checks, lanes,
 * strip and documents.
 */
import { boilingPointFromPressure } from '../water/saturation'
import { stationPressureFromReadings, type StationPressure } from './pressure'

/** Null: not read, or not known. Pressures [Pa], altitude [m]. */
export interface PressureFacts {
  altitudeM: number | null
  stationPressurePa: number | null
  seaLevelPressurePa: number | null
}
export interface PressureRead extends PressureFacts {
  /** Air temperature [°C]. */
  airC: number | null
}

/**
 * A pressure or an altitude that was read sets the place's pressures aside: they are of another weather, or another
 * spot. Its altitude stays known.
 */
export function pressureFacts(read: PressureFacts, place: PressureFacts | null): PressureFacts {
  const wasRead = (read.stationPressurePa ?? read.seaLevelPressurePa ?? read.altitudeM) !== null
  const there = place ?? NOTHING_KNOWN
  const { stationPressurePa, seaLevelPressurePa } = wasRead ? NOTHING_KNOWN : there
  return {
    altitudeM: read.altitudeM ?? there.altitudeM,
    stationPressurePa: read.stationPressurePa ?? stationPressurePa,
    seaLevelPressurePa: read.seaLevelPressurePa ?? seaLevelPressurePa,
  }
}
const NOTHING_KNOWN: PressureFacts = { altitudeM: null, stationPressurePa: null, seaLevelPressurePa: null }

/** @param readingUPa standard uncertainty of a measured pressure [Pa]. @returns null where nothing says it */
export const pressureOf = (read: PressureRead, place: PressureFacts | null, readingUPa = 0): StationPressure | null =>
  stationPressureFromReadings({ ...pressureFacts(read, place), airC: read.airC, readingUPa })

/** Where water boils there [°C]; null where nothing says the pressure. */
export function boilingPointAt(read: PressureRead, place: PressureFacts | null): number | null {
  const pressure = pressureOf(read, place)
  return pressure === null ? null : boilingPointFromPressure(pressure.pressurePa)
}
