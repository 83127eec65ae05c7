import { statfsSync } from 'node:fs'

/**
 * Why the database did not do what it was asked: because it is away, because the disk is full, or because of what it
 * was asked (null).
 */
export type Failure = 'away' | 'full'

interface Coded {
  code?: string
  message?: string
}

const FULL = new Set(['53100', 'ENOSPC', '58030'])
/**
 * Connections that broke, a server that goes down or comes up, one that has no place for another; a socket's own
 * errors.
 */
const AWAY = /^(08|57P|53|55P03)/

export function failureOf(error: unknown): Failure | null {
  for (const { code = '', message = '' } of causes(error)) {
    if (FULL.has(code) || /No space left on device/i.test(message)) return 'full'
    if (
      AWAY.test(code) ||
      /^E(CONN|PIPE|TIMEDOUT|HOST|NET|AI_)/.test(code) ||
      /terminat|timeout exceeded|Connection/i.test(message)
    )
      return diskIsFull() ? 'full' : 'away'
  }
  return null
}

/** A database that cannot write its log ends: where its disk is this machine's, whether that is why. */
function diskIsFull(): boolean {
  const folder = process.env.VULCANUM_DATA_FOLDER
  if (!folder) return false
  try {
    const { bavail, bsize } = statfsSync(folder)
    return bavail * bsize < FULL_BELOW_BYTES
  } catch {
    return false
  }
}
/** One segment of its log. */
const FULL_BELOW_BYTES = 16 * 1024 * 1024

/** The error and what brought it about: Drizzle and pools wrap what the database said. */
function causes(error: unknown): Coded[] {
  const found: Coded[] = []
  for (
    let one = error;
    typeof one === 'object' && one !== null && found.length < 5;
    one = (one as { cause?: unknown }).cause
  ) {
    found.push(one as Coded)
    if (one instanceof AggregateError) found.push(...(one.errors as Coded[]))
  }
  return found
}

export const FAILURE_STATUS = { away: 503, full: 507 } as const
export const FAILURE_WORDS = {
  away: { text: 'The database does not answer; nothing was stored. It comes back by itself: try again in a moment.' },
  full: {
    text: 'The disk of the machine that runs Vulcanum is full; nothing was stored. Make room there: it goes on by itself.',
  },
} as const
