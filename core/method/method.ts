/** A method: what a test holds, reads and counts, and by which school. A run keeps the version it was done by. */
import { SETTINGS, type BoilConvention, type Clock, type Litre, type TestKind } from '../formats/document'
import type { EventKind } from '../run/events'

/** The kinds of test that testers run; several are one kind to the core, done in a series. */
export const TESTS = [
  'boil',
  'boilBurnOut',
  'burnOff',
  'simmer',
  'fixedTime',
  'warmUp',
  'flameSetting',
  'wind',
  'cold',
  'paired',
  'fed',
  'wood',
  'snow',
  'claim',
  'coolDown',
  'rise',
] as const
export type TestName = (typeof TESTS)[number]
/** How the core reads each. */
export const KIND_OF_TEST: Record<TestName, TestKind> = {
  boil: 'boil',
  boilBurnOut: 'boilBurnOut',
  burnOff: 'burnOff',
  simmer: 'simmer',
  fixedTime: 'fixedTime',
  warmUp: 'warmUp',
  flameSetting: 'boil',
  wind: 'boil',
  cold: 'boil',
  paired: 'boil',
  fed: 'fed',
  wood: 'wood',
  snow: 'snow',
  claim: 'boil',
  coolDown: 'coolDown',
  rise: 'boil',
}

export const BURNT_OUTS = ['flameOut', 'waterFalls', 'flameLeftPot', 'noUsefulHeat'] as const
type BurntOut = (typeof BURNT_OUTS)[number]
export const FUEL_SCHOOLS = ['weighed', 'burnShare', 'pieces'] as const
type FuelSchool = (typeof FUEL_SCHOOLS)[number]
export const WIND_SCHOOLS = ['calm', 'fan', 'real'] as const
type WindSchool = (typeof WIND_SCHOOLS)[number]
export const ACCESSORIES = ['same', 'own'] as const
export const SAFE_WATER = ['rollingBoil', 'hotLongEnough', 'notAsked'] as const
export const RANKINGS = ['fuel', 'time', 'carriedMass', 'cost', 'cleanliness'] as const
export const CORRECTIONS = ['ratio', 'energy', 'loss'] as const

/** Whether a lid is on, or setting, or either may be. */
export const LIDS = ['on', 'off', 'any'] as const
export const METHOD_SETTINGS = [...SETTINGS, 'any'] as const

/** From, to; null at an end: open there. */
export interface Window {
  low: number | null
  high: number | null
}

/** A reading's name as it is stored on a run; the core does not list them. */
export type ReadingName = string

export interface MethodBody {
  test: TestName
  why: string
  measures: string
  cannotSay: string
  /** What is done, in order, in plain words. */
  steps: string[]
  /** Put in [kg]; null: not asked for. */
  waterKg: number | null
  startC: Window
  /** How much warmer than the air the hardware may be when lit [K]; null: not asked for. */
  hardwareAboveAirK: number | null
  /** At the pot [m/s]. */
  windMS: Window
  wind: WindSchool
  lid: (typeof LIDS)[number]
  setting: (typeof METHOD_SETTINGS)[number]
  clock: Clock
  boil: BoilConvention
  burntOut: BurntOut
  fuel: FuelSchool
  litre: Litre
  correction: (typeof CORRECTIONS)[number]
  accessories: (typeof ACCESSORIES)[number]
  ranking: (typeof RANKINGS)[number]
  safeWater: (typeof SAFE_WATER)[number]
  giveUpS: number | null
  /** Of a fixed-time test [s]. */
  durationS: number | null
  replicates: number
  /** Water temperature is due so often [s]; null: not asked for. */
  readEveryS: number | null
  /** Readings without which the figure is partial, and those that belong to the method but may be left out. */
  must: ReadingName[]
  may: ReadingName[]
  /** Marks, alike, in the order they come. */
  mustMark: EventKind[]
  mayMark: EventKind[]
}
