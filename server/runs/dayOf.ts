/** The day of a run, where it was burned. */

/** The day there, as 2026-05-01. */
export function dayOf(at: string, zone: string): string {
  const format = days.get(zone) ?? new Intl.DateTimeFormat('en-CA', { timeZone: zone })
  days.set(zone, format)
  return format.format(new Date(at))
}
const days = new Map<string, Intl.DateTimeFormat>()
