/**
 * Yup's text, for records that come from outside: what is no text is refused as such, before anything trims or measures
 * it.
 */
import { string as yupString, type StringSchema } from 'yup'

/** Stands for what is no text: it can be trimmed and lowered like one, and is none. */
const NO_TEXT = { trim: () => NO_TEXT, toLowerCase: () => NO_TEXT, toUpperCase: () => NO_TEXT, length: 0 }

/** Numbers and yes or no are read as text, as they look; lists and objects are not. */
export const string = (): StringSchema =>
  yupString()
    .transform((value: unknown) => (typeof value === 'object' && value !== null ? NO_TEXT : value))
    .typeError(
      ({ path, originalValue }: { path: string; originalValue: unknown }) =>
        `${path || 'This'}: read ${Array.isArray(originalValue) ? 'a list' : 'an object'}, expected text.`,
    )
