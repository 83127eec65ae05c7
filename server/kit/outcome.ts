/** How saving or deleting a record of the kit can end; every service answers so. */
import type { TypedRecord, RunRef } from '../../shared/record'
import type { FieldProblem } from '../../shared/readProblems'

export interface Refused {
  status: 'invalid' | 'notFound' | 'conflict' | 'inUse'
  problems: FieldProblem[]
  /** What another page saved meanwhile. */
  theirs?: TypedRecord
  /** What stands in the way of deleting. */
  runs?: RunRef[]
}
export type Outcome<T> = { status: 'saved'; value: T } | Refused

export const saved = <T>(value: T): Outcome<T> => ({ status: 'saved', value })
export const invalid = (problems: FieldProblem[]): Refused => ({ status: 'invalid', problems })
export const invalidAt = (path: string, text: string): Refused => invalid([{ path, text }])
export const notFound = (what: string): Refused => ({
  status: 'notFound',
  problems: [
    { path: '', text: `There is no ${what} of this id here. It may have been deleted, or made in another workspace.` },
  ],
})
/** What was seen is not what stands; the words say what to do. */
export const changedMeanwhile = (text: string): Refused => ({
  status: 'conflict',
  problems: [{ path: 'revision', text }],
})
const conflict = (theirs: TypedRecord): Refused => ({
  status: 'conflict',
  theirs,
  problems: [
    {
      path: 'revision',
      text: 'This was changed on another page since you opened it. Nothing was saved and nothing of yours is lost: look at both, and say which stays.',
    },
  ],
})
export const inUse = (text: string, runs: RunRef[] = []): Refused => ({
  status: 'inUse',
  problems: [{ path: '', text }],
  runs,
})

/** Equal as typed, whatever the order of keys. */
const sameFields = (a: TypedRecord['fields'], b: TypedRecord['fields']): boolean =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => (a[key] ?? '') === (b[key] ?? ''))

/** Whether an edit may go on: null where it may, else the refusal; `known` where it was saved before. */
export function editOf(
  standing: TypedRecord | null,
  sent: TypedRecord,
  what: string,
): 'new' | 'edit' | 'known' | Refused {
  if (standing === null) return sent.revision === 0 ? 'new' : notFound(what)
  if (sent.revision === standing.revision) return 'edit'
  return sameFields(standing.fields, sent.fields) ? 'known' : conflict(standing)
}
