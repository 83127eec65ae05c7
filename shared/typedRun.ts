/**
 * A run typed by hand: what was typed, kept as typed; its schema; and the reading of it into measurements and events.
 */
import { overridesSchema } from './overrides'
import { array, boolean, object, ValidationError } from 'yup'
import { parseQuantity, type Quantity } from '../core/quantity/parseQuantity'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { SETTINGS, type Setting } from '../core/formats/document'
import { TESTS, type TestName } from '../core/method/method'
import { EVENT_NAMES, type EventKind } from '../core/run/events'
import { plainText } from './fields'
import { MAX_EVENTS, MAX_TEXT } from './limits'
import { isMoment, YEARS } from './moments'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from './measuredQuantity'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { traceProblems } from './traceProblems'
import { UUID } from './uuid'
import { boxes, quantityBox, unitsOf } from './typedBoxes'
import { crossCheck } from './typedRunChecks'
import { string } from './words'

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
const MEASURED = Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]

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

export interface ReadRun {
  measurements: { quantity: MeasuredQuantity; value: number; typed: string; unit: string }[]
  events: { kind: EventKind; atMs: number; typed: string; massG?: number; waterC?: number; reason?: string }[]
}

const uuid = (what: string) =>
  string()
    .required(`${what}: read nothing, expected a choice from the list. Choose one.`)
    .matches(UUID, ({ value }) => `${what}: read ${shown(value)}, expected an id. Choose one from the list.`)

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

const idOrNull = (what: string) =>
  string()
    .nullable()
    .default(null)
    .matches(UUID, {
      message: ({ value }: { value: unknown }) =>
        `${what}: read ${shown(value)}, expected an id. Choose one from the list.`,
      excludeEmptyString: true,
    })
export const isZone = (zone: string | undefined): boolean => {
  try {
    return Boolean(zone) && new Intl.DateTimeFormat('en', { timeZone: zone }).format(0) !== ''
  } catch {
    return false
  }
}
const lineSchema = object({
  kind: string().required().oneOf(TYPED_LINES, 'What happened: choose it from the list.'),
  time: quantityBox('Time', 'clockTime').test(
    'required',
    'Time: read nothing, expected a time such as 5:12. Type it, or take the line out.',
    (text) => Boolean((text as string | undefined)?.trim()),
  ),
  mass: quantityBox('Mass', 'weighing'),
  temp: quantityBox('Temperature', 'waterTemp'),
})

const typedRunSchema = object({
  id: uuid('Run'),
  units: string().oneOf(['metric', 'trail']).required(),
  startedAt: string()
    .required('Date: read nothing, expected a date and time.')
    .test(
      'date',
      ({ value }) =>
        `Date: read ${shown(value)}, expected a date and time such as 2026-03-14T09:30, in ${YEARS}. Choose it again.`,
      (text) => isMoment(Date.parse(text)),
    ),
  zone: string()
    .required()
    .max(60)
    .test('zone', ({ value }) => `Zone: read ${shown(value)}, expected a time zone such as Europe/Lisbon.`, isZone),
  personId: uuid('Who'),
  setupId: uuid('Set-up'),
  fuelBatchId: uuid('Fuel'),
  placeId: string()
    .nullable()
    .default(null)
    .matches(UUID, {
      message: ({ value }: { value: unknown }) =>
        `Place: read ${shown(value)}, expected an id. Choose one from the list.`,
      excludeEmptyString: true,
    }),
  test: string().default('boil').oneOf(TESTS, 'Test: choose a method from the list.'),
  methodId: idOrNull('Method'),
  containerId: idOrNull('Container'),
  instruments: object(
    Object.fromEntries(
      READING_INSTRUMENTS.map((one) => [
        one,
        string()
          .default('')
          .matches(UUID, { message: 'Instrument: choose one from the list.', excludeEmptyString: true }),
      ]),
    ),
  ),
  setting: string()
    .default('')
    .oneOf(['', ...SETTINGS], 'Setting: choose one from the list.'),
  breakIn: boolean().default(false),
  lines: array(lineSchema).default([]).max(MAX_EVENTS, `Lines: expected at most ${MAX_EVENTS}.`),
  overrides: overridesSchema,
  measured: boxes(MEASURED, (key) => quantityBox(MEASURED_NAMES[key], MEASURED_QUANTITIES[key])),
  times: boxes(TYPED_EVENTS, (key) => quantityBox(TIME_NAMES[key], 'clockTime')),
  stoppedReason: plainText('Reason', MAX_TEXT.reason),
  takeBurnShare: boolean().default(false),
  notes: plainText('Notes', MAX_TEXT.notes),
})

export type ReadTypedRun = { ok: true; typed: TypedRun; read: ReadRun } | { ok: false; problems: FieldProblem[] }

/**
 * Checks and reads a typed run, the same on both sides.
 * @param input as sent; `nowMs` the time, for dates in the future
 * @returns the readings in SI, or every problem with the path of its field
 */
export function readTypedRun(input: unknown, nowMs: number): ReadTypedRun {
  try {
    const units = unitsOf(input)
    const checked = typedRunSchema.validateSync(input, {
      abortEarly: false,
      context: { units },
      stripUnknown: true,
    }) as Omit<TypedRun, 'trace'>
    const trace = (input as { trace?: unknown }).trace ?? []
    const spoilt = traceProblems(trace)
    if (spoilt.length > 0) return { ok: false, problems: spoilt }
    const typed: TypedRun = {
      ...checked,
      methodId: checked.methodId || null,
      containerId: checked.containerId || null,
      trace: [...(trace as [number, number][])].sort((a, b) => a[0] - b[0]),
    }
    const read = readBoxes(typed)
    const problems = crossCheck(typed, read, nowMs)
    return problems.length > 0 ? { ok: false, problems } : { ok: true, typed, read }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}

function readBoxes({ measured, times, lines, units }: TypedRun): ReadRun {
  const measurements = MEASURED.flatMap((quantity) => {
    const read = readBox(measured[quantity], MEASURED_QUANTITIES[quantity], units)
    return read ? [{ quantity, value: read.value, typed: read.typed, unit: read.unit }] : []
  })
  const events = TYPED_EVENTS.flatMap((kind) => {
    const read = readBox(times[kind], 'clockTime', units)
    return read ? [{ kind, atMs: Math.round(read.value * 1000), typed: read.typed }] : []
  })
  return { measurements, events: [...events, ...lines.flatMap((line) => readLine(line, units))] }
}

function readLine({ kind, time, mass, temp }: TypedLine, units: UnitSystem): ReadRun['events'] {
  const at = readBox(time, 'clockTime', units)
  if (at === null) return []
  const massKg = kind === 'fuelAdded' ? readBox(mass, 'weighing', units)?.value : undefined
  const waterC = kind === 'reading' ? readBox(temp, 'waterTemp', units)?.value : undefined
  return [
    {
      kind,
      atMs: Math.round(at.value * 1000),
      typed: at.typed,
      ...(massKg === undefined ? {} : { massG: Number((massKg * 1000).toPrecision(12)) }),
      ...(waterC === undefined ? {} : { waterC }),
    },
  ]
}

function readBox(text: string, kind: QuantityKindName, units: UnitSystem): Quantity | null {
  if (!text?.trim()) return null
  const read = parseQuantity(text, kind, units)
  return read.ok ? read.value : null
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
