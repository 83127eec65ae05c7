/**
 * What came as JSON in the one form in which it is kept: text without NUL or lone surrogates, composed; no key that
 * means something to the language; not nested without end.
 */

/** Deeper than any record of ours. */
const DEEPEST = 32
/** Keys that the language asks objects for; none of our fields is called so. */
const isSpoken = (key: string) => key in Object.prototype || key === 'prototype' || key === 'then' || key === 'toJSON'

/** Text as it is kept: composed (NFC), and what no database keeps shown as the replacement character. */
function keptText(text: string): string {
  return text.toWellFormed().replaceAll('\0', '\uFFFD').normalize('NFC')
}

export class TooDeep extends Error {}

/**
 * A copy of parsed JSON in that form. Keys that are not ours to have are left out, as those that a record does not know.
 * @throws TooDeep
 */
export function plainJson(value: unknown, deep = 0): unknown {
  if (typeof value === 'string') return keptText(value)
  if (typeof value !== 'object' || value === null) return value
  if (deep >= DEEPEST) throw new TooDeep()
  if (Array.isArray(value)) return value.map((one) => plainJson(one, deep + 1))
  const kept: Record<string, unknown> = {}
  for (const key of Object.keys(value)) {
    if (!isSpoken(key)) kept[keptText(key)] = plainJson((value as Record<string, unknown>)[key], deep + 1)
  }
  return kept
}
