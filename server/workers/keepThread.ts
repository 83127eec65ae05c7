/** A thread that lives as long as the server: one that ends unasked is begun again. */
import { once } from 'node:events'
import { setTimeout as sleep } from 'node:timers/promises'
import { Worker } from 'node:worker_threads'
import { BACKGROUND_MEMORY } from '../http/limits'
import { threadFile } from './threadFile'

const AGAIN_MS = 2000
/** Asked to end, it may finish what it does for so long. */
const ENDS_WITHIN_MS = 3000

/** What it is told when it is to end. */
const END = 'end'

/**
 * @param name one of server/workers/threads
 * @returns what ends it
 */
export function keepThread(name: string): () => Promise<void> {
  let over = false
  let thread: Worker | null = null
  function begin(): void {
    if (over) return
    const { filename, execArgv } = threadFile(name)
    thread = new Worker(filename, { execArgv, resourceLimits: BACKGROUND_MEMORY })
    thread.on('error', (error) => console.error(`The thread "${name}" ended`, error))
    thread.once('exit', () => {
      thread = null
      if (!over) setTimeout(begin, AGAIN_MS).unref()
    })
  }
  // Where the built server's threads lie is known once its entry runs, which is after its plugins have begun.
  setImmediate(begin)
  return async () => {
    over = true
    const mine = thread
    if (mine === null) return
    const gone = once(mine, 'exit')
    mine.postMessage(END)
    await Promise.race([gone, sleep(ENDS_WITHIN_MS, undefined, { ref: false })])
    await mine.terminate()
  }
}
