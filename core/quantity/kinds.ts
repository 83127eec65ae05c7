/** The kinds of quantity a box may ask for: which units it takes, which it assumes and shows, and its limits. */
import type { Dimension } from './units'

export type UnitSystem = 'metric' | 'trail'

export interface QuantityKind {
  dimensions: readonly Dimension[]
  /** Unit a bare number is read in, and shown in. */
  bare: Record<UnitSystem, string>
  /** Limits in SI of the unit's own dimension; what lies outside is a slip, not a measurement. */
  limits: Partial<Record<Dimension, readonly [number, number]>>
  example: string
}

const kind = (
  dimensions: Dimension[],
  metric: string,
  trail: string,
  limits: QuantityKind['limits'],
  example: string,
): QuantityKind => ({ dimensions, bare: { metric, trail }, limits, example })

export const QUANTITY_KINDS = {
  /** Water or liquid fuel: weighed or measured by volume. "oz" alone is asked, never guessed. */
  water: kind(['mass', 'volume'], 'g', 'cup', { mass: [0.02, 20], volume: [20e-6, 0.02] }, '473 g, 2 cups, 16 fl oz'),
  /** Of a method: a mass, so that it does not change with the thermometer. */
  waterMass: kind(['mass'], 'g', 'oz', { mass: [0.02, 20] }, '473 g'),
  fuel: kind(['mass', 'volume'], 'g', 'g', { mass: [0.0001, 2], volume: [0.1e-6, 0.002] }, '8.6 g, 30 mL, 1 fl oz'),
  /** A reading of a scale with fuel and container or burner on it. */
  weighing: kind(['mass'], 'g', 'g', { mass: [0, 10] }, '212.4 g'),
  partMass: kind(['mass'], 'g', 'oz', { mass: [0.0005, 20] }, '103 g'),
  /** A length of a part: a diameter, a height, a gap. */
  partLength: kind(['length'], 'mm', 'in', { length: [0.001, 1] }, '95 mm, 3.7 in'),
  gap: kind(['length'], 'mm', 'in', { length: [0, 0.5] }, '13 mm, 0.5 in'),
  capacity: kind(['volume'], 'ml', 'floz', { volume: [50e-6, 0.05] }, '900 mL, 32 fl oz'),
  snow: kind(['mass'], 'g', 'oz', { mass: [0.02, 20] }, '400 g'),
  resolution: kind(['mass'], 'g', 'g', { mass: [1e-6, 0.1] }, '0.1 g'),
  waterTemp: kind(['temperature'], 'degC', 'degF', { temperature: [-5, 110] }, '9.2 °C, 56F'),
  airTemp: kind(['temperature'], 'degC', 'degF', { temperature: [-60, 60] }, '11 °C, 52F'),
  altitude: kind(['length'], 'm', 'ft', { length: [-500, 9000] }, '940 m, 7,200 ft'),
  windSpeed: kind(['speed'], 'mps', 'mph', { speed: [0, 40] }, 'calm, 1.8 m/s, 8 mph'),
  height: kind(['length'], 'm', 'ft', { length: [0.01, 100] }, '10 m'),
  pressure: kind(['pressure'], 'hPa', 'inHg', { pressure: [25_000, 110_000] }, '905.1 hPa, 29.9 inHg'),
  humidity: kind(['share'], 'pct', 'pct', { share: [0, 1] }, '60 %'),
  /** A time on the run's clock. A bare number is asked: seconds or minutes? */
  clockTime: kind(['duration'], '', '', { duration: [0, 86_400] }, '5:12, 1:05:30, 312 s'),
} as const satisfies Record<string, QuantityKind>

export type QuantityKindName = keyof typeof QUANTITY_KINDS
