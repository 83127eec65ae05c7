/** What one server takes at most, whoever asks. What a request may hold stands in shared/limits.ts. */

/** Of a door to the network: headers that trickle in, and requests that never end, give their place to others [ms]. */
export const SERVER_LIMITS = { headersTimeout: 15_000, requestTimeout: 120_000, keepAliveTimeout: 10_000 } as const
/** Connections of one address of this machine at a time. */
export const MOST_CONNECTIONS = 500
