/** Workings of pressure and boiling point. */
import type { StationPressure } from '../../air/pressure'
import type { AddWorking } from '../../explain/working'
import type { RunDocument } from '../../formats/document'
import { computed, measured } from './inputs'

export function addBoilingPoint(
  pressure: StationPressure,
  boilingC: number,
  place: RunDocument['place'],
  addWorking?: AddWorking,
): void {
  const pressureHPa = pressure.pressurePa / 100
  const u = pressure.uPa / 100
  addWorking?.({
    path: 'pressureHPa',
    title: 'Station pressure',
    value: pressureHPa,
    unit: 'hPa',
    formula: pressure.formula,
    source: pressure.source,
    inputs: [
      measured('reading', 'Pressure, measured', place.stationPressureHPa, 'hPa', { u }),
      measured('p_sl', 'Pressure reduced to sea level', place.seaLevelPressureHPa, 'hPa'),
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
