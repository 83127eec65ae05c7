/**
 * A record that a person edits, as it travels: an id made by the browser, the revision that was seen, and its fields as
 * typed.
 */
import { number, object, ValidationError } from 'yup'
import type { UnitSystem } from '../core/quantity/kinds'
import { readFields, plainText, type FieldSpec, type ReadFields, type TypedFields } from './fields'
import { MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

export interface TypedRecord {
  id: string
  /** The one that was seen; 0: a new record. */
  revision: number
  units: UnitSystem
  personId: string | null
  /** Why it is changed, where that is asked. */
  reason: string
  fields: TypedFields
}

const envelope = object({
  id: string().required().matches(UUID, 'The record has no id. Reload and try again.'),
  revision: number().required().integer().min(0),
  units: string().oneOf(['metric', 'trail']).required(),
  personId: string()
    .nullable()
    .default(null)
    .matches(UUID, { message: 'Who: choose one from the list.', excludeEmptyString: true }),
  reason: plainText('Reason', MAX_TEXT.reason),
})

export type ReadRecord = { ok: true; typed: TypedRecord; values: ReadFields } | { ok: false; problems: FieldProblem[] }

/** Checks the envelope and reads the fields, the same on both sides. */
export function readRecord(specs: readonly FieldSpec[], input: unknown): ReadRecord {
  try {
    const outer = envelope.validateSync(input, { abortEarly: false, stripUnknown: true }) as Omit<TypedRecord, 'fields'>
    const read = readFields(specs, (input as TypedRecord).fields, outer.units)
    return read.ok
      ? { ok: true, typed: { ...outer, personId: outer.personId || null, fields: read.typed }, values: read.values }
      : read
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}

/** A run that uses something, to be named where that cannot be deleted. */
export interface RunRef {
  id: string
  startedAt: string
  zone: string
  setup: string
}

/** What a refusal carries beside its problems: the other's version, or the runs that stand in the way. */
export interface Refusal<T = TypedRecord> {
  problems: FieldProblem[]
  theirs?: T
  runs?: RunRef[]
}
