/** Station pressure: measured, from altitude, or from the sea-level pressure of a weather report. */
import {
  DRY_AIR_GAS_CONSTANT,
  LAPSE_RATE,
  STANDARD_GRAVITY,
  STANDARD_PRESSURE,
  ZERO_CELSIUS,
} from '../constants/physical'
import type { SourceKey } from '../constants/sources'

/**
 * Pressure of the standard atmosphere: p = 101 325·(1 − 2.25577e-5·h)^5.25588.
 * @param altitudeM altitude above mean sea level [m], −500…9 000
 * @returns [Pa]. Source: iso2533. Example: 3 000 m → 70 108 Pa.
 */
export function stationPressureFromAltitude(altitudeM: number): number {
  return STANDARD_PRESSURE.value * (1 - 2.25577e-5 * altitudeM) ** 5.25588
}

/** Altitude [m] at which the standard atmosphere has this pressure: the inverse of the above. */
export function altitudeFromStationPressure(pressurePa: number): number {
  return (1 - (pressurePa / STANDARD_PRESSURE.value) ** (1 / 5.25588)) / 2.25577e-5
}

/**
 * Station pressure from a pressure reduced to sea level. With the air temperature: hypsometric, mean column
 * temperature Ta + ½·6.5 K/km·h. Without: p = p_sl·p_ISA(h)/101 325.
 * @returns [Pa]. Sources: hypsometric, iso2533.
 */
export function stationPressureFromSeaLevel(seaLevelPa: number, altitudeM: number, airC: number | null): number {
  if (airC === null) return (seaLevelPa * stationPressureFromAltitude(altitudeM)) / STANDARD_PRESSURE.value
  const columnK = airC + ZERO_CELSIUS.value + (LAPSE_RATE.value * altitudeM) / 2
  return seaLevelPa * Math.exp((-STANDARD_GRAVITY.value * altitudeM) / (DRY_AIR_GAS_CONSTANT.value * columnK))
}

export interface StationPressure {
  pressurePa: number
  /** Standard uncertainty [Pa]. */
  uPa: number
  /** Where it comes from: a measured one beats an altitude. */
  basis: 'measured' | 'seaLevel' | 'altitude'
  /** In hPa. */
  formula: string
  source: SourceKey
}

export interface PressureReadings {
  stationPressurePa: number | null
  seaLevelPressurePa: number | null
  altitudeM: number | null
  airC: number | null
  /** Standard uncertainty of a measured pressure [Pa]. */
  readingUPa: number
}

/**
 * The best station pressure the readings allow; null when there is none. The uncertainty of a reduced pressure is an
 * estimate.
 */
export function stationPressureFromReadings(readings: PressureReadings): StationPressure | null {
  const { stationPressurePa, seaLevelPressurePa, altitudeM, airC, readingUPa } = readings
  if (stationPressurePa !== null) {
    return {
      pressurePa: stationPressurePa,
      uPa: readingUPa,
      basis: 'measured',
      formula: '{reading}',
      source: 'definition',
    }
  }
  if (altitudeM === null) return null
  if (seaLevelPressurePa !== null) {
    const uPa = Math.hypot(readingUPa, (airC === null ? 0.4 : 0.1) * altitudeM)
    const pressurePa = stationPressureFromSeaLevel(seaLevelPressurePa, altitudeM, airC)
    return airC === null
      ? { pressurePa, uPa, basis: 'seaLevel', formula: '{p_sl} · p_ISA({h}) / 1013.25', source: 'iso2533' }
      : { pressurePa, uPa, basis: 'seaLevel', formula: '{p_sl} · exp(−g·{h} / (R_d·T_column))', source: 'hypsometric' }
  }
  return {
    pressurePa: stationPressureFromAltitude(altitudeM),
    uPa: Math.hypot(800, 0.4 * altitudeM),
    basis: 'altitude',
    formula: '1013.25 · (1 − 2.25577·10⁻⁵ · {h})^5.25588',
    source: 'iso2533',
  }
}
