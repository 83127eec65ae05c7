/** Every limit of the contract's numbers, in the contract's units. One place, both sides. */

export interface Limit {
  min: number
  max: number
  unit: string
}

const limit = (min: number, max: number, unit: string): Limit => ({ min, max, unit })

export const LIMITS = {
  startC: limit(-5, 110, '°C'),
  airC: limit(-60, 60, '°C'),
  endC: limit(-5, 110, '°C'),
  targetC: limit(20, 100, '°C'),
  pressureHPa: limit(250, 1100, 'hPa'),
  altitudeM: limit(-500, 9000, 'm'),
  windMS: limit(0, 40, 'm/s'),
  offsetK: limit(-20, 20, 'K'),
  lagS: limit(0, 120, 's'),
  windHeightM: limit(0.01, 100, 'm'),
  humidityPct: limit(0, 100, '%'),
  share: limit(0, 1, ''),
  waterG: limit(20, 20_000, 'g'),
  potG: limit(1, 20_000, 'g'),
  diameterMm: limit(20, 1000, 'mm'),
  fuelG: limit(0.01, 2000, 'g'),
  weighingG: limit(0, 10_000, 'g'),
  fuelMl: limit(0.1, 2000, 'mL'),
  densityGPerMl: limit(0.3, 2, 'g/mL'),
  lhvMJPerKg: limit(1, 60, 'MJ/kg'),
  scaleG: limit(0.0001, 100, 'g'),
  lossWPerK: limit(0, 20, 'W/K'),
  thetaK: limit(300, 3000, 'K'),
  eventS: limit(-86_400, 86_400, 's'),
  burnRateGPerMin: limit(0.01, 200, 'g/min'),
  uK: limit(0, 20, 'K'),
  uS: limit(0, 600, 's'),
  uG: limit(0, 1000, 'g'),
  price: limit(0, 1_000_000, ''),
  uMS: limit(0, 10, 'm/s'),
  uHPa: limit(0, 100, 'hPa'),
  uThetaK: limit(0, 1000, 'K'),
  uLoss: limit(0, 20, 'W/K'),
} as const satisfies Record<string, Limit>

export const MAX_TEXT = { name: 120, description: 2000, notes: 20_000, reason: 500, typed: 60 } as const
export const MAX_EVENTS = 5000
/** Acts of the bench sent at once. */
export const MAX_ACTS = 200
export const MAX_TRACE_SAMPLES = 2_000_000
/** Bytes of a request's body. */
export const MAX_BODY_BYTES = 2_000_000
export const MAX_RUNS = 100_000
/** Lines of the logbook at a time. */
export const PAGE_OF_RUNS = 200
/** Runs voided or tagged by one act. */
export const MAX_PICKED_RUNS = 5000

/** Monte Carlo of one run's figure. */
export const MONTE_CARLO = {
  usualDraws: 20_000,
  usualSeed: 1,
  draws: { min: 100, max: 200_000 },
  seed: { min: 0, max: 2_147_483_647 },
} as const

/** A photo as sent, and how it is kept. */
export const PHOTO = { maxBytes: 15_000_000, maxPixels: 100_000_000, longestPx: 2400, thumbnailPx: 320 } as const

/** A table of runs or a logger's file that is brought in. */
export const IMPORT = {
  maxBytes: 30_000_000,
  maxUnpackedBytes: 150_000_000,
  maxCells: 4_000_000,
  maxColumns: 500,
  maxCellCharacters: 20_000,
  maxRuns: 50_000,
  maxDocuments: 20_000,
  /** Of reading one file [ms]. */ longestMs: 30_000,
} as const
/** A whole workspace as one file. */
export const PACKAGE_MAX_BYTES = 2_000_000_000
