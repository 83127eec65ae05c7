/** Days and hours as people write them. ISO 8601-1:2019 for what it names; the rest is common practice, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseMoment } from '../../core/quantity/parseMoment'

const TODAY = { year: 2026, month: 8, day: 9 }
const read = (text: string, order: 'dmy' | 'mdy' = 'dmy') => {
  const moment = parseMoment(text, TODAY, order)
  return moment === null ? null : `${moment.date}${moment.time === null ? '' : ` ${moment.time}`}`
}

describe('a day and an hour', () => {
  it.each([
    ['2026-08-05', '2026-08-05'],
    ['2026-08-05T14:30', '2026-08-05 14:30'],
    ['2026-08-05 14:30:12', '2026-08-05 14:30'],
    ['5 Aug', '2026-08-05'],
    ['5th August, 2025', '2025-08-05'],
    ['Aug 5, 2:30 pm', '2026-08-05 14:30'],
    ['12 am', '2026-08-09 00:00'],
    ['yesterday 14:30', '2026-08-08 14:30'],
    ['today', '2026-08-09'],
    ['9:05', '2026-08-09 09:05'],
    ['5.8.2026', '2026-08-05'],
    ['5.8.', '2026-08-05'],
    ['05/08/26', '2026-08-05'],
  ])('is read from "%s"', (text, expected) => expect(read(text)).toBe(expected))

  it('in figures is read in the order of who writes it, with points the day always first', () => {
    expect([read('05/08/2026', 'mdy'), read('5.8.2026', 'mdy')]).toEqual(['2026-05-08', '2026-08-05'])
  })

  it('without a year is the last one that has been', () => {
    expect([read('24 Dec'), read('10 Aug'), read('11 Aug')]).toEqual(['2025-12-24', '2026-08-10', '2025-08-11'])
  })

  it.each(['', 'soon', '31 Feb 2026', '2026-13-01', '5 Foo', '25:00', '14:75', '13 pm', '99'])(
    'is not read from "%s"',
    (text) => expect(read(text)).toBeNull(),
  )

  it('law: every ISO day is read as itself', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1990-01-01'), max: new Date('2100-01-01'), noInvalidDate: true }), (at) => {
        const iso = at.toISOString().slice(0, 16)
        expect(parseMoment(iso, TODAY, 'dmy')).toEqual({ date: iso.slice(0, 10), time: iso.slice(11) })
      }),
    )
  })
})
