/** What one server takes at most, whoever asks. What a request may hold stands in shared/limits.ts. */

/**
 * Of a server on the network: headers that trickle in, and requests that never end, give their place to others [ms]; a
 * packed workspace takes its time.
 */
export const SERVER_LIMITS = { headersTimeout: 15_000, requestTimeout: 900_000, keepAliveTimeout: 10_000 } as const
/** Connections of one address of this machine at a time. */
export const MOST_CONNECTIONS = 500

/**
 * Threads for heavy work: how many at once, how many wait, how long one may take, what it may hold [MB], and when an
 * idle one goes [ms].
 */
interface ThreadLimits {
  threads: number
  queue: number
  longestMs: number
  idleMs: number
  memory: { maxOldGenerationSizeMb: number; maxYoungGenerationSizeMb: number }
}
/**
 * `files`: what strangers wrote is read in little room. `database`: what is kept here is worked on, a hundred thousand
 * runs too.
 */
export const THREAD_LIMITS: Record<'files' | 'database', ThreadLimits> = {
  files: {
    threads: 2,
    queue: 16,
    longestMs: 30_000,
    idleMs: 5000,
    memory: { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 32 },
  },
  database: {
    threads: 2,
    queue: 16,
    longestMs: 60_000,
    idleMs: 30_000,
    memory: { maxOldGenerationSizeMb: 1536, maxYoungGenerationSizeMb: 32 },
  },
}
/**
 * Of the background's thread [MB]. Below 2 GB V8 lets a heap grow by less before it clears up: more would be taken from
 * the machine, and used for nothing.
 */
export const BACKGROUND_MEMORY = { maxOldGenerationSizeMb: 1024, maxYoungGenerationSizeMb: 32 } as const
/** Storing a hundred thousand rows on a slow machine [ms]. */
export const LONGEST_STORING_MS = 1_800_000

/**
 * Connections of instruments, by web socket or TCP: how many each, how long one may stay without saying its token [ms],
 * and the longest message [bytes].
 */
export const SOCKETS = { most: 200, greetWithinMs: 10_000, longestMessage: 2_100_000 } as const

/** Whole workspaces that are packed at a time. */
export const MOST_PACKING = 2
/**
 * Whoever leaves more of an open stream lying is let go, and comes again saying what it had [bytes]. Four lanes with
 * all their samples are a third of it.
 */
export const MOST_UNREAD_BYTES = 16_000_000
/** Whoever takes nothing of an answer for so long is let go [ms]. */
export const SLOWEST_READER_MS = 60_000
