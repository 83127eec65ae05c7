/** The pressure at the place of a run. */
import { stationPressureFromReadings, type StationPressure } from '../air/pressure'
import type { Flag } from '../formats/answer'
import type { RunDocument } from '../formats/document'
import { BOILING_VALIDITY_PA } from '../water/saturation'

export function readPressure(
  { place, uncertainty }: RunDocument,
  flags: Flag[],
  missing: string[],
): StationPressure | null {
  const hPa = (value: number | null) => (value === null ? null : value * 100)
  const pressure = stationPressureFromReadings({
    stationPressurePa: hPa(place.stationPressureHPa),
    seaLevelPressurePa: hPa(place.seaLevelPressureHPa),
    altitudeM: place.altitudeM,
    airC: place.airC,
    readingUPa: uncertainty.pressureHPa * 100,
  })
  if (pressure === null) missing.push('place.altitudeM')
  if (
    pressure !== null &&
    (pressure.pressurePa < BOILING_VALIDITY_PA.min || pressure.pressurePa > BOILING_VALIDITY_PA.max)
  ) {
    flags.push({
      code: 'pressure-out-of-range',
      severity: 'error',
      text: `Station pressure ${(pressure.pressurePa / 100).toFixed(1)} hPa is outside 250 to 1200 hPa.`,
    })
    return null
  }
  return pressure
}
