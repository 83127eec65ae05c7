/** Which boxes a method puts on the log's form. Common practice, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyMethod, logFields } from '../../app/utils/logFields'
import { SHIPPED } from '../../core/method/shipped'
import { TESTS } from '../../core/method/method'
import { emptyTypedRun, TYPED_EVENTS } from '../../shared/typedRun'

const untouched = () => emptyTypedRun('01990000-0000-7000-8000-000000000001', 'metric')

describe.each(TESTS)('by the method for a test of kind "%s"', (test) => {
  const { body } = SHIPPED[test]
  const fields = logFields(body, untouched())
  const onForm = [...Object.values(fields.readings).flat(), ...fields.times, ...fields.otherwise]

  it('what it wants stands on the form, and everything else one click away: nothing is lost, nothing twice', () => {
    const known = new Set<string>([...onForm, ...fields.restReadings, ...fields.restTimes])
    expect(
      [...body.mustMark, ...body.must].filter((name) => known.has(name) && !(onForm as string[]).includes(name)),
    ).toEqual([])
    expect([...fields.times, ...fields.otherwise, ...fields.restTimes].sort()).toEqual([...TYPED_EVENTS].sort())
    expect(new Set(onForm).size).toBe(onForm.length)
  })

  it('its clock begins at its first mark, unless a time was typed', () => {
    const typed = untouched()
    applyMethod(typed, { id: 'method', body })
    const zero = (['lit', 'potOn'] as const).find((kind) => body.mustMark.includes(kind))
    expect(Object.entries(typed.times).filter(([, time]) => time === '0:00')).toEqual(zero ? [[zero, '0:00']] : [])
    const begun = { ...untouched(), times: { ...untouched().times, lit: '0:12' } }
    applyMethod(begun, { id: 'method', body })
    expect(begun.times.lit).toBe('0:12')
  })
})

it('law: what was typed stays in sight, whatever method is chosen after', () => {
  const names = Object.keys(untouched().measured)
  fc.assert(
    fc.property(fc.constantFrom(...TESTS), fc.subarray(names), (test, typedNames) => {
      const typed = untouched()
      const measured = { ...typed.measured, ...Object.fromEntries(typedNames.map((name) => [name, '1'])) }
      const { readings, restReadings } = logFields(SHIPPED[test].body, { ...typed, measured })
      const shown = Object.values(readings).flat() as string[]
      for (const name of typedNames)
        expect((restReadings as string[]).includes(name) && !shown.includes(name)).toBe(false)
    }),
  )
})
