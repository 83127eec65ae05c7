/** The contract's answer. A number that cannot be computed is null with a flag that says why. */
import type { Ending } from '../run/deriveTimes'
import type { Reference, RungName } from '../normalise/reference'
import type { Working } from '../explain/working'
import type { BoilEstimate } from '../trace/findBoil'
import type { BurnFit } from '../trace/fitHeating'
import type { Setting, TestKind, UnreadableRun } from './document'

export interface Flag {
  code: string
  severity: 'error' | 'warning' | 'note'
  text: string
  /** The likeliest slip behind it, or what to look at. */
  slip?: string
}

/** What each kind of test measures in its own terms; null where it does not, or a reading is missing. */
export interface TestFigures {
  /** Lighting to full flame [s]. */
  warmUpS: number | null
  /** All the flame, gaps left out [s]. */
  burnTimeS: number | null
  /** Fuel used over all the flame. */
  burnRateGPerMin: number | null
  burnRateMlPerMin: number | null
  /** From the boil to where the water was no longer kept hot [s]. */
  usefulAfterBoilS: number | null
  boilsPerLoad: number | null
  /** Of a test that did not end with a boil [K], and the heat that went in [W]. */
  riseK: number | null
  powerIntoWaterW: number | null
  /** High over low firepower. */
  turnDownRatio: number | null
  /** Heat that holds the water at the boil [W]. */
  holdingPowerW: number | null
  meltEnergyKJ: number | null
  /** Until all the snow was water, by the heating model [s]. */
  toWaterS: number | null
  pieces: number | null
  /** Without a flame between burns [s]. */
  gapsS: number | null
  /** Wood, as dry wood of the same heat. */
  dryFuelG: number | null
  /** From a cool-down. */
  lossWPerK: number | null
  lossWPerKU: number | null
}

export type Basis = 'measured' | 'ownSeries' | 'classDefault' | 'assumed' | 'notInModel'

export interface Rung {
  rung: RungName
  factor: number | null
  /** Fuel per litre after this rung. */
  gPerL: number | null
  /** Its cumulative standard uncertainty [g/L]. */
  u: number | null
  /** This rung's own part of it [g/L]. */
  ownU: number | null
  basis: Basis
  reach: { tested: [number, number]; asked: number } | null
  /** Where the figure may lie after an open rung [g/L]: for the drawing, never for a figure. */
  ghost: [number, number] | null
  /** What the rung moves, from the run's to the reference's. */
  moved: { from: number | null; to: number | null; unit: string }
}

export interface RunAnswer {
  id: string
  setup: string | null
  origin: string
  kind: string
  boilingPointC: number | null
  ended: Ending | null
  stallsAtC: number | null
  litres: number | null
  timeToBoilS: number | null
  timeToBoilU: number | null
  boilFrom: 'call' | 'trace' | 'extrapolated' | null
  fuelToBoilG: number | null
  efficiency: number | null
  efficiencyU: number | null
  firepowerW: number | null
  burnRateGPerMin: number | null
  q0W: number | null
  gPerL: number | null
  gPerLU: number | null
  gPerLPerK: number | null
  normalisedGPerL: number | null
  normalisedU: number | null
  /** Of this burn alone: without how its flame repeats. */
  normalisedUReading: number | null
  normalisedTimeS: number | null
  status: 'normalised' | 'partly' | 'not'
  /** JSON paths of the readings, and names of the series, without which the figure is partial. */
  missing: string[]
  ladder: Rung[]
  flags: Flag[]
  /** Its part that repeating shrinks. */
  normalisedUReadingRandom: number | null
  /** One step of the scale that weighed the fuel, as the normalised figure sees it [g/L]; null: not weighed so. */
  scaleStepGPerL: number | null
  /** Parts of normalisedU that repeating shrinks, and does not; for the mean of a set-up. */
  normalisedURandom: number | null
  normalisedUShared: number | null
  /**
   * What normalisedGPerL owes to each shared input, signed, for +1 standard uncertainty [g/L]: it cancels between runs
   * on one bench.
   */
  normalisedSharedBy: Record<string, number>
  /** The same figures by the other school of the litre; null where the water left was not weighed. */
  otherLitre: {
    litre: 'putIn' | 'remaining'
    gPerL: number | null
    gPerLU: number | null
    normalisedGPerL: number | null
    normalisedU: number | null
  } | null
  test: TestFigures
  /** The mean of its set-up that it enters; null: it enters none. */
  mean: MeanOf | null
  /** What the trace says of the boil; null without a trace that is long enough. */
  boilFound: BoilEstimate | null
  /** The heating model fitted to the trace, burn by burn. */
  traceFit: BurnFit[] | null
  workings?: Record<string, Working>
}

/** What runs are alike in whose figures make one mean. */
export interface MeanOf {
  kind: TestKind
  /** Temperature the water is brought to; null: it boils [°C]. */
  endC: number | null
  setting: Setting | null
  /** Put in, of its runs on the average: they are within 15 % of each other [g]. */
  volumeG: number
}

export interface SetupMean extends MeanOf {
  n: number
  meanGPerL: number
  meanU: number
  sdGPerL: number | null
  ci95: [number, number] | null
}

export interface SetupAnswer {
  setup: string
  origin: string
  /** Kind of its fuel: one set-up with two fuels is two series. */
  fuel: string | null
  /** Runs that enter a mean. */
  n: number
  /** Impossible figures, which enter neither mean nor series. */
  leftOut: string[]
  /** A mean for each kind of test, end temperature, setting and volume. */
  means: SetupMean[]
  /** The one mean; null where there are several. */
  meanGPerL: number | null
  meanU: number | null
  sdGPerL: number | null
  ci95: [number, number] | null
  /** null: none of its runs has a wind that was read. */
  flame: SetupFlameAnswer | null
}

/** A figure of the set-up's flame: `low` and `high` hold 95 %. */
export interface FlameFigure {
  value: number
  u: number
  low: number
  high: number
  basis: 'ownSeries' | 'classDefault' | 'assumed'
}

export interface SetupFlameAnswer {
  /** Wind takes 1 + (v/v₀)ⁿ of the useful heat per gram [m/s]. */
  v0: FlameFigure
  n: FlameFigure
  /** Useful heat follows the burn rate, q0 ∝ ṁˣ. */
  x: FlameFigure
  /** Repeatability of the flame, as a standard deviation of ln. */
  sigma: FlameFigure
  /** At full, else where no setting was said; null: fewer than three calm runs, or several settings. */
  benchBurnRateGPerMin: FlameFigure | null
  /** Winds in which fuel doubles and in which it no longer boils; null: not below 40 m/s. */
  doublingMS: FlameFigure | null
  stallMS: FlameFigure | null
}

export interface ReduceAnswer {
  format: 'vulcanum-reduced'
  version: 1
  core: string
  reference: Reference
  runs: (RunAnswer | UnreadableRun)[]
  setups: SetupAnswer[]
}
