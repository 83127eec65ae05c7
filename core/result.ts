/** What data can make fail comes back as a value; a bug throws. */

export interface Problem {
  /** Stable identifier, for programs. */
  code: string
  /** The thing that is wrong, in the tester's words: "Fuel after". */
  what: string
  /** Where it stands: a field name or a JSON path. */
  where?: string
  /** What was read, with its unit. */
  got?: string
  /** The rule it breaks: "at most 101 °C". */
  limit?: string
  /** What to do about it. */
  hint?: string
}

export type R<T> = { ok: true; value: T } | { ok: false; problem: Problem }

export const ok = <T>(value: T): R<T> => ({ ok: true, value })
export const fail = (problem: Problem): { ok: false; problem: Problem } => ({ ok: false, problem })

/** The one place where a problem becomes a sentence. */
export function problemText({ what, got, limit, hint }: Problem): string {
  const read = got === undefined ? '' : `: read ${got}`
  const rule = limit === undefined ? '' : `, expected ${limit}`
  const advice = hint === undefined ? '' : ` ${hint}`
  return `${what}${read}${rule}.${advice}`
}
