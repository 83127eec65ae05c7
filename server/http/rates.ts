/**
 * How often may be asked what costs much, or what is guessed at: by who asks, a minute at a time; generous on the
 * machine itself.
 */
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import type { Caller } from './caller'

const A_MINUTE_S = 60
/** A minute: by one device or one address of the network, and by the machine itself. */
const RATES: Record<string, { network: number; machine: number }> = {
  'POST /api/pair': { network: 30, machine: 600 },
  'POST /api/pair/claim': { network: 120, machine: 600 },
  'PUT /api/imports/[id]': { network: 20, machine: 600 },
  'POST /api/imports/[id]/preview': { network: 120, machine: 1200 },
  'POST /api/package': { network: 6, machine: 120 },
  'GET /api/package': { network: 6, machine: 120 },
  'GET /api/runs/[id]/monte-carlo': { network: 30, machine: 600 },
  'POST /api/runs/export': { network: 20, machine: 600 },
  'GET /api/runs/compare': { network: 60, machine: 1200 },
}
/** Of whoever was not let in, for anything. */
const STRANGERS = new RateLimiterMemory({ keyPrefix: 'strangers', points: 600, duration: A_MINUTE_S })
/** Tokens of instruments that are not known. */
const WRONG_TOKENS = new RateLimiterMemory({ keyPrefix: 'tokens', points: 30, duration: A_MINUTE_S })

const limiters = new Map(
  Object.entries(RATES).flatMap(([route, rates]) =>
    Object.entries(rates).map(
      ([whose, points]) =>
        [
          `${route} ${whose}`,
          new RateLimiterMemory({ keyPrefix: `${route} ${whose}`, points, duration: A_MINUTE_S }),
        ] as const,
    ),
  ),
)

/** Null: it may; else how long to wait [s]. @param address that the network knows it by */
export async function mustWait(asked: string, caller: Caller, address: string): Promise<number | null> {
  const who = caller.as === 'device' ? caller.id : caller.as === 'machine' ? 'machine' : address
  const stranger = caller.as === 'stranger' ? await take(STRANGERS, address) : null
  const limiter = limiters.get(`${asked} ${caller.as === 'machine' ? 'machine' : 'network'}`)
  return stranger ?? (limiter ? take(limiter, who) : null)
}

/**
 * Another token that is not known, from this address: null, or how long to wait [s]. A good one from there is taken all
 * the same.
 */
export const wrongToken = (address: string): Promise<number | null> => take(WRONG_TOKENS, address)
async function take(limiter: RateLimiterMemory, key: string): Promise<number | null> {
  try {
    await limiter.consume(key)
    return null
  } catch (error) {
    if (error instanceof RateLimiterRes) return Math.max(1, Math.ceil(error.msBeforeNext / 1000))
    throw error
  }
}
