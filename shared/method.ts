/** A method as it is edited: plain fields, one for each thing it holds, reads, marks and counts. */
import type { ReadingName, MethodBody, TestName, Window } from '../core/method/method'
import { SCHOOLS, START_HALF_WIDTH_K, TARGET, USUAL_TARGET_C, type SchoolKey } from '../core/method/schools'
import { EVENT_NAMES, type EventKind } from '../core/run/events'
import type { Choice, FieldSpec, ReadFields, TypedFields } from './fields'
import { LIMITS, MAX_TEXT } from './limits'
import { MEASURED_NAMES, type MeasuredQuantity } from './measuredQuantity'
import type { RunRef, TypedRecord } from './record'
import { RETIRED } from './thing'
import { typedFrom } from './typedFrom'

export const TEST_WORDS: Record<TestName, string> = {
  boil: 'boil',
  boilBurnOut: 'boil then burn out',
  burnOff: 'burn off, no pot',
  simmer: 'simmer',
  fixedTime: 'fixed-time heating',
  warmUp: 'warm-up',
  flameSetting: 'flame-setting series',
  wind: 'wind series',
  cold: 'cold series',
  paired: 'paired comparison',
  fed: 'fed test',
  wood: 'batch wood burn',
  snow: 'snow melt',
  claim: 'claim check',
  coolDown: 'cool-down',
  rise: '20 → 90 °C',
}

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
const LISTED_SCHOOLS = [
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

const window = (low: unknown, high: unknown): Window => ({ low: low as number | null, high: high as number | null })
const listed = <T extends string>(
  values: ReadFields,
  kind: 'reading' | 'mark',
  names: readonly T[],
  need: string,
): T[] => names.filter((name) => values[`${kind}_${name}`] === need)

/** The body of a method of this test, from its fields as they were read. */
export function methodFrom(test: TestName, values: ReadFields): MethodBody {
  const school = Object.fromEntries(LISTED_SCHOOLS.map((key) => [key, values[key]])) as unknown as Pick<
    MethodBody,
    Exclude<(typeof LISTED_SCHOOLS)[number], 'boil'>
  >
  return {
    ...school,
    test,
    why: values.why as string,
    measures: values.measures as string,
    cannotSay: values.cannotSay as string,
    steps: (values.steps as string)
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
    boil:
      values.boil === TARGET
        ? { targetC: (values.targetC as number | null) ?? USUAL_TARGET_C }
        : (values.boil as Exclude<MethodBody['boil'], object>),
    waterKg: values.waterKg as number | null,
    startC: window(values.startLow, values.startHigh),
    hardwareAboveAirK: values.hardwareAboveAirK as number | null,
    windMS: window(values.windLow, values.windHigh),
    giveUpS: values.giveUpS as number | null,
    durationS: values.durationS as number | null,
    readEveryS: values.readEveryS as number | null,
    replicates: Math.round(values.replicates as number),
    must: listed<ReadingName>(values, 'reading', METHOD_READINGS, 'must'),
    may: listed<ReadingName>(values, 'reading', METHOD_READINGS, 'may'),
    mustMark: listed(values, 'mark', METHOD_MARKS, 'must'),
    mayMark: listed(values, 'mark', METHOD_MARKS, 'may'),
  }
}

/** A method as a person would type it. */
export function fieldsOfMethod(name: string, body: MethodBody, retired = false): TypedFields {
  const numbers: Record<string, unknown> = {
    ...body,
    startLow: body.startC.low,
    startHigh: body.startC.high,
    windLow: body.windMS.low,
    windHigh: body.windMS.high,
    targetC: typeof body.boil === 'object' ? body.boil.targetC : null,
  }
  const typed = Object.fromEntries(METHOD_LIMITS.map((spec) => [spec.key, typedFrom(spec, numbers[spec.key])]))
  const need = (kind: 'reading' | 'mark', one: string) =>
    (kind === 'reading' ? body.must : (body.mustMark as string[])).includes(one)
      ? 'must'
      : (kind === 'reading' ? body.may : (body.mayMark as string[])).includes(one)
        ? 'may'
        : ''
  return {
    ...typed,
    name,
    why: body.why,
    measures: body.measures,
    cannotSay: body.cannotSay,
    steps: body.steps.join('\n'),
    retired,
    ...Object.fromEntries(
      LISTED_SCHOOLS.map((key) => [
        key,
        key === 'boil' ? (typeof body.boil === 'object' ? TARGET : body.boil) : body[key],
      ]),
    ),
    ...Object.fromEntries(METHOD_READINGS.map((one) => [`reading_${one}`, need('reading', one)])),
    ...Object.fromEntries(METHOD_MARKS.map((one) => [`mark_${one}`, need('mark', one)])),
  }
}

/** The fields that another school on a question would set. */
export function schoolFields(key: SchoolKey, value: string): TypedFields {
  if (key === 'water') return { waterKg: `${Number((Number(value) * 1000).toFixed(1))} g` }
  if (key === 'start')
    return value === 'tap'
      ? { startLow: '', startHigh: '' }
      : {
          startLow: `${Number((Number(value) - START_HALF_WIDTH_K).toFixed(1))} °C`,
          startHigh: `${Number((Number(value) + START_HALF_WIDTH_K).toFixed(1))} °C`,
        }
  return { [key]: value }
}

export interface TypedMethod extends TypedRecord {
  copiedFromId: string | null
}
export interface MethodLine {
  id: string
  name: string
  test: TestName
  shipped: boolean
  n: number
  retired: boolean
  runs: number
  why: string
  body: MethodBody
  copiedFrom: string | null
}
/** What a run of this method says when another school reads it. */
export interface SchoolFigure {
  key: SchoolKey
  value: string
  timeToBoilS: number | null
  gPerL: number | null
  normalisedGPerL: number | null
}
export interface MethodPage {
  record: TypedMethod
  line: MethodLine
  copiedFrom: { id: string; name: string } | null
  versions: { n: number; reason: string; createdAt: string; runs: number; body: MethodBody }[]
  use: { count: number; runs: RunRef[] }
  figures: { run: RunRef; schools: SchoolFigure[] } | null
}
