/**
 * Heavy work leaves the event loop: threads with limits of memory and time, few at once, each ended with who asked for
 * it.
 */
import { createError } from 'h3'
import { Piscina } from 'piscina'
import { THREAD_LIMITS } from '../http/limits'
import { threadFile } from './threadFile'

/** What a thread may not do: take too long, take too much memory, or be asked for when too many wait. */
export class TooMuch extends Error {
  constructor(readonly what: 'time' | 'memory' | 'queue') {
    super(`Too much ${what}`)
  }
}

/** One of server/workers/threads, and the pool that it runs in. */
const POOL_OF = { stageFile: 'files', overDatabase: 'database' } as const
export type ThreadName = keyof typeof POOL_OF

const pools = new Map<ThreadName, Piscina>()

function poolOf(thread: ThreadName): Piscina {
  const { threads, queue, idleMs, memory } = THREAD_LIMITS[POOL_OF[thread]]
  const pool =
    pools.get(thread) ??
    new Piscina({
      ...threadFile(thread),
      minThreads: 0,
      maxThreads: threads,
      maxQueue: queue,
      idleTimeout: idleMs,
      resourceLimits: memory,
    })
  pools.set(thread, pool)
  return pool
}

/** `name`: which of its functions; none: the one it is for. */
export interface ThreadOptions {
  name?: string
  signal?: AbortSignal
  longestMs?: number
}

/**
 * Runs a function of a thread.
 * @throws TooMuch; what the thread threw; an error of status 499 where `signal` ended it
 */
export async function inThread<T>(
  thread: ThreadName,
  task: object,
  { name, signal, longestMs = THREAD_LIMITS[POOL_OF[thread]].longestMs }: ThreadOptions = {},
): Promise<T> {
  const late = AbortSignal.timeout(longestMs)
  try {
    return (await poolOf(thread).run(task, { name, signal: signal ? AbortSignal.any([signal, late]) : late })) as T
  } catch (error) {
    if (late.aborted) throw new TooMuch('time')
    if (signal?.aborted) throw createError({ statusCode: 499, message: 'Whoever asked has gone.' })
    const { code, message } = error as { code?: string; message?: string }
    if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooMuch('memory')
    if (/queue/i.test(message ?? '')) throw new TooMuch('queue')
    throw error
  }
}

export async function endThreads(): Promise<void> {
  const mine = [...pools.values()]
  pools.clear()
  await Promise.all(mine.map((one) => one.destroy()))
}
