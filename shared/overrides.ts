/** Why something that is warned of is done all the same: a reason for each warning, by its code. */
import { lazy, object, ValidationError } from 'yup'
import { plainText } from './fields'
import { MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'

const MOST = 20
const NO_REASONS = 'Reasons: expected a text for each warning. Reload and try again.'

export const overridesSchema = lazy((value: unknown) => {
  const codes = Object.keys(typeof value === 'object' && value !== null ? value : {}).slice(0, MOST)
  return object(Object.fromEntries(codes.map((code) => [code, plainText('Reason', MAX_TEXT.reason)])))
    .nonNullable(NO_REASONS)
    .typeError(NO_REASONS)
})

/** Of a body in which nothing else is read by Yup; none where it has none. Paths begin with "overrides". */
export function readOverrides(
  input: unknown,
): { ok: true; overrides: Record<string, string> } | { ok: false; problems: FieldProblem[] } {
  try {
    const { overrides = {} } = object({ overrides: overridesSchema }).validateSync(
      { overrides: (input as { overrides?: unknown }).overrides },
      { abortEarly: false, stripUnknown: true },
    ) as { overrides?: Record<string, string> }
    return { ok: true, overrides }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
