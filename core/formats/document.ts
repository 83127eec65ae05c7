/**
 * The contract's request: one list of runs with the options to read them by. Absent and null both mean "not measured".
 */
import type { TraceReading } from './traceReading'
import type { PotMaterial } from '../constants/physical'
import type { Model, Reference } from '../normalise/reference'
import type { RunEvent } from '../run/events'

export const TEST_KINDS = [
  'boil',
  'boilBurnOut',
  'burnOff',
  'simmer',
  'fixedTime',
  'warmUp',
  'fed',
  'wood',
  'snow',
  'coolDown',
] as const
export type TestKind = (typeof TEST_KINDS)[number]
export const ORIGINS = ['measured', 'rehearsal', 'published'] as const
export type Origin = (typeof ORIGINS)[number]
export const SCREENS = ['none', 'wrap', 'cone'] as const
export type Screen = (typeof SCREENS)[number]
export const BURNER_KINDS = [
  'canister-top',
  'integrated',
  'remote-gas',
  'liquid-pressure',
  'alcohol',
  'solid',
  'gel',
  'wood',
] as const
export type BurnerKind = (typeof BURNER_KINDS)[number]
export const WATER_BY = ['weighed', 'marks', 'cup'] as const
export type WaterBy = (typeof WATER_BY)[number]
export const HEADS = ['sheltered', 'exposed'] as const
export type Head = (typeof HEADS)[number]
export const CLOCKS = ['potOn', 'lit', 'bloomed'] as const
export type Clock = (typeof CLOCKS)[number]
export const BOILS = ['rollingBoil', 'firstBubbles', 'probeAtBoil', 'plateau'] as const
export type BoilConvention = (typeof BOILS)[number] | { targetC: number }
export const LITRES = ['putIn', 'remaining'] as const
export type Litre = (typeof LITRES)[number]
export const SETTINGS = ['low', 'medium', 'full'] as const
export type Setting = (typeof SETTINGS)[number]

type Maybe<T> = T | null

/** An event as the contract has it. */
export interface EventDocument extends Omit<RunEvent, 'massKg'> {
  /** `fuelAdded`: what was added. */
  massG?: number | null
}

export interface RunDocument {
  id: string
  setup: Maybe<string>
  origin: Origin
  kind: TestKind
  place: {
    altitudeM: Maybe<number>
    stationPressureHPa: Maybe<number>
    seaLevelPressureHPa: Maybe<number>
    airC: Maybe<number>
    windMS: Maybe<number>
    windHeightM: Maybe<number>
    humidityPct: Maybe<number>
  }
  water: {
    massG: Maybe<number>
    startC: Maybe<number>
    endMassG: Maybe<number>
    endC: Maybe<number>
    snowG: Maybe<number>
    /** How its mass is known. */
    by: WaterBy
  }
  pot: { massG: Maybe<number>; material: Maybe<PotMaterial>; diameterMm: Maybe<number>; finned: Maybe<boolean> }
  lid: Maybe<boolean>
  screen: Maybe<Screen>
  burner: { kind: Maybe<BurnerKind>; head: Maybe<Head> }
  fuel: {
    kind: Maybe<string>
    lhvMJPerKg: Maybe<number>
    usedG: Maybe<number>
    beforeG: Maybe<number>
    afterG: Maybe<number>
    leftoverG: Maybe<number>
    usedMl: Maybe<number>
    densityGPerMl: Maybe<number>
    moisturePct: Maybe<number>
    charG: Maybe<number>
    scaleResolutionG: Maybe<number>
    scaleAccuracyG: Maybe<number>
    loadG: Maybe<number>
    burnOutShare: boolean
  }
  lossWPerK: Maybe<{ value: number; u: number }>
  /** Of the valve. */
  setting: Maybe<Setting>
  /** What the fuel came from, how full, and how cold it was. */
  container: Maybe<{ id: Maybe<string>; fillShare: Maybe<number>; startC: Maybe<number> }>
  /** Of its checks: what it reads high by, how well that is known [K], and how slow it is [s]; null: not checked. */
  thermometer: Maybe<{ offsetK: number; offsetU: number; lagS: number }>
  /** What it was weighed and read with: an error of one is common to all its readings, and to no other's. */
  instruments: { scale: Maybe<string>; thermometer: Maybe<string> }
  /**
   * Where call and trace disagreed, which the tester decided for; null: not decided. `trace` also gives a boil that
   * nobody called.
   */
  boilBy: Maybe<'call' | 'trace'>
  uncertainty: { startC: number; airC: number; boilCallS: number; waterG: number; windMS: number; pressureHPa: number }
  events: EventDocument[]
  trace: [number, number][]
  /** What its samples said when they were read last, in their place; no part of the contract. */
  traceReading?: TraceReading
  /** [seconds, g] of a scale under the stove while it burned, on the same clock. */
  scaleTrace: [number, number][]
}

export interface ReduceOptions {
  reference: Reference
  model: Model
  clock: Clock
  boil: BoilConvention
  litre: Litre
  /** A weak or forced flame is brought to the bench burn rate. */
  flame: boolean
  theta: { value: number; u: number }
}

export interface ReduceRequest extends ReduceOptions {
  format: 'vulcanum-reduce'
  version: 1
  /** A run that cannot be read comes with its problems and does not stop the others. */
  runs: (RunDocument | UnreadableRun)[]
}

export interface UnreadableRun {
  id: string
  error: string
}

/** Standard uncertainties where a run names none. Source: commonPractice. */
export const DEFAULT_UNCERTAINTY: RunDocument['uncertainty'] = {
  startC: 0.5,
  airC: 1,
  boilCallS: 2.9,
  waterG: 1,
  windMS: 0.3,
  pressureHPa: 1,
}
export const DEFAULT_THETA = { value: 1280, u: 200 }
