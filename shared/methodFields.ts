/** The fields of a method as it is edited: one for each thing it holds, reads, marks and counts. */
import { SCHOOLS, type SchoolKey } from '../core/method/schools'
import { EVENT_NAMES, type EventKind } from '../core/run/events'
import type { Choice, FieldSpec } from './fields'
import { LIMITS, MAX_TEXT } from './limits'
import { MEASURED_NAMES, type MeasuredQuantity } from './measuredQuantity'
import { RETIRED } from './thing'

/** Readings a method may ask for: those of the place are always one click away. */
export const METHOD_READINGS = Object.keys(MEASURED_NAMES) as MeasuredQuantity[]
export const METHOD_MARKS: EventKind[] = [
  'lit',
  'bloomed',
  'potOn',
  'firstBubbles',
  'rollingBoil',
  'targetReached',
  'fuelAdded',
  'relit',
  'settingChanged',
  'lidOff',
  'lidOn',
  'flameLeftPot',
  'shutOff',
  'snuffed',
  'flameOut',
  'gaveUp',
  'stopped',
  'reading',
]
const NEEDS: Choice[] = [
  { value: 'must', label: 'asked for' },
  { value: 'may', label: 'may be given' },
]

/**
 * Schools that a method chooses by a list; water and start temperature are typed, with the schools as ready answers.
 */
export const LISTED_SCHOOLS = [
  'clock',
  'boil',
  'burntOut',
  'fuel',
  'litre',
  'setting',
  'lid',
  'accessories',
  'wind',
  'correction',
  'ranking',
  'safeWater',
] as const satisfies readonly SchoolKey[]

const words = (key: string, label: string, required = false): FieldSpec => ({
  key,
  label,
  type: 'text',
  max: MAX_TEXT.description,
  lines: 3,
  required,
})
export const METHOD_TEXTS: FieldSpec[] = [
  { key: 'name', label: 'Name', type: 'text', max: MAX_TEXT.name, required: true },
  words('why', 'Why', true),
  words('measures', 'What it measures', true),
  words('cannotSay', 'What it cannot say', true),
  { key: 'steps', label: 'Steps, a line each', type: 'text', max: MAX_TEXT.notes, lines: 8 },
]
export const METHOD_LIMITS: FieldSpec[] = [
  { key: 'waterKg', label: 'Water put in', type: 'quantity', kind: 'waterMass' },
  { key: 'startLow', label: 'Start from', type: 'quantity', kind: 'waterTemp' },
  { key: 'startHigh', label: 'Start to', type: 'quantity', kind: 'waterTemp' },
  {
    key: 'hardwareAboveAirK',
    label: 'Hardware above air',
    type: 'number',
    limit: { min: 0, max: 100, unit: 'K' },
    factor: 1,
    hint: 'Kelvin, at most, when lit. Empty: not asked for.',
  },
  { key: 'windLow', label: 'Wind from', type: 'quantity', kind: 'windSpeed' },
  { key: 'windHigh', label: 'Wind to', type: 'quantity', kind: 'windSpeed' },
  { key: 'giveUpS', label: 'Give up at', type: 'quantity', kind: 'clockTime' },
  { key: 'durationS', label: 'Heat for', type: 'quantity', kind: 'clockTime', hint: 'Of a fixed-time test.' },
  { key: 'readEveryS', label: 'Read water every', type: 'quantity', kind: 'clockTime' },
  {
    key: 'replicates',
    label: 'Runs of each',
    type: 'number',
    limit: { min: 1, max: 100, unit: '' },
    factor: 1,
    required: true,
  },
  {
    key: 'targetC',
    label: 'Fixed target',
    type: 'number',
    limit: LIMITS.targetC,
    factor: 1,
    hint: '°C, where the boil is a fixed lower target.',
  },
]
export const METHOD_SCHOOLS: FieldSpec[] = LISTED_SCHOOLS.map((key) => ({
  key,
  label: SCHOOLS[key].question,
  type: 'choice',
  choices: SCHOOLS[key].schools,
  required: true,
}))
const METHOD_NEEDS: FieldSpec[] = [
  ...METHOD_READINGS.map((name): FieldSpec => ({
    key: `reading.${name}`,
    label: MEASURED_NAMES[name],
    type: 'choice',
    choices: NEEDS,
    empty: 'not in it',
  })),
  ...METHOD_MARKS.map((kind): FieldSpec => ({
    key: `mark.${kind}`,
    label: EVENT_NAMES[kind],
    type: 'choice',
    choices: NEEDS,
    empty: 'not in it',
  })),
]
/** Keys hold no dots on the way through the schema. */
const flat = (spec: FieldSpec): FieldSpec => ({ ...spec, key: spec.key.replace('.', '_') })
export const METHOD_NEEDS_FLAT = METHOD_NEEDS.map(flat)
export const METHOD_FIELDS: FieldSpec[] = [
  ...METHOD_TEXTS,
  ...METHOD_LIMITS,
  ...METHOD_SCHOOLS,
  ...METHOD_NEEDS_FLAT,
  RETIRED,
]
