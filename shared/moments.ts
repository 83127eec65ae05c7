/** Which moments can be: nobody burned before 1970, and no clock that goes right says 2200. */
export const EARLIEST_MS = Date.UTC(1970, 0, 1)
export const LATEST_MS = Date.UTC(2200, 0, 1)
export const YEARS = 'the years 1970 to 2199'

export const isMoment = (ms: number | null | undefined): ms is number =>
  typeof ms === 'number' && ms >= EARLIEST_MS && ms < LATEST_MS

/** A day that is on the calendar, as 2026-05-01. */
export function isDay(text: unknown): text is string {
  if (typeof text !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  const ms = Date.parse(`${text}T00:00:00Z`)
  return isMoment(ms) && new Date(ms).toISOString().startsWith(text)
}
