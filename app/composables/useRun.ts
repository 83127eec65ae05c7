import type { TypedCorrection } from '#shared/correction'
import type { RunPage } from '#shared/runRecord'
import type { TypedRun } from '#shared/typedRun'
import { ask } from '~/api/send'

export const useRunPage = (id: string, query: ComputedRef<Record<string, string>>) =>
  useFetch<RunPage>(`/api/runs/${id}`, { query })

const KEPT = 'The server did not answer. What you typed is kept in this browser; save again when it is back.'
/** Sends a typed run. */
export const saveRun = (typed: TypedRun) =>
  ask<{ id: string }>('/api/runs', {
    method: 'POST',
    body: { ...typed, startedAt: withOffset(typed.startedAt) },
    away: KEPT,
  })

/** Sends a correction. */
export const sendCorrection = (runId: string, typed: TypedCorrection) =>
  ask<unknown>(`/api/runs/${runId}/corrections`, { method: 'POST', body: typed })

/** The box holds this machine's wall clock; what is sent says which instant that is. */
export function withOffset(local: string): string {
  const at = new Date(local)
  return Number.isNaN(at.getTime()) ? local : at.toISOString()
}
