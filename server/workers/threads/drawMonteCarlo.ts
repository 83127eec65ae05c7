/** In a thread of its own: Monte Carlo of one run's figure. */
import type { ReduceRequest } from '../../../core/formats/document'
import { monteCarloRun } from '../../../core/reduce/monteCarloRun'

export default function drawMonteCarlo({ request, runId, draws, seed }: { request: ReduceRequest, runId: string, draws: number, seed: number }): ReturnType<typeof monteCarloRun> {
  return monteCarloRun(request, runId, { draws, seed })
}
