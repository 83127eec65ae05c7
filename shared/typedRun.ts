/** A run typed by hand: what was typed, kept as typed; its schema; and the reading of it into measurements and events. */
import { boolean, object, string, ValidationError } from 'yup'
import { parseQuantity, type Quantity } from '../core/quantity/parseQuantity'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import type { EventKind } from '../core/run/events'
import { MAX_TEXT } from './limits'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from './measuredQuantity'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { traceProblems } from './traceProblems'
import { UUID } from './uuid'
import { boxes, quantityBox, unitsOf } from './typedBoxes'
import { crossCheck } from './typedRunChecks'

/** How a typed run's heating ended, when not by a boil. */
export const TYPED_EVENTS = ['lit', 'bloomed', 'potOn', 'firstBubbles', 'rollingBoil', 'shutOff', 'flameOut', 'gaveUp', 'stopped'] as const satisfies readonly EventKind[]
export type TypedEventKind = (typeof TYPED_EVENTS)[number]
const MEASURED = Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]

export interface TypedRun {
  id: string
  units: UnitSystem
  startedAt: string
  zone: string
  personId: string
  setupId: string
  fuelBatchId: string
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
  measurements: { quantity: MeasuredQuantity, value: number, typed: string, unit: string }[]
  events: { kind: TypedEventKind, atMs: number, typed: string }[]
}

const uuid = (what: string) => string().required(`${what}: read nothing, expected a choice from the list. Choose one.`)
  .matches(UUID, ({ value }) => `${what}: read ${shown(value)}, expected an id. Choose one from the list.`)

export const TIME_NAMES: Record<TypedEventKind, string> = {
  lit: 'Lit', bloomed: 'Full flame', potOn: 'Pot on', firstBubbles: 'First bubbles', rollingBoil: 'Boil', shutOff: 'Shut off',
  flameOut: 'Flame out', gaveUp: 'Given up', stopped: 'Stopped from outside',
}

export const typedRunSchema = object({
  id: uuid('Run'), units: string().oneOf(['metric', 'trail']).required(),
  startedAt: string().required('Date: read nothing, expected a date and time.').test('date', ({ value }) => `Date: read ${shown(value)}, expected a date and time such as 2026-03-14T09:30. Choose it again.`, text => !Number.isNaN(Date.parse(text))),
  zone: string().required().max(60), personId: uuid('Who'), setupId: uuid('Set-up'), fuelBatchId: uuid('Fuel'),
  placeId: string().nullable().default(null).matches(UUID, { message: ({ value }: { value: unknown }) => `Place: read ${shown(value)}, expected an id. Choose one from the list.`, excludeEmptyString: true }),
  measured: boxes(MEASURED, key => quantityBox(MEASURED_NAMES[key], MEASURED_QUANTITIES[key])),
  times: boxes(TYPED_EVENTS, key => quantityBox(TIME_NAMES[key], 'clockTime')),
  stoppedReason: string().default('').max(MAX_TEXT.reason, `Reason: expected at most ${MAX_TEXT.reason} characters.`),
  takeBurnShare: boolean().default(false),
  notes: string().default('').max(MAX_TEXT.notes, ({ value }) => `Notes: read ${String(value).length} characters, expected at most ${MAX_TEXT.notes}. Shorten them.`),
})

export type ReadTypedRun = { ok: true, typed: TypedRun, read: ReadRun } | { ok: false, problems: FieldProblem[] }

/**
 * Checks and reads a typed run, the same on both sides.
 * @param input as sent; `nowMs` the time, for dates in the future
 * @returns the readings in SI, or every problem with the path of its field
 */
export function readTypedRun(input: unknown, nowMs: number): ReadTypedRun {
  try {
    const units = unitsOf(input)
    const checked = typedRunSchema.validateSync(input, { abortEarly: false, context: { units }, stripUnknown: true }) as Omit<TypedRun, 'trace'>
    const trace = (input as { trace?: unknown }).trace ?? []
    const spoilt = traceProblems(trace)
    if (spoilt.length > 0) return { ok: false, problems: spoilt }
    const typed: TypedRun = { ...checked, trace: [...trace as [number, number][]].sort((a, b) => a[0] - b[0]) }
    const read = readBoxes(typed)
    const problems = crossCheck(typed, read, nowMs)
    return problems.length > 0 ? { ok: false, problems } : { ok: true, typed, read }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}

function readBoxes({ measured, times, units }: TypedRun): ReadRun {
  const measurements = MEASURED.flatMap((quantity) => {
    const read = readBox(measured[quantity], MEASURED_QUANTITIES[quantity], units)
    return read ? [{ quantity, value: read.value, typed: read.typed, unit: read.unit }] : []
  })
  const events = TYPED_EVENTS.flatMap((kind) => {
    const read = readBox(times[kind], 'clockTime', units)
    return read ? [{ kind, atMs: Math.round(read.value * 1000), typed: read.typed }] : []
  })
  return { measurements, events }
}

function readBox(text: string, kind: QuantityKindName, units: UnitSystem): Quantity | null {
  if (!text?.trim()) return null
  const read = parseQuantity(text, kind, units)
  return read.ok ? read.value : null
}

/** An empty form. */
export function emptyTypedRun(id: string, units: UnitSystem): TypedRun {
  const blank = <K extends string>(keys: readonly K[]) => Object.fromEntries(keys.map(key => [key, ''])) as Record<K, string>
  return {
    id, units, startedAt: '', zone: 'UTC', personId: '', setupId: '', fuelBatchId: '', placeId: null, measured: blank(MEASURED),
    times: { ...blank(TYPED_EVENTS), potOn: '0:00' }, stoppedReason: '', takeBurnShare: false, notes: '', trace: [],
  }
}
