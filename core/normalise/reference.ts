/** Reference conditions: what a figure is corrected to. */

export interface Reference {
  startC: number
  pressureHPa: number
  airC: number
  windMS: number
  burnRateGPerMin: number | null
  /** Water to bring every figure to [g]; null: each run's own. */
  waterG: number | null
}

export interface NamedReference extends Reference {
  id: string
  name: string
}

/** The references that ship; people add places of their own. Sources: commonPractice; wbt for the 75-degree rise. */
export const REFERENCES: readonly NamedReference[] = [
  {
    id: 'standardBench',
    name: 'Standard bench',
    startC: 20,
    pressureHPa: 1013.25,
    airC: 20,
    windMS: 0,
    burnRateGPerMin: null,
    waterG: null,
  },
  {
    id: 'sixtyFahrenheit',
    name: 'Sixty Fahrenheit',
    startC: 140 / 9,
    pressureHPa: 1013.25,
    airC: 20,
    windMS: 0,
    burnRateGPerMin: null,
    waterG: null,
  },
  {
    id: 'rise75',
    name: '75-degree rise',
    startC: 25,
    pressureHPa: 1014.18,
    airC: 25,
    windMS: 0,
    burnRateGPerMin: null,
    waterG: null,
  },
]
export const STANDARD_BENCH: Reference = (({ id: _id, name: _name, ...reference }) => reference)(REFERENCES[0]!)

export const MODELS = ['loss', 'energy', 'ratio'] as const
export type Model = (typeof MODELS)[number]

export type RungName = 'start' | 'boilingPoint' | 'surroundings' | 'wind' | 'flame' | 'volume'
