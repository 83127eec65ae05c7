import type { Remote } from 'comlink'
import type { ReduceRequest } from '#core/formats/document'
import type { MonteCarloAnswer } from '#core/reduce/monteCarloRun'
import { problemText } from '#core/result'
import type { MonteCarloWorker } from '~/workers/monteCarlo'

/** Monte Carlo of a run's figure in a worker of its own: progress as it goes, and an end at any time. */
export function useMonteCarlo() {
  const progress = ref<number | null>(null)
  const answer = shallowRef<MonteCarloAnswer | null>(null)
  const problem = ref('')
  let worker: Worker | null = null
  /** Held until it has answered: one that is let go is heard no more. */
  let remote: Remote<MonteCarloWorker> | null = null

  function stop() {
    worker?.terminate()
    worker = null
    remote = null
    progress.value = null
  }

  async function draw(request: ReduceRequest, runId: string, options: { draws: number; seed: number }) {
    stop()
    problem.value = ''
    progress.value = 0
    const mine = new Worker(new URL('../workers/monteCarlo.ts', import.meta.url), { type: 'module' })
    worker = mine
    const { proxy, wrap } = await import('comlink')
    remote = wrap<MonteCarloWorker>(mine)
    const result = await remote.draw(
      request,
      runId,
      options,
      proxy((share: number) => {
        // What was said before it ended may be heard after.
        if (worker === mine) progress.value = share
      }),
    )
    if (worker !== mine) return
    if (result.ok) answer.value = result.value
    else problem.value = problemText(result.problem)
    stop()
  }
  onUnmounted(stop)
  return { progress, answer, problem, draw, stop }
}
