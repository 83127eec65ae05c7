/** Parts the records' schemas are made of, each with a message that says what was read and what is expected. */
import { array, boolean, mixed, number, object, type Schema } from 'yup'
import { shown } from './readProblems'
import type { Limit } from './limits'
import { string } from './words'

const read = (value: unknown, expected: string) => `read ${shown(value)}, expected ${expected}`

/** A number inside its limit, or null: not measured. */
export function measure(limit: Limit) {
  const expected = `a number from ${limit.min} to ${limit.max} ${limit.unit}, or null`
  return number()
    .nullable()
    .typeError(({ value }) => read(value, expected))
    .test(
      'limit',
      ({ value }) => read(value, expected),
      (value) =>
        value === undefined || value === null || (Number.isFinite(value) && value >= limit.min && value <= limit.max),
    )
}

export function choice<T extends string>(values: readonly T[]) {
  const expected = `one of ${values.join(', ')}`
  return string()
    .nullable()
    .typeError(({ value }) => read(value, expected))
    .test(
      'choice',
      ({ value }) => read(value, expected),
      (value) => value === undefined || value === null || values.includes(value as T),
    )
}

export const flag = () =>
  boolean()
    .nullable()
    .typeError(({ value }) => read(value, 'true or false'))

export const text = (maximum: number) =>
  string()
    .nullable()
    .typeError(({ value }) => read(value, 'text'))
    .test(
      'length',
      ({ value }) => `read ${String(value).length} characters, expected at most ${maximum}`,
      (value) => !value || value.length <= maximum,
    )

/** An object of these parts, or nothing. */
export const part = (fields: Record<string, Schema>) =>
  object(fields)
    .nullable()
    .default(undefined)
    .typeError(({ value }) => read(value, 'an object'))

export const list = (of: Schema, maximum: number, what: string) =>
  array(of)
    .nullable()
    .typeError(({ value }) => read(value, `a list of ${what}`))
    .test(
      'maximum',
      ({ value }) => `read ${value?.length} ${what}, expected at most ${maximum}`,
      (value) => !value || value.length <= maximum,
    )

export const exactly = <T extends string | number>(value: T) =>
  mixed().test(
    'exactly',
    ({ value: got }) => read(got, shown(value)),
    (got) => got === value,
  )
