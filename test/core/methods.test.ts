/** Methods: those that ship cover the trade; a run is held against its method; schools are chosen and read back. */
import { describe, expect, it } from 'vitest'
import { TEST_KINDS } from '../../core/formats/document'
import { checkRun, type CheckedRun } from '../../core/method/checkRun'
import { KIND_OF_TEST, TESTS } from '../../core/method/method'
import { schoolOf, SCHOOLS, withSchool, type SchoolKey } from '../../core/method/schools'
import { SHIPPED } from '../../core/method/shipped'
import { BOIL } from '../../core/method/shippedBoil'
import { deriveTimes } from '../../core/run/deriveTimes'
import { EVENT_KINDS } from '../../core/run/events'
import { cautionsOfTest } from '../../shared/cautions'
import { fieldsOfMethod, methodFrom, schoolFields } from '../../shared/methodBody'
import { METHOD_FIELDS, METHOD_MARKS, METHOD_READINGS } from '../../shared/methodFields'
import { readFields } from '../../shared/fields'
import { MEASURED_NAMES } from '../../shared/measuredQuantity'

describe('shipped methods', () => {
  it('one for every kind of test, and every kind the core reads is reached', () => {
    expect(Object.keys(SHIPPED).sort()).toEqual([...TESTS].sort())
    expect(new Set(Object.values(KIND_OF_TEST))).toEqual(new Set(TEST_KINDS))
  })

  it.each(TESTS)(
    '%s says why, what it measures, what it cannot say, asks only for what there is, and has its cautions',
    (test) => {
      const { body, name } = SHIPPED[test]
      for (const text of [name, body.why, body.measures, body.cannotSay, ...body.steps])
        expect(text.length).toBeGreaterThan(3)
      for (const reading of [...body.must, ...body.may]) expect(MEASURED_NAMES, reading).toHaveProperty(reading)
      for (const mark of [...body.mustMark, ...body.mayMark]) expect(METHOD_MARKS).toContain(mark)
      expect(EVENT_KINDS).toEqual(expect.arrayContaining(METHOD_MARKS))
      expect(body.must.filter((one) => body.may.includes(one))).toEqual([])
      expect(cautionsOfTest(test).join(' ')).toMatch(/never in a tent.*maker’s instructions/)
    },
  )

  // Facts of the trade (common practice, no published source): two cups, given up at 15 minutes; 20 → 90 °C needs no
  // boil call.
  it('hold what testers hold', () => {
    expect(BOIL).toMatchObject({ waterKg: 0.4732, giveUpS: 900 })
    expect(SHIPPED.rise.body).toMatchObject({ boil: { targetC: 90 }, startC: { low: 19, high: 21 } })
    expect(SHIPPED.rise.body.mustMark).not.toContain('rollingBoil')
    expect(SHIPPED.fixedTime.body.durationS).toBe(240)
  })

  it.each(TESTS)('%s is edited in plain fields and comes back as it was', (test) => {
    const { body, name } = SHIPPED[test]
    const read = readFields(METHOD_FIELDS, fieldsOfMethod(name, body), 'metric')
    expect(read.ok || read.problems).toBe(true)
    const sorted = <T extends object>(one: T) =>
      Object.fromEntries(
        Object.entries(one).map(([key, value]) => [
          key,
          Array.isArray(value) && key !== 'steps' ? [...(value as string[])].sort() : value,
        ]),
      )
    expect(sorted(methodFrom(test, (read as { values: Parameters<typeof methodFrom>[1] }).values))).toEqual(
      sorted(body),
    )
    expect(METHOD_READINGS.length).toBeGreaterThan(20)
  })

  it('every school of every question can be chosen, as a whole method and in the editor', () => {
    for (const key of Object.keys(SCHOOLS) as SchoolKey[]) {
      expect(SCHOOLS[key].schools.length).toBeGreaterThan(1)
      for (const { value } of SCHOOLS[key].schools) {
        expect(schoolOf(withSchool(BOIL, key, value), key), `${key} ${value}`).toBe(value)
        const read = readFields(METHOD_FIELDS, { ...fieldsOfMethod('x', BOIL), ...schoolFields(key, value) }, 'metric')
        if (!read.ok) throw new Error(read.problems.map((problem) => problem.text).join())
        expect(schoolOf(methodFrom('boil', read.values), key), `${key} ${value}, typed`).toBe(value)
      }
    }
  })
})

it('a call of one target is no call of another; one that does not say counts for any', () => {
  const at = (waterC: number | null, targetC: number) =>
    deriveTimes(
      [
        { kind: 'potOn', s: 0 },
        { kind: 'targetReached', s: 180, waterC },
      ],
      [],
      { clock: 'potOn', boil: { targetC }, boilingC: 100, plateauS: null },
    ).boilS
  expect([at(90, 90), at(90, 80), at(null, 80)]).toEqual([180, null, 180])
})

describe('a run held against its method', () => {
  const good: CheckedRun = {
    measured: {
      air: 19,
      wind: 0,
      water: 0.473,
      waterStart: 20,
      fuelBefore: 0.3,
      fuelAfter: 0.29,
      scaleResolution: 1e-4,
    },
    marks: [
      { kind: 'potOn', s: 0 },
      { kind: 'rollingBoil', s: 230 },
    ],
    samples: 0,
    waterKg: 0.473,
    lid: true,
    setting: null,
    heatS: 230,
  }
  const codes = (run: Partial<CheckedRun>, body = BOIL) =>
    checkRun(body, { ...good, ...run }).outside.map((flag) => flag.code)
  const lacking = (run: Partial<CheckedRun>, body = BOIL) =>
    checkRun(body, { ...good, ...run }).lacking.map((one) => one.name)

  it('lacks nothing and is inside, where all is there', () =>
    expect(checkRun(BOIL, good)).toEqual({ lacking: [], outside: [] }))

  it('names what is missing, and takes one way of weighing for another', () => {
    expect(lacking({ measured: { ...good.measured, wind: undefined } })).toEqual(['wind'])
    expect(
      lacking({ measured: { air: 19, wind: 0, water: 0.473, waterStart: 20, fuelUsed: 0.01, scaleResolution: 1e-4 } }),
    ).toEqual([])
    expect(lacking({ marks: [{ kind: 'potOn', s: 0 }] })).toEqual(['rollingBoil'])
    expect(
      lacking({
        marks: [
          { kind: 'potOn', s: 0 },
          { kind: 'gaveUp', s: 900 },
        ],
      }),
    ).toEqual([])
    expect(lacking({ marks: [{ kind: 'shutOff', s: 0 }] }, SHIPPED.coolDown.body)).toEqual(['water'])
  })

  it('flags each window it left, and refuses nothing', () => {
    expect(codes({ measured: { ...good.measured, waterStart: 9 } })).toEqual(['outside-start'])
    expect(codes({ measured: { ...good.measured, wind: 1.2 } })).toEqual(['outside-wind'])
    expect(codes({ measured: { ...good.measured, hardware: 41 } })).toEqual(['hot-hardware'])
    expect(codes({ lid: false })).toEqual(['outside-lid'])
    expect(codes({ waterKg: 0.7 })).toEqual(['outside-water'])
    expect(codes({ heatS: 1000 })).toEqual(['outside-give-up'])
    expect(codes({ setting: 'low' }, { ...BOIL, setting: 'full' })).toEqual(['outside-setting'])
    expect(checkRun(BOIL, { ...good, measured: { ...good.measured, waterStart: 9.24 } }).outside[0]!.text).toBe(
      'Start 9.2 °C is outside the method’s 18.0 to 22.0 °C.',
    )
  })
})
