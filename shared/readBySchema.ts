/** Reads what was sent by its schema: the value, or all that is wrong with it. */
import { ValidationError, type Schema } from 'yup'
import { fieldProblems, type FieldProblem } from './readProblems'

export type ReadBySchema<T> = { ok: true; value: T } | { ok: false; problems: FieldProblem[] }

export function readBySchema<T>(schema: Schema, input: unknown): ReadBySchema<T> {
  try {
    return { ok: true, value: schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as T }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
