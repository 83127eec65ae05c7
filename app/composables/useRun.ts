import { FetchError } from 'ofetch'
import type { FieldProblem } from '#shared/readProblems'
import type { RunLine, RunPage } from '#shared/runRecord'
import type { TypedRun } from '#shared/typedRun'

export type SaveOutcome = { ok: true, id: string } | { ok: false, problems: FieldProblem[] }

/** Runs as the server has them. */
export const useRunList = () => useFetch<RunLine[]>('/api/runs')
export const useRunPage = (id: string) => useFetch<RunPage>(`/api/runs/${id}`)

/** Sends a typed run. What goes wrong comes back in words, with the field it belongs to. */
export async function saveRun(typed: TypedRun): Promise<SaveOutcome> {
  try {
    const { id } = await $fetch<{ id: string }>('/api/runs', { method: 'POST', body: { ...typed, startedAt: withOffset(typed.startedAt) } })
    return { ok: true, id }
  } catch (error) {
    const problems = error instanceof FetchError ? (error.data as { problems?: FieldProblem[] } | undefined)?.problems : undefined
    return { ok: false, problems: problems ?? [{ path: '', text: 'The server did not answer. What you typed is kept in this browser; save again when it is back.' }] }
  }
}

/** The box holds this machine's wall clock; what is sent says which instant that is. */
export function withOffset(local: string): string {
  const at = new Date(local)
  return Number.isNaN(at.getTime()) ? local : at.toISOString()
}
