/**
 * What a device tells the bench: each act with its own id, the moment by three clocks, and what was done; and what it
 * is told back.
 */
import { overridesSchema } from './overrides'
import { array, boolean, lazy, mixed, number, object, ValidationError, type Schema } from 'yup'
import { EVENT_KINDS, type EventKind } from '../core/run/events'
import { SETTINGS, type Setting } from '../core/formats/document'
import { TESTS, type TestName } from '../core/method/method'
import type { MarkPayload } from '../core/run/benchStep'
import type { UnitSystem } from '../core/quantity/kinds'
import { plainText } from './fields'
import { sentId, idOrNull } from './idFields'
import { LANES, type LaneName } from './lanes'
import { MAX_ACTS, MAX_TEXT } from './limits'
import { isMoment, YEARS } from './moments'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from './measuredQuantity'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import type { RehearsalAsked } from './rehearsal'
import { rehearsalSchema } from './rehearsalSchema'
import { boxes, quantityBox } from './typedBoxes'
import { READING_INSTRUMENTS, type ReadingInstrument } from './typedRun'
import { isZone } from './zone'
import { UUID } from './uuid'
import { string } from './words'

const MEASURED = Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]

/** What a lane is prepared with before anything burns. */
export interface Preparation {
  lane: LaneName
  test: TestName
  setupId: string
  fuelBatchId: string
  methodId: string | null
  personId: string
  placeId: string | null
  containerId: string | null
  setting: Setting | ''
  breakIn: boolean
  zone: string
  instruments: Record<ReadingInstrument, string>
  /** As typed; '' where nothing was. */
  measured: Record<MeasuredQuantity, string>
  overrides: Record<string, string>
  /** A simulated stove stands in; null: it burns. */
  rehearsal: RehearsalAsked | null
}

export type BenchDeed =
  | { type: 'prepare'; preparation: Preparation }
  | { type: 'mark'; kind: EventKind; payload: MarkPayload }
  | { type: 'undo'; ofId: string }
  /** To a time on the bench's clock. */
  | { type: 'move'; ofId: string; toMs: number }
  | { type: 'read'; quantity: MeasuredQuantity; typed: string }
  | { type: 'note'; text: string }
  | { type: 'finish' }
  /** Takes an armed lane off the bench before anything burned. */
  | { type: 'clear' }

export interface BenchAct {
  id: string
  runId: string
  units: UnitSystem
  /** On the bench's clock, as the device knows it [ms]. */
  atMs: number
  monoMs: number
  wallMs: number
  /** The stretch of the device's monotonic clock. */
  clockSession: string
  deed: BenchDeed
}
export interface SentActs {
  device: { id: string; name: string }
  acts: BenchAct[]
}

/** What became of an act. `refused`: it cannot be taken, and why; the device keeps it and shows it. */
export interface BenchAck {
  id: string
  as: 'taken' | 'mark' | 'twin' | 'double' | 'already' | 'refused' | 'conflict'
  /** The lane it came to stand on, where another was taken. */
  lane?: LaneName
  problems?: FieldProblem[]
}

const id = (what: string) => sentId(what)
const ms = (what: string) => number().required(`${what}: read nothing, expected milliseconds.`)
const moment = (what: string) =>
  ms(what).test(
    'moment',
    ({ value }) => `${what}: read ${shown(value)}, expected a moment in ${YEARS}, in milliseconds.`,
    isMoment,
  )
/** No device has run for longer than ten years. */
const MONO_MOST_MS = 3.2e11
const monotonic = (what: string) =>
  ms(what).test(
    'monotonic',
    ({ value }) => `${what}: read ${shown(value)}, expected milliseconds since the device began.`,
    (value) => value >= 0 && value <= MONO_MOST_MS,
  )

