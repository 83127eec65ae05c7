import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatClock, formatNumber, formatPositiveWithU, formatWithU } from '../../core/quantity/format'
import type { QuantityKindName } from '../../core/quantity/kinds'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import { fromSI, toSI, UNITS } from '../../core/quantity/units'
import { proofs } from '../proofs'

const read = (text: string, kind: QuantityKindName, system: 'metric' | 'trail' = 'metric') =>
  parseQuantity(text, kind, system)

describe('quantities as testers say them (factors: NIST SP 811 Appendix B)', () => {
  it.each([
    ['2 cups', 'water', 473.176473e-6],
    ['16 fl oz', 'water', 473.176473e-6],
    ['12 oz wt', 'water', 0.3401942775],
    ['½ L', 'water', 0.5e-3],
    ['0,473 L', 'water', 0.473e-3],
    ['1 1/2 cups', 'water', 354.88235475e-6],
    ['473', 'water', 0.473],
    ['212.4', 'weighing', 0.2124],
    ['9,2', 'waterTemp', 9.2],
    ['1/2 cup', 'water', 118.29411825e-6],
    ['60F', 'waterTemp', 140 / 9],
    ['56 °F', 'waterTemp', 40 / 3],
    ['−14', 'airTemp', -14],
    ['8 mph', 'windSpeed', 3.57632],
    ['calm', 'windSpeed', 0],
    ['7,200 ft', 'altitude', 2194.56],
    ['2 870 m', 'altitude', 2870],
    ['29.92 inHg', 'pressure', 101_320.75888],
    ['5:12', 'clockTime', 312],
    ['1:05:30', 'clockTime', 3930],
    ['61:10', 'clockTime', 3670],
    ['5m12s', 'clockTime', 312],
    ['312 s', 'clockTime', 312],
    ['60 %', 'humidity', 0.6],
  ] as const)('%s as %s', (text, kind, value) => {
    const got = read(text, kind)
    expect(got).toMatchObject({ ok: true, value: { typed: text } })
    expect(got.ok && got.value.value).toBeCloseTo(value, 8)
  })

  it('a bare number is read in the unit of the system shown', () => {
    expect(read('60', 'waterTemp', 'trail')).toMatchObject({ value: { unit: 'degF' } })
    expect(read('60', 'waterTemp', 'metric')).toMatchObject({ value: { unit: 'degC' } })
  })

  it.each([
    ['1 oz', 'fuel', 'ambiguous-unit', 'Ounces of weight, or fluid?'],
    ['12 oz', 'water', 'ambiguous-unit', 'Ounces'],
    ['3.50', 'clockTime', 'ambiguous-time', 'Seconds, or minutes?'],
    ['5:72', 'clockTime', 'not-a-time', 'Not a time'],
    ['NaN', 'water', 'not-a-number', 'Not a quantity'],
    ['1e999', 'water', 'not-a-number', 'Not a quantity'],
    ['', 'water', 'not-a-number', 'Not a quantity'],
    ['3 ft', 'water', 'unknown-unit', 'not a unit'],
    ['47300', 'water', 'out-of-limits', 'Outside'],
    ['x'.repeat(10_000), 'water', 'too-long', 'Too long'],
  ] as const)('%s as %s is asked about, never guessed', (text, kind, code, words) => {
    const got = read(text, kind)
    expect(got).toMatchObject({ ok: false, problem: { code } })
    expect(!got.ok && got.problem.what).toContain(words)
  })

  it('every unit converts to SI and back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...UNITS), fc.double({ min: -1e5, max: 1e5, noNaN: true }), (unit, value) => {
        expect(fromSI(toSI(value, unit), unit)).toBeCloseTo(value, 6)
      }),
    )
  })

  it('no text is read as NaN or infinity, or throws', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom<QuantityKindName[]>('water', 'clockTime', 'altitude', 'waterTemp'),
        (text, kind) => {
          const got = read(text, kind)
          if (got.ok) expect(Number.isFinite(got.value.value)).toBe(true)
        },
      ),
      { numRuns: proofs(2000) },
    )
  })
})

describe('numbers shown', () => {
  // Source: Particle Data Group rounding rule, its own examples: 0.827 ± 0.119 → 0.83 ± 0.12; 0.827 ± 0.367 → 0.8 ±
  // 0.4; 950–999 rounds up.
  it.each([
    [0.827, 0.119, '0.83 ± 0.12'],
    [0.827, 0.367, '0.8 ± 0.4'],
    [24.394, 0.0951, '24.39 ± 0.10'],
  ])('%d ± %d as %s', (value, u, text) => {
    expect(formatWithU(value, u).replaceAll('\u202f', ' ')).toBe(text)
  })

  // exp(±11/21.3) by hand: 0.597 and 1.676.
  it('a figure above nought that is known badly has a range that does not reach it', () => {
    expect(formatPositiveWithU(21.3, 11).replaceAll('\u00a0', ' ')).toBe('21 (13 to 36)')
    expect(formatPositiveWithU(2, 9)).not.toMatch(/−|-/)
    expect(formatPositiveWithU(24.394, 0.84)).toBe(formatWithU(24.394, 0.84))
  })

  it('clocks run on past 59 minutes', () =>
    expect([formatClock(228), formatClock(4210), formatClock(59.96, 1)]).toEqual(['3:48', '70:10', '1:00.0']))

  it('minus is a true minus, and zero has none', () =>
    expect([formatNumber(-14, 0), formatNumber(-0.04, 1)]).toEqual(['−14', '0.0']))
})
