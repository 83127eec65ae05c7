/** How old a reading is, and how it shows. */
const FULL_MS = 60 * 60_000
const SAID_FROM_MS = 40 * 60_000

export interface Age {
  share: number
  minutes: number
  stale: boolean
}

/** `share` of the rule that is left: whole when just read, none after an hour. Stale from 40 minutes on. */
export function ageOf(readAt: string, nowMs: number): Age {
  const ms = Math.max(0, nowMs - Date.parse(readAt))
  return { share: Math.max(0, 1 - ms / FULL_MS), minutes: Math.floor(ms / 60_000), stale: ms >= SAID_FROM_MS }
}

export function ageWords(minutes: number): string {
  if (minutes < 120) return `${minutes} min`
  const hours = Math.floor(minutes / 60)
  return hours < 48 ? `${hours} h` : `${Math.floor(hours / 24)} days`
}
