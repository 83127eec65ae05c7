/** What one server takes at most, whoever asks. What a request may hold stands in shared/limits.ts. */

/** Of a door to the network: headers that trickle in, and requests that never end, give their place to others [ms]; a packed bench takes its time. */
export const SERVER_LIMITS = { headersTimeout: 15_000, requestTimeout: 900_000, keepAliveTimeout: 10_000 } as const
/** Connections of one address of this machine at a time. */
export const MOST_CONNECTIONS = 500

/** Threads for heavy work: how many at once, how many wait, how long one may take, what it may hold [MB], and when an idle one goes [ms]. */
export const THREAD_LIMITS = { threads: 2, queue: 16, longestMs: 30_000, idleMs: 5000, memory: { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 32 } } as const

/** Connections of instruments, by web socket or TCP: how many each, how long one may stay without saying its token [ms], and the longest message [bytes]. */
export const SOCKETS = { most: 200, greetWithinMs: 10_000, longestMessage: 2_100_000 } as const

/** Whole benches that are packed at a time. */
export const MOST_PACKING = 2
/** Whoever takes nothing of an answer for so long is let go [ms]. */
export const SLOWEST_READER_MS = 60_000
