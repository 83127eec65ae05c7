/** Days and hours of a plan, alike on server and page. */
import { todayHere } from './moments'

/** "Saturday 5 December" */
export const dayWords = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  )

/** "Sat": where several days stand in one list. */
export const weekdayWord = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' }).format(new Date(`${day}T12:00:00Z`))

export const clockInZone = (ms: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone: zone }).format(ms)

export function tomorrowHere(): string {
  const { year, month, day } = todayHere()
  return new Date(Date.UTC(year, month - 1, day + 1)).toISOString().slice(0, 10)
}
