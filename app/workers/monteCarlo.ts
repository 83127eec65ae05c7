/** Draws in the background, so that the page stays with the hand. */
import { expose } from 'comlink'
import { monteCarloRun } from '#core/reduce/monteCarloRun'
import type { ReduceRequest } from '#core/formats/document'

const api = {
  draw: (
    request: ReduceRequest,
    runId: string,
    options: { draws: number; seed: number },
    onProgress: (share: number) => void,
  ) =>
    monteCarloRun(request, runId, {
      ...options,
      onProgress: (share) => {
        onProgress(share)
        return false
      },
    }),
}
export type MonteCarloWorker = typeof api
expose(api)
