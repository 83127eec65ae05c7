/** Simulated instruments as they are started from the Bench. */
import { number, object, ValidationError, type Schema } from 'yup'
import { LANES, type LaneName } from './lanes'
import { fieldProblems, type FieldProblem } from './readProblems'
import { string } from './words'

export const SIMULATED = {
  thermometer: { name: 'Thermometer', file: 'thermometer' },
  scale: { name: 'Scale', file: 'scale' },
  windMeter: { name: 'Wind meter', file: 'windMeter' },
  weatherStation: { name: 'Weather station', file: 'weatherStation' },
} as const
export type SimulatedKind = keyof typeof SIMULATED
export const SIMULATED_KINDS = Object.keys(SIMULATED) as SimulatedKind[]
/** What can be wrong with one, on request. */
export const FAULTS = {
  none: 'as it should',
  noisy: 'noisy',
  drifting: 'drifts',
  dropping: 'drops out',
  stuck: 'stuck after a minute',
  fading: 'low battery after a minute',
} as const
export type Fault = keyof typeof FAULTS
export const SIMULATED_STOVES = ['narrow-open', 'wide-sheltered', 'finned', 'spirit-cone', 'tablet'] as const

export interface SimulatedStart {
  kind: SimulatedKind
  lane: LaneName
  stove: (typeof SIMULATED_STOVES)[number]
  fault: Fault
  hz: number
  speed: number
}
export interface SimulatedLine extends SimulatedStart {
  id: string
  said: string
}

/** A recorded file that is sent again. */
export interface ReplayStart {
  name: string
  lane: LaneName
  speed: number
  text: string
}
export interface ReplayLine {
  id: string
  name: string
  lane: LaneName
  speed: number
  said: string
}
const REPLAY_MAX_CHARACTERS = 1_500_000
const replaySchema = object({
  name: string().required('File: choose one.').max(200),
  lane: string().required().oneOf(LANES, 'Lane: expected A to F.'),
  speed: number().default(1).min(1, 'Speed: expected 1 to 60.').max(60, 'Speed: expected 1 to 60.'),
  text: string()
    .required('File: it is empty.')
    .max(REPLAY_MAX_CHARACTERS, 'File: expected at most 1.5 MB. Send it in parts.'),
})
export const readReplay = (
  input: unknown,
): { ok: true; start: ReplayStart } | { ok: false; problems: FieldProblem[] } => readWith(replaySchema, input)

const schema = object({
  kind: string().required().oneOf(SIMULATED_KINDS, 'Instrument: choose one from the list.'),
  lane: string().required().oneOf(LANES, 'Lane: expected A to F.'),
  stove: string().required().oneOf(SIMULATED_STOVES, 'Stove: choose one from the list.'),
  fault: string().default('none').oneOf(Object.keys(FAULTS), 'It is: choose one from the list.'),
  hz: number()
    .default(1)
    .min(0.1, 'Readings a second: expected 0.1 to 20.')
    .max(20, 'Readings a second: expected 0.1 to 20.'),
  speed: number().default(1).min(1, 'Speed: expected 1 to 60.').max(60, 'Speed: expected 1 to 60.'),
})
export const readSimulated = (
  input: unknown,
): { ok: true; start: SimulatedStart } | { ok: false; problems: FieldProblem[] } => readWith(schema, input)

function readWith<T>(by: Schema, input: unknown): { ok: true; start: T } | { ok: false; problems: FieldProblem[] } {
  try {
    return { ok: true, start: by.validateSync(input ?? {}, { abortEarly: false, stripUnknown: true }) as T }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
