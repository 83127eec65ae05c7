/** The units table: what a tester may type, and the factor that makes it SI. */
import type { SourceKey } from '../constants/sources'

export type Dimension = 'mass' | 'volume' | 'temperature' | 'length' | 'speed' | 'pressure' | 'duration' | 'share'

export interface Unit {
  /** Identifier kept beside what was typed. */
  id: string
  /** As shown beside a number. */
  label: string
  dimension: Dimension
  /** SI value = (typed + shift)·factor; SI here means kg, m³, °C, m, m/s, Pa, s, 1. */
  factor: number
  shift: number
  /** Spellings, lower case, without spaces. */
  names: string[]
  source: SourceKey
}

const unit = (
  id: string,
  label: string,
  dimension: Dimension,
  factor: number,
  names: string[],
  source: SourceKey = 'si',
  shift = 0,
): Unit => ({ id, label, dimension, factor, shift, names: [label.toLowerCase().replace(/\s+/g, ''), ...names], source })

const US_FLUID_OUNCE_M3 = 29.5735295625e-6

export const UNITS: readonly Unit[] = [
  unit('g', 'g', 'mass', 1e-3, ['gram', 'grams', 'gr']),
  unit('kg', 'kg', 'mass', 1, ['kilogram', 'kilograms']),
  unit('mg', 'mg', 'mass', 1e-6, []),
  unit('oz', 'oz', 'mass', 0.028349523125, ['ozwt', 'wtoz', 'ounceweight', 'ounces', 'ounce', 'ozweight'], 'nistUnits'),
  unit('lb', 'lb', 'mass', 0.45359237, ['lbs', 'pound', 'pounds'], 'nistUnits'),
  unit('ml', 'mL', 'volume', 1e-6, ['cc', 'cm3', 'millilitre', 'millilitres', 'milliliter', 'milliliters']),
  unit('l', 'L', 'volume', 1e-3, ['litre', 'litres', 'liter', 'liters', 'lt']),
  unit('dl', 'dL', 'volume', 1e-4, []),
  unit(
    'floz',
    'fl oz',
    'volume',
    US_FLUID_OUNCE_M3,
    ['usfloz', 'fluidounce', 'fluidounces', 'fl.oz', 'fl.oz.'],
    'nistUnits',
  ),
  unit('cup', 'cups', 'volume', 8 * US_FLUID_OUNCE_M3, ['cup', 'c.'], 'nistUnits'),
  unit('pint', 'pt', 'volume', 16 * US_FLUID_OUNCE_M3, ['pint', 'pints'], 'nistUnits'),
  unit('quart', 'qt', 'volume', 32 * US_FLUID_OUNCE_M3, ['quart', 'quarts'], 'nistUnits'),
  unit('degC', '°C', 'temperature', 1, ['c', 'degc', 'celsius']),
  unit('degF', '°F', 'temperature', 5 / 9, ['f', 'degf', 'fahrenheit'], 'nistUnits', -32),
  unit('K', 'K', 'temperature', 1, ['kelvin'], 'si', -273.15),
  unit('m', 'm', 'length', 1, ['metre', 'metres', 'meter', 'meters', 'masl']),
  unit('km', 'km', 'length', 1000, []),
  unit('cm', 'cm', 'length', 0.01, []),
  unit('mm', 'mm', 'length', 0.001, []),
  unit('ft', 'ft', 'length', 0.3048, ['foot', 'feet', "'"], 'nistUnits'),
  unit('in', 'in', 'length', 0.0254, ['inch', 'inches', '"'], 'nistUnits'),
  unit('mps', 'm/s', 'speed', 1, ['mps', 'ms']),
  unit('kmh', 'km/h', 'speed', 1 / 3.6, ['kmh', 'kph']),
  unit('mph', 'mph', 'speed', 0.44704, ['mi/h'], 'nistUnits'),
  unit('kn', 'kn', 'speed', 1852 / 3600, ['kt', 'kts', 'knot', 'knots'], 'nistUnits'),
  unit('hPa', 'hPa', 'pressure', 100, ['mbar', 'mb', 'millibar']),
  unit('kPa', 'kPa', 'pressure', 1000, []),
  unit('Pa', 'Pa', 'pressure', 1, []),
  unit('inHg', 'inHg', 'pressure', 3386.389, ['inhg', '"hg'], 'nistUnits'),
  unit('mmHg', 'mmHg', 'pressure', 133.3224, ['torr'], 'nistUnits'),
  unit('s', 's', 'duration', 1, ['sec', 'secs', 'second', 'seconds']),
  unit('min', 'min', 'duration', 60, ['mins', 'minute', 'minutes']),
  unit('h', 'h', 'duration', 3600, ['hr', 'hrs', 'hour', 'hours']),
  unit('pct', '%', 'share', 0.01, ['percent', 'pct', 'rh', '%rh']),
]

const BY_NAME = new Map<string, Unit[]>()
for (const one of UNITS) {
  for (const name of new Set(one.names)) BY_NAME.set(name, [...(BY_NAME.get(name) ?? []), one])
}
const BY_ID = new Map(UNITS.map((one) => [one.id, one]))

/** The units spelt so, of any of these dimensions. */
export function unitsNamed(name: string, dimensions: readonly Dimension[]): Unit[] {
  const key = name.toLowerCase().replace(/\s+/g, '').replace(/^°/, '°')
  return (BY_NAME.get(key) ?? []).filter((one) => dimensions.includes(one.dimension))
}

export function unitOf(id: string): Unit {
  const found = BY_ID.get(id)
  if (!found) throw new Error(`No unit "${id}"`)
  return found
}

export const toSI = (value: number, { factor, shift }: Unit): number => (value + shift) * factor
export const fromSI = (value: number, { factor, shift }: Unit): number => value / factor - shift
