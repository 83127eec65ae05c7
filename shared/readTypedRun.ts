/** A typed run's schema, and the reading of it into measurements and events, the same on both sides. */
import { array, boolean, object, ValidationError } from 'yup'
import { parseQuantity, type Quantity } from '../core/quantity/parseQuantity'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { SETTINGS } from '../core/formats/document'
import { TESTS } from '../core/method/method'
import { plainText } from './fields'
import { MAX_EVENTS, MAX_TEXT } from './limits'
import { MEASURED_NAMES, MEASURED_QUANTITIES } from './measuredQuantity'
import { isMoment, YEARS } from './moments'
import { chosenId, sentId, idOrNull } from './idFields'
import { overridesSchema } from './overrides'
import type { ReadRun } from './readRun'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { traceProblems } from './traceProblems'
import { boxes, quantityBox, unitsOf } from './typedBoxes'
import {
  MEASURED,
  READING_INSTRUMENTS,
  TIME_NAMES,
  TYPED_EVENTS,
  TYPED_LINES,
  type TypedLine,
  type TypedRun,
} from './typedRun'
import { crossCheck } from './typedRunChecks'
import { UUID } from './uuid'
import { string } from './words'
import { isZone } from './zone'

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
  id: sentId('Run'),
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
  personId: chosenId('Who'),
  setupId: chosenId('Set-up'),
  fuelBatchId: chosenId('Fuel'),
  placeId: idOrNull('Place'),
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
