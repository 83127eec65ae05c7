/** What the machine itself stalls, with nothing of ours to do: its timers, its disk, and what its host takes away. */
import { once } from 'node:events'
import { Worker } from 'node:worker_threads'

/**
 * In a thread of its own, which has nothing else to do.
 * @param file that may be written @returns what ends it and says how late timers and disk were [ms], and `taken`: the
 * stretches in which the machine was not ours, [from, to] [ms since 1970]
 */
export function watchMachine(file) {
  const thread = new Worker(new URL('./machineThread.mjs', import.meta.url), { workerData: { file } })
  return async () => {
    thread.postMessage('end')
    const [seen] = await once(thread, 'message')
    return seen
  }
}
