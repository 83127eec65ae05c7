/** A run as the core reads it: SI and °C, null where not measured. */
import type { PotMaterial } from '../constants/physical'
import type { BurnerKind, Head, Origin, Screen, Setting, TestKind, WaterBy } from '../formats/document'
import type { TraceReading } from '../formats/traceReading'
import type { RunEvent } from './events'

type Maybe<T> = T | null

export interface RunInput {
  id: string
  setup: Maybe<string>
  origin: Origin
  kind: TestKind
  place: {
    altitudeM: Maybe<number>
    stationPressurePa: Maybe<number>
    seaLevelPressurePa: Maybe<number>
    airC: Maybe<number>
    windMS: Maybe<number>
    windHeightM: Maybe<number>
    /** Relative, 0…1. */
    humidity: Maybe<number>
  }
  water: WaterInput
  pot: { massKg: Maybe<number>; material: Maybe<PotMaterial>; diameterM: Maybe<number>; finned: Maybe<boolean> }
  lid: Maybe<boolean>
  screen: Maybe<Screen>
  burner: { kind: Maybe<BurnerKind>; head: Maybe<Head> }
  fuel: FuelInput
  /** From a cool-down; `u` its standard uncertainty. */
  lossWPerK: Maybe<{ value: number; u: number }>
  /** Of the valve. */
  setting: Maybe<Setting>
  container: Maybe<{ id: Maybe<string>; fillShare: Maybe<number>; startC: Maybe<number> }>
  /** Of its checks: what it reads high by, how well that is known [K], and how slow it is [s]; null: not checked. */
  thermometer: Maybe<{ offsetK: number; offsetU: number; lagS: number }>
  /** What it was weighed and read with. */
  instruments: { scale: Maybe<string>; thermometer: Maybe<string> }
  /**
   * Where call and trace disagreed, which the tester decided for; null: not decided. `trace` also gives a boil that
   * nobody called.
   */
  boilBy: Maybe<'call' | 'trace'>
  /** Standard uncertainties of the readings. */
  uncertainty: {
    startC: number
    airC: number
    boilCallS: number
    waterKg: number
    windMS: number
    pressurePa: number
  }
  events: RunEvent[]
  /** [seconds, °C] */
  trace: [number, number][]
  /** What its samples said when they were read last, in their place. */
  traceReading?: TraceReading
  /** [seconds, kg] of a scale under the stove while it burned, on the same clock. */
  scaleTrace: [number, number][]
}

export interface WaterInput {
  massKg: Maybe<number>
  startC: Maybe<number>
  endMassKg: Maybe<number>
  endC: Maybe<number>
  snowKg: Maybe<number>
  /** How its mass is known: a pot's marks and a cup repeat the same error. */
  by: WaterBy
}

export interface FuelInput {
  kind: Maybe<string>
  lhvJPerKg: Maybe<number>
  usedKg: Maybe<number>
  beforeKg: Maybe<number>
  afterKg: Maybe<number>
  leftoverKg: Maybe<number>
  usedM3: Maybe<number>
  densityKgPerM3: Maybe<number>
  /** Of wood, on a wet basis, 0…1. */
  moisture: Maybe<number>
  charKg: Maybe<number>
  scaleResolutionKg: Maybe<number>
  /** Standard uncertainty of the scale itself. */
  scaleAccuracyKg: Maybe<number>
  loadKg: Maybe<number>
  /** The tester takes a share of the burn time for the fuel to the boil. */
  burnOutShare: boolean
}

/** Starter water and snow together [kg]; null: neither was weighed. */
export const waterPutIn = ({ massKg, snowKg }: WaterInput): number | null =>
  massKg === null && snowKg === null ? null : (massKg ?? 0) + (snowKg ?? 0)
