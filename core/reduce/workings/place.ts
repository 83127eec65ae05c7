/** Workings of pressure and boiling point. */
import type { StationPressure } from '../../air/pressure'
import type { AddWorking } from '../../explain/working'
import { inHectopascals } from '../../quantity/shown'
import type { RunInput } from '../../run/runInput'
import { computed, measured } from './inputs'

export function addBoilingPoint(
  pressure: StationPressure,
  boilingC: number,
  place: RunInput['place'],
  addWorking?: AddWorking,
): void {
  const pressureHPa = inHectopascals(pressure.pressurePa)
  const u = inHectopascals(pressure.uPa)
  addWorking?.({
    path: 'pressureHPa',
    title: 'Station pressure',
    value: pressureHPa,
    unit: 'hPa',
    formula: pressure.formula,
    source: pressure.source,
    inputs: [
      measured('reading', 'Pressure, measured', inHectopascals(place.stationPressurePa), 'hPa', { u }),
      measured('p_sl', 'Pressure reduced to sea level', inHectopascals(place.seaLevelPressurePa), 'hPa'),
      measured('h', 'Altitude', place.altitudeM, 'm'),
    ].filter((input) => pressure.formula.includes(`{${input.symbol}}`)),
    note: pressure.basis === 'altitude' ? 'Weather moves the pressure: ± 8 hPa (standard) is assumed.' : undefined,
  })
  addWorking?.({
    path: 'boilingPointC',
    title: 'Boiling point here',
    value: boilingC,
    unit: '°C',
    formula: 'T_b({p})',
    source: 'iapwsIf97',
    inputs: [computed('p', 'Station pressure', pressureHPa, 'hPa', { u, path: 'pressureHPa' })],
  })
}
