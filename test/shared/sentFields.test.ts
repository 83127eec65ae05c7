/** What is sent in a wrong shape is refused in words that say what, where and what to do. */
import { describe, expect, it } from 'vitest'
import { ValidationError } from 'yup'
import { chosenId, sentId, idOrNull } from '../../shared/idFields'
import { MAX_TRACE_SAMPLES } from '../../shared/limits'
import { traceProblems } from '../../shared/traceProblems'
import { isZone } from '../../shared/zone'

const ID = '01990000-0000-7000-8000-000000000001'
const wordsOf = (read: () => unknown): string => {
  try {
    read()
  } catch (error) {
    if (error instanceof ValidationError) return error.errors[0]!
  }
  return ''
}

describe('an id that is sent', () => {
  it('is taken as it is; what is none, or nothing, is refused with its name', () => {
    expect(chosenId('Set-up').validateSync(ID)).toBe(ID)
    expect(wordsOf(() => chosenId('Set-up').validateSync('jet'))).toBe(
      'Set-up: read "jet", expected an id. Choose one from the list.',
    )
    expect(wordsOf(() => chosenId('Set-up').validateSync(''))).toBe('Set-up: choose one from the list.')
    expect(wordsOf(() => sentId('Run').validateSync(undefined))).toBe('Run: read nothing, expected an id.')
    expect(wordsOf(() => chosenId('Set-up').validateSync({ id: ID }))).toMatch(/an object/)
  })

  it('may be left out where it may be', () => {
    for (const nothing of [null, undefined, '']) expect(idOrNull('Place').validateSync(nothing) || null).toBeNull()
    expect(wordsOf(() => idOrNull('Place').validateSync('hut'))).toMatch(/^Place: read "hut"/)
  })
})

describe('a trace that is sent', () => {
  it('is taken where there is none, and where each sample is a moment and a value', () => {
    for (const trace of [
      undefined,
      null,
      [],
      [
        [0, 20],
        [60, 55.5],
      ],
    ])
      expect(traceProblems(trace)).toEqual([])
  })

  it('names the first sample that is none, by its place and the unit that was expected', () => {
    const broken = [[0, 20], [60], [120, 'hot']]
    expect(traceProblems(broken)).toEqual([{ path: 'trace[1]', text: 'read [60], expected [seconds, °C]' }])
    expect(traceProblems([[0, NaN]], 'scaleTrace', 'g')[0]).toMatchObject({ path: 'scaleTrace[0]' })
    expect(traceProblems('none')[0]!.text).toMatch(/expected a list of \[seconds, °C\]/)
  })

  it('takes no milliseconds for seconds, and no more than it may hold', () => {
    expect(traceProblems([[1_796_000_000_000, 20]])[0]!.text).toMatch(/Are they milliseconds/)
    expect(traceProblems(new Array(MAX_TRACE_SAMPLES + 1))[0]!.text).toMatch(/expected at most/)
  })
})

it('a zone is one that the world knows', () => {
  expect(['Europe/Lisbon', 'UTC', 'Atlantic/Azores'].filter(isZone)).toHaveLength(3)
  expect(['', 'Lisbon', 'Mars/Crater', undefined].filter(isZone)).toEqual([])
})
