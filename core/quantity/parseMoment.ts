/** Days and hours as people write them. */

export interface CalendarDay {
  year: number
  /** 1 to 12. */
  month: number
  day: number
}
/** In which order somebody writes day, month and year in figures. */
export type DateOrder = 'dmy' | 'mdy' | 'ymd'
export interface Moment {
  /** As ISO 8601 has it: "2026-08-05". */
  date: string
  /** "14:30"; null: none was said. */
  time: string | null
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const WORDS: Record<string, number> = { today: 0, yesterday: -1, tomorrow: 1 }
const DAY_MS = 86_400_000

/**
 * A day, an hour of today, or both: "5 Aug", "yesterday 14:30", "Aug 5, 2026 2:30 pm", "05/08/2026", "2026-08-05T14:30".
 * A day without a year is the last one that has been.
 * @param today where it is read @param order of days in figures; points stand between day, month and year in that order
 * everywhere
 * @returns null: it says no day and no hour
 * @example parseMoment('5 Aug 14:30', { year: 2026, month: 8, day: 9 }, 'dmy') // { date: '2026-08-05', time: '14:30' }
 */
export function parseMoment(text: string, today: CalendarDay, order: DateOrder): Moment | null {
  const said = text.trim().toLowerCase().replace(/,/g, ' ').replace(/\s+/g, ' ')
  if (said === '') return null
  const { rest, time } = splitTime(said)
  if (time === undefined) return null
  const day = rest === '' ? today : parseDay(rest, today, order)
  return day === null ? null : { date: isoOf(day), time }
}

/** @returns time null where none is said; undefined where it is none of a day */
function splitTime(said: string): { rest: string; time: string | null | undefined } {
  const found = /(?:^|[ t])(\d{1,2})(?::(\d{2}))?(?::\d{2}(?:\.\d+)?)? ?(am|pm)?$/.exec(said)
  if (found === null || (found[2] === undefined && found[3] === undefined)) return { rest: said, time: null }
  const hour = Number(found[1])
  const isAfternoon = found[3] === 'pm'
  const whole = found[3] === undefined ? hour : (hour % 12) + (isAfternoon ? 12 : 0)
  const isHour = found[3] === undefined ? hour < 24 : hour >= 1 && hour <= 12
  const minute = found[2] ?? '00'
  const time = isHour && Number(minute) < 60 ? `${String(whole).padStart(2, '0')}:${minute}` : undefined
  return { rest: said.slice(0, found.index).trim(), time }
}

function parseDay(said: string, today: CalendarDay, order: DateOrder): CalendarDay | null {
  const by = WORDS[said]
  if (by !== undefined) return moved(today, by)
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(said)
  if (iso) return real({ year: Number(iso[1]), month: Number(iso[2]), day: Number(iso[3]) })
  const named =
    /^(?<day>\d{1,2})(?:st|nd|rd|th|\.)? ?(?<month>[a-z]{3,9})\.?(?: (?<year>\d{2}|\d{4}))?$/.exec(said) ??
    /^(?<month>[a-z]{3,9})\.? (?<day>\d{1,2})(?:st|nd|rd|th)?(?: (?<year>\d{2}|\d{4}))?$/.exec(said)
  if (named) {
    const { day, month, year } = named.groups as { day: string; month: string; year?: string }
    return dated(Number(day), MONTHS.indexOf(month.slice(0, 3)) + 1, year, today)
  }
  const figures = /^(\d{1,2})([./-])(\d{1,2})(?:[./-](\d{4}|\d{2})?)?$/.exec(said)
  if (!figures) return null
  const [first, second] = [Number(figures[1]), Number(figures[3])]
  const isMonthFirst = order === 'mdy' && figures[2] !== '.'
  return dated(isMonthFirst ? second : first, isMonthFirst ? first : second, figures[4], today)
}

function dated(day: number, month: number, year: string | undefined, today: CalendarDay): CalendarDay | null {
  if (year !== undefined) return real({ day, month, year: Number(year) + (year.length === 2 ? 2000 : 0) })
  const thisYear = real({ day, month, year: today.year })
  const isAhead = thisYear !== null && isoOf(thisYear) > isoOf(moved(today, 1))
  return isAhead ? real({ day, month, year: today.year - 1 }) : thisYear
}

const utcOf = ({ year, month, day }: CalendarDay): number => Date.UTC(year, month - 1, day)
function moved(from: CalendarDay, days: number): CalendarDay {
  const at = new Date(utcOf(from) + days * DAY_MS)
  return { year: at.getUTCFullYear(), month: at.getUTCMonth() + 1, day: at.getUTCDate() }
}
/** Null where the calendar has no such day. */
function real(day: CalendarDay): CalendarDay | null {
  const same = moved(day, 0)
  return same.month === day.month && same.day === day.day && day.month >= 1 ? day : null
}
const isoOf = (day: CalendarDay): string => new Date(utcOf(day)).toISOString().slice(0, 10)