const preparationSchema = object({
  lane: string().required().oneOf(LANES, 'Lane: expected A to F.'),
  test: string().default('boil').oneOf(TESTS, 'Test: choose a method from the list.'),
  setupId: id('Set-up'),
  fuelBatchId: id('Fuel'),
  methodId: idOrNull('Method'),
  personId: id('Who'),
  placeId: idOrNull('Place'),
  containerId: idOrNull('Container'),
  setting: string()
    .default('')
    .oneOf(['', ...SETTINGS], 'Setting: choose one from the list.'),
  breakIn: boolean().default(false),
  zone: string()
    .required()
    .max(60)
    .test('zone', ({ value }) => `Zone: read ${shown(value)}, expected a time zone such as Europe/Lisbon.`, isZone),
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
  measured: boxes(MEASURED, (key) => quantityBox(MEASURED_NAMES[key], MEASURED_QUANTITIES[key])),
  overrides: overridesSchema,
  rehearsal: rehearsalSchema,
})
const payloadSchema = object({
  waterC: number(),
  massG: number(),
  reason: plainText('Reason', MAX_TEXT.reason)
    .transform((text: string) => text || undefined)
    .optional(),
  setting: string().oneOf(SETTINGS, 'Setting: choose one from the list.'),
  typed: string().max(MAX_TEXT.typed),
}).default({})

const DEEDS: Record<BenchDeed['type'], Schema> = {
  prepare: object({ type: string().required(), preparation: preparationSchema.required() }),
  mark: object({
    type: string().required(),
    kind: string()
      .required()
      .oneOf(EVENT_KINDS, ({ value }) => `Mark: read ${shown(value)}, expected an event.`),
    payload: payloadSchema,
  }),
  undo: object({ type: string().required(), ofId: id('Mark') }),
  move: object({ type: string().required(), ofId: id('Mark'), toMs: moment('To') }),
  read: object({
    type: string().required(),
    quantity: string().required().oneOf(MEASURED, 'Reading: choose which it is.'),
    typed: string().required('Reading: read nothing.').max(MAX_TEXT.typed),
  }).test('quantity', (value, context) =>
    boxes(MEASURED, (key) => quantityBox(MEASURED_NAMES[key], MEASURED_QUANTITIES[key]))
      .validate({ [value.quantity]: value.typed }, { context: context.options.context })
      .then(
        () => true,
        (error: Error) => context.createError({ message: error.message }),
      ),
  ),
  note: object({
    type: string().required(),
    text: plainText('Note', MAX_TEXT.description).required('Note: read nothing.'),
  }),
  finish: object({ type: string().required() }),
  clear: object({ type: string().required() }),
}
/** Only what is a deed: names that every object answers to are none. */
const deedSchema = (type: unknown): Schema | null =>
  typeof type === 'string' && Object.hasOwn(DEEDS, type) ? DEEDS[type as BenchDeed['type']] : null
const actSchema = object({
  id: id('Act'),
  runId: id('Run'),
  units: string().oneOf(['metric', 'trail']).required(),
  atMs: moment('Time'),
  monoMs: monotonic('Time'),
  wallMs: moment('Device’s clock'),
  clockSession: string().required().max(80),
  deed: lazy(
    (value) =>
      deedSchema((value as BenchDeed | null | undefined)?.type) ??
      mixed().test('deed', 'Deed: expected prepare, mark, undo, move, read, note, finish or clear.', () => false),
  ),
})
const envelope = object({
  device: object({ id: id('Device'), name: string().required().max(MAX_TEXT.name) }).required(),
  acts: array(mixed()).required().max(MAX_ACTS, `Acts: expected at most ${MAX_ACTS} at once.`),
})

/** The envelope alone: acts are read one by one, so that a bad one does not hold up the others. */
export function readSentActs(
  input: unknown,
): { ok: true; sent: { device: SentActs['device']; acts: unknown[] } } | { ok: false; problems: FieldProblem[] } {
  try {
    return {
      ok: true,
      sent: envelope.validateSync(input, { abortEarly: false }) as { device: SentActs['device']; acts: unknown[] },
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}

export async function readAct(
  input: unknown,
): Promise<{ ok: true; act: BenchAct } | { ok: false; problems: FieldProblem[] }> {
  try {
    const units = (input as { units?: UnitSystem } | null)?.units ?? 'metric'
    return {
      ok: true,
      act: (await actSchema.validate(input, {
        abortEarly: false,
        stripUnknown: true,
        context: { units },
      })) as unknown as BenchAct,
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
