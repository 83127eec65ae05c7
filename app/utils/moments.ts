/** Days and hours as this browser's person writes and reads them. */
import type { CalendarDay, DateOrder } from '#core/quantity/parseMoment'

export function todayHere(): CalendarDay {
  const now = new Date()
  return { year: now.getFullYear(), month: now.getMonth() + 1, day: now.getDate() }
}

/** The time zone of this browser. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'

export function dateOrderHere(): DateOrder {
  const parts = new Intl.DateTimeFormat(undefined).formatToParts(new Date())
  const first = parts.find(({ type }) => type === 'day' || type === 'month' || type === 'year')?.type
  return first === 'year' ? 'ymd' : first === 'month' ? 'mdy' : 'dmy'
}

/** "5 Aug 2026, 14:30" in one's own order; what is no day as it stands. */
export function momentWords(iso: string, timed = false): string {
  const at = new Date(timed ? iso : `${iso}T12:00`)
  if (!/^\d{4}-\d\d-\d\d/.test(iso) || Number.isNaN(at.getTime())) return iso
  return new Intl.DateTimeFormat(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    ...(timed && { hour: '2-digit', minute: '2-digit' }),
  }).format(at)
}
