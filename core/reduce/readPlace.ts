/** The pressure at the place of a run. */
import { stationPressureFromReadings, type StationPressure } from '../air/pressure'
import type { Flag } from '../formats/answer'
import type { RunInput } from '../run/runInput'
import { BOILING_VALIDITY_PA } from '../water/saturation'

export function readPressure(
  { place, uncertainty }: RunInput,
  flags: Flag[],
  missing: string[],
): StationPressure | null {
  const pressure = stationPressureFromReadings({
    stationPressurePa: place.stationPressurePa,
    seaLevelPressurePa: place.seaLevelPressurePa,
    altitudeM: place.altitudeM,
    airC: place.airC,
    readingUPa: uncertainty.pressurePa,
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
