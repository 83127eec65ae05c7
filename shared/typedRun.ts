/** A run typed by hand: what was typed, kept as typed. */
import type { UnitSystem } from '../core/quantity/kinds'
import type { Setting } from '../core/formats/document'
import type { TestName } from '../core/method/method'
import { EVENT_NAMES, type EventKind } from '../core/run/events'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from './measuredQuantity'

/** How a typed run's heating ended, when not by a boil. */
export const TYPED_EVENTS = [
  'lit',
  'bloomed',
  'potOn',
  'firstBubbles',
  'rollingBoil',
  'targetReached',
  'flameLeftPot',
  'shutOff',
  'snuffed',
  'flameOut',
  'gaveUp',
  'stopped',
] as const satisfies readonly EventKind[]
export type TypedEventKind = (typeof TYPED_EVENTS)[number]
/** What may happen more than once: typed as lines. */
export const TYPED_LINES = [
  'fuelAdded',
  'flameOut',
  'relit',
  'reading',
  'settingChanged',
  'windChanged',
  'lidOff',
  'lidOn',
  'potOff',
  'potOn',
  'disturbance',
] as const satisfies readonly EventKind[]
export interface TypedLine {
  kind: (typeof TYPED_LINES)[number]
  time: string
  mass: string
  temp: string
}
/** Instruments that can be named on a run. */
export const READING_INSTRUMENTS = ['temperature', 'mass', 'wind', 'pressure', 'humidity'] as const
export type ReadingInstrument = (typeof READING_INSTRUMENTS)[number]
export const MEASURED = Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]

export interface TypedRun {
  id: string
  units: UnitSystem
  startedAt: string
  zone: string
  personId: string
  setupId: string
  fuelBatchId: string
  /** What was done; with a method, its test. */
  test: TestName
  /** Null: by no method; '': not chosen yet. */
  methodId: string | null
  /** '' where none is named. */
  instruments: Record<ReadingInstrument, string>
  containerId: string | null
  setting: Setting | ''
  breakIn: boolean
  lines: TypedLine[]
  /** Warnings that were overridden, with the reason. */
  overrides: Record<string, string>
  /** Null: nowhere in the list of places; the altitude is typed. */
  placeId: string | null
  /** As typed; '' where nothing was. */
  measured: Record<MeasuredQuantity, string>
  times: Record<TypedEventKind, string>
  stoppedReason: string
  takeBurnShare: boolean
  notes: string
  /** Water temperature, [seconds, °C] on the same clock as the times; empty where none was logged. */
  trace: [number, number][]
}

export const LINE_NAMES = Object.fromEntries(TYPED_LINES.map((kind) => [kind, EVENT_NAMES[kind]])) as Record<
  TypedLine['kind'],
  string
>

export const TIME_NAMES: Record<TypedEventKind, string> = {
  lit: 'Lit',
  bloomed: 'Full flame',
  potOn: 'Pot on',
  firstBubbles: 'First bubbles',
  rollingBoil: 'Boil',
  targetReached: 'Target reached',
  flameLeftPot: 'Flame left the pot',
  shutOff: 'Shut off',
  snuffed: 'Snuffed',
  flameOut: 'Flame out',
  gaveUp: 'Given up',
  stopped: 'Stopped from outside',
}

/** An empty form. */
export function emptyTypedRun(id: string, units: UnitSystem): TypedRun {
  const blank = <K extends string>(keys: readonly K[]) =>
    Object.fromEntries(keys.map((key) => [key, ''])) as Record<K, string>
  return {
    id,
    units,
    startedAt: '',
    zone: 'UTC',
    personId: '',
    setupId: '',
    fuelBatchId: '',
    placeId: null,
    measured: blank(MEASURED),
    test: 'boil',
    methodId: '',
    instruments: blank(READING_INSTRUMENTS),
    containerId: null,
    setting: '',
    breakIn: false,
    lines: [],
    overrides: {},
    times: { ...blank(TYPED_EVENTS), potOn: '0:00' },
    stoppedReason: '',
    takeBurnShare: false,
    notes: '',
    trace: [],
  }
}
