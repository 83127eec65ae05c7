import { FetchError } from 'ofetch'
import type { TypedCorrection } from '#shared/correction'
import type { FieldProblem } from '#shared/readProblems'
import type { RunPage } from '#shared/runRecord'
import type { TypedRun } from '#shared/typedRun'

export type SaveOutcome = { ok: true; id: string } | { ok: false; problems: FieldProblem[] }

export const useRunPage = (id: string, query: ComputedRef<Record<string, string>>) =>
  useFetch<RunPage>(`/api/runs/${id}`, { query })

/** Sends a typed run. What goes wrong comes back in words, with the field it belongs to. */
export async function saveRun(typed: TypedRun): Promise<SaveOutcome> {
  try {
    const { id } = await $fetch<{ id: string }>('/api/runs', {
      method: 'POST',
      body: { ...typed, startedAt: withOffset(typed.startedAt) },
    })
    return { ok: true, id }
  } catch (error) {
    const problems =
      error instanceof FetchError ? (error.data as { problems?: FieldProblem[] } | undefined)?.problems : undefined
    return {
      ok: false,
      problems: problems ?? [
        {
          path: '',
          text: 'The server did not answer. What you typed is kept in this browser; save again when it is back.',
        },
      ],
    }
  }
}

/** Sends a correction. What goes wrong comes back in words. */
export async function sendCorrection(runId: string, typed: TypedCorrection): Promise<FieldProblem[]> {
  try {
    await $fetch(`/api/runs/${runId}/corrections`, { method: 'POST', body: typed })
    return []
  } catch (error) {
    const problems =
      error instanceof FetchError ? (error.data as { problems?: FieldProblem[] } | undefined)?.problems : undefined
    return (
      problems ?? [
        {
          path: '',
          text: 'The server did not answer. Nothing was changed; what you typed stays here, send it again when it is back.',
        },
      ]
    )
  }
}

/** The box holds this machine's wall clock; what is sent says which instant that is. */
export function withOffset(local: string): string {
  const at = new Date(local)
  return Number.isNaN(at.getTime()) ? local : at.toISOString()
}
