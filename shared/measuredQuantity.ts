/** What can be measured on a run, and the kind of quantity it is. One list for form, database and export. */
import type { QuantityKindName } from '../core/quantity/kinds'

export const MEASURED_QUANTITIES = {
  altitude: 'altitude', stationPressure: 'pressure', seaLevelPressure: 'pressure', air: 'airTemp', humidity: 'humidity', wind: 'windSpeed', windHeight: 'height',
  water: 'water', waterStart: 'waterTemp', waterLast: 'waterTemp', waterEndMass: 'weighing',
  fuelBefore: 'weighing', fuelAfter: 'weighing', fuelUsed: 'fuel', scaleResolution: 'resolution',
} as const satisfies Record<string, QuantityKindName>

export type MeasuredQuantity = keyof typeof MEASURED_QUANTITIES

/** As a tester would say it. */
export const MEASURED_NAMES: Record<MeasuredQuantity, string> = {
  altitude: 'Altitude', stationPressure: 'Station pressure', seaLevelPressure: 'Pressure at sea level', air: 'Air', humidity: 'Humidity', wind: 'Wind',
  windHeight: 'Wind measured at', water: 'Water', waterStart: 'Start temperature', waterLast: 'Last temperature', waterEndMass: 'Water left',
  fuelBefore: 'Fuel before', fuelAfter: 'Fuel after', fuelUsed: 'Fuel used', scaleResolution: 'Scale reads to',
}
