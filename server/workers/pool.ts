/** Heavy work leaves the event loop: threads with limits of memory and time, few at once, each ended with who asked for it. */
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
import { THREAD_LIMITS } from '../http/limits'

/** What a thread may not do: take too long, take too much memory, or be asked for when too many wait. */
export class TooMuch extends Error {
  constructor(readonly what: 'time' | 'memory' | 'queue') { super(`Too much ${what}`) }
}

let pool: Piscina | null = null

/** In the built server the threads lie bundled beside it; else they are read as they are written. */
function threadFile(name: string): { filename: string, execArgv: string[] } {
  const built = fileURLToPath(new URL(`./programs/threads/${name}.mjs`, import.meta.url))
  if (existsSync(built)) return { filename: built, execArgv: [] }
  return { filename: fileURLToPath(new URL(`./threads/${name}.ts`, import.meta.url)), execArgv: ['--import', 'tsx'] }
}

export interface ThreadOptions { signal?: AbortSignal, longestMs?: number }

/**
 * Runs one of server/workers/threads.
 * @throws TooMuch; what the thread threw; an AbortError where `signal` ended it
 */
export async function inThread<T>(name: string, task: object, { signal, longestMs = THREAD_LIMITS.longestMs }: ThreadOptions = {}): Promise<T> {
  const { filename, execArgv } = threadFile(name)
  pool ??= new Piscina({ minThreads: 0, maxThreads: THREAD_LIMITS.threads, maxQueue: THREAD_LIMITS.queue, idleTimeout: THREAD_LIMITS.idleMs, resourceLimits: THREAD_LIMITS.memory, execArgv })
  const late = AbortSignal.timeout(longestMs)
  try {
    return await pool.run(task, { filename, signal: signal ? AbortSignal.any([signal, late]) : late }) as T
  } catch (error) {
    if (late.aborted) throw new TooMuch('time')
    const { code, message } = error as { code?: string, message?: string }
    if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooMuch('memory')
    if (/queue/i.test(message ?? '')) throw new TooMuch('queue')
    throw error
  }
}

export async function endThreads(): Promise<void> {
  const mine = pool
  pool = null
  await mine?.destroy()
}
