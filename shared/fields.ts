/** Fields of a record as data: one list makes the form, the check on both sides, and the reading into SI. */
import { boolean, object, ValidationError } from 'yup'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { parseNumber } from '../core/quantity/parseNumber'
import { parseQuantity } from '../core/quantity/parseQuantity'
import { mustBeChosen } from './mustBeChosen'
import type { Limit } from './limits'
import { isDay, YEARS } from './moments'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { quantityBox, type Box } from './typedBoxes'
import { string } from './words'

export interface Choice {
  value: string
  label: string
}
interface Named {
  key: string
  label: string
  hint?: string
  required?: boolean
}
export type FieldSpec = Named &
  (
    | { type: 'quantity'; kind: QuantityKindName }
    /** A bare number in the unit of its limit; `factor` makes it what is stored. */
    | { type: 'number'; limit: Limit; factor: number; example?: string }
    /** No choices given: they are ids, which the server knows. */
    | { type: 'choice'; choices: readonly Choice[] | null; empty?: string }
    | { type: 'text'; max: number; lines?: number; example?: string }
    | { type: 'flag' }
    | { type: 'date' }
  )

/** As typed, by key; '' where nothing was. */
export type TypedFields = Record<string, string | boolean>
/** As read: SI numbers, trimmed text, dates as typed; null where nothing was. */
export type ReadFields = Record<string, string | number | boolean | null>

const nothing = (label: string, expected: string) => `${label}: read nothing, expected ${expected}.`
/** PostgreSQL keeps no NUL, and other control characters are never meant; line breaks and tabs are. */
export const CONTROL = /(?![\t\n\r\u0080-\u009F])\p{Cc}/u

/** Text that a person wrote, in any script. */
export const plainText = (label: string, max: number) =>
  string()
    .default('')
    .test(
      'control',
      `${label}: holds a character that cannot be kept. Paste it as plain text.`,
      (text) => !CONTROL.test(text ?? ''),
    )
    .test(
      'length',
      ({ value }) => `${label}: read ${String(value).length} characters, expected at most ${max}. Shorten it.`,
      (text) => (text ?? '').length <= max,
    )

function schemaOf(spec: FieldSpec): Box {
  const { label, required } = spec
  switch (spec.type) {
    case 'quantity': {
      const box = quantityBox(label, spec.kind)
      return required
        ? box.test('required', nothing(label, 'a reading'), (text) => Boolean((text as string | undefined)?.trim()))
        : box
    }
    case 'number':
      return numberBox(spec)
    case 'choice': {
      const list = string()
        .default('')
        .test(
          'choice',
          ({ value }) => `${label}: read ${shown(value)}, expected a choice from the list.`,
          (text) => !text || spec.choices === null || spec.choices.some((one) => one.value === text),
        )
      return required ? list.required(mustBeChosen(label)) : list
    }
    case 'text': {
      const text = plainText(label, spec.max)
      return required ? text.trim().required(nothing(label, 'a few words')) : text
    }
    case 'flag':
      return boolean().default(false)
    case 'date': {
      const day = string()
        .default('')
        .test(
          'date',
          ({ value }) => `${label}: read ${shown(value)}, expected a date such as 2026-03-14, in ${YEARS}.`,
          (text) => !text || isDay(text),
        )
      return required ? day.required(nothing(label, 'a date such as 2026-03-14')) : day
    }
  }
}

function numberBox({ label, limit, required }: Extract<FieldSpec, { type: 'number' }>): Box {
  const expected = `a number from ${limit.min} to ${limit.max}${limit.unit ? ` ${limit.unit}` : ''}`
  const box = string()
    .default('')
    .test(
      'number',
      ({ value }) => `${label}: read ${shown(value)}, expected ${expected}.`,
      (text) => {
        if (!text?.trim()) return true
        const value = parseNumber(text)
        return value !== null && value >= limit.min && value <= limit.max
      },
    )
  return required ? box.required(nothing(label, expected)) : box
}

export type ReadFieldsOutcome =
  { ok: true; typed: TypedFields; values: ReadFields } | { ok: false; problems: FieldProblem[] }

/** Checks and reads typed fields; a problem's path is the field's key under `fields.`. */
export function readFields(specs: readonly FieldSpec[], input: unknown, units: UnitSystem): ReadFieldsOutcome {
  try {
    const schema = object(Object.fromEntries(specs.map((spec) => [spec.key, schemaOf(spec)])))
    const typed = schema.validateSync(input ?? {}, {
      abortEarly: false,
      stripUnknown: true,
      context: { units },
    }) as TypedFields
    return {
      ok: true,
      typed,
      values: Object.fromEntries(specs.map((spec) => [spec.key, valueOf(spec, typed[spec.key], units)])),
    }
  } catch (error) {
    if (error instanceof ValidationError)
      return { ok: false, problems: fieldProblems(error).map(({ path, text }) => ({ path: `fields.${path}`, text })) }
    throw error
  }
}

function valueOf(
  spec: FieldSpec,
  typed: string | boolean | undefined,
  units: UnitSystem,
): string | number | boolean | null {
  if (spec.type === 'flag') return typed === true
  const text = typeof typed === 'string' ? typed.trim() : ''
  if (text === '') return spec.type === 'text' ? '' : null
  if (spec.type === 'number') return parseNumber(text)! * spec.factor
  if (spec.type !== 'quantity') return text
  const read = parseQuantity(text, spec.kind, units)
  return read.ok ? read.value.value : null
}
