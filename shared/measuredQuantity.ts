/** What can be measured on a run, and the kind of quantity it is. One list for form, database and export. */
import type { QuantityKindName } from '../core/quantity/kinds'

export const MEASURED_QUANTITIES = {
  altitude: 'altitude',
  stationPressure: 'pressure',
  seaLevelPressure: 'pressure',
  air: 'airTemp',
  humidity: 'humidity',
  wind: 'windSpeed',
  windHeight: 'height',
  water: 'water',
  waterStart: 'waterTemp',
  waterLast: 'waterTemp',
  waterEndMass: 'weighing',
  fuelBefore: 'weighing',
  fuelAfter: 'weighing',
  fuelUsed: 'fuel',
  scaleResolution: 'resolution',
  fuelLoad: 'fuel',
  fuelLeftover: 'weighing',
  fuelTemp: 'airTemp',
  moisture: 'humidity',
  char: 'weighing',
  snow: 'snow',
  hardware: 'airTemp',
  claimFuel: 'fuel',
  claimWater: 'water',
  claimStart: 'waterTemp',
  claimTime: 'clockTime',
} as const satisfies Record<string, QuantityKindName>

export type MeasuredQuantity = keyof typeof MEASURED_QUANTITIES

/** As a tester would say it. */
export const MEASURED_NAMES: Record<MeasuredQuantity, string> = {
  altitude: 'Altitude',
  stationPressure: 'Station pressure',
  seaLevelPressure: 'Pressure at sea level',
  air: 'Air',
  humidity: 'Humidity',
  wind: 'Wind',
  windHeight: 'Wind measured at',
  water: 'Water',
  waterStart: 'Start temperature',
  waterLast: 'Last temperature',
  waterEndMass: 'Water left',
  fuelBefore: 'Fuel before',
  fuelAfter: 'Fuel after',
  fuelUsed: 'Fuel used',
  scaleResolution: 'Scale reads to',
  fuelLoad: 'Load',
  fuelLeftover: 'Left over',
  fuelTemp: 'Fuel’s temperature',
  moisture: 'Moisture of the wood',
  char: 'Char',
  snow: 'Snow',
  hardware: 'Hardware when lit',
  claimFuel: 'Claimed: fuel',
  claimWater: 'Claimed: for water',
  claimStart: 'Claimed: from',
  claimTime: 'Claimed: time',
}

/**
 * What each reading is taken with, where an instrument of the kit can be named; differences of weighings are read with
 * the scale too.
 */
export const READ_WITH: Partial<Record<MeasuredQuantity, 'temperature' | 'mass' | 'wind' | 'pressure' | 'humidity'>> = {
  stationPressure: 'pressure',
  air: 'temperature',
  humidity: 'humidity',
  wind: 'wind',
  water: 'mass',
  waterStart: 'temperature',
  waterLast: 'temperature',
  waterEndMass: 'mass',
  fuelBefore: 'mass',
  fuelAfter: 'mass',
  fuelUsed: 'mass',
  fuelLoad: 'mass',
  fuelLeftover: 'mass',
  fuelTemp: 'temperature',
  char: 'mass',
  snow: 'mass',
  hardware: 'temperature',
}
