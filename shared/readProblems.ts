/** A Yup error as the contract's lines: JSON path, what was read, what is expected. */
import type { ValidationError } from 'yup'

export interface FieldProblem {
  path: string
  text: string
  /** What to do, where the text does not say it. */
  hint?: string
}

export function fieldProblems(error: ValidationError): FieldProblem[] {
  const inner = error.inner.length > 0 ? error.inner : [error]
  return inner.map((one) => ({ path: one.path ?? '', text: one.errors[0] ?? 'not valid' }))
}

/** What was read, short enough for a line. */
export function shown(value: unknown): string {
  if (value === undefined) return 'nothing'
  const text =
    typeof value === 'number' && !Number.isFinite(value) ? String(value) : (JSON.stringify(value) ?? String(value))
  return text.length > 60 ? `${text.slice(0, 60)}…` : text
}
