import { describe, expect, it } from 'vitest'
import { FAULTLESS, instrumentWith, type InstrumentFaults, type Reading } from '../../core/simulate/instrumentFaults'
import { seededRandom } from '../../core/simulate/random'

const WATER: Reading = { channel: 'water', unit: 'degC', value: 20, noise: 0.2, step: 0.1 }

/** What a thermometer in still water shows, ten times a second; null: nothing was heard. */
function showing(
  faults: Partial<InstrumentFaults>,
  seconds: number,
  { reading = {}, seed = 7 }: { reading?: Partial<Reading>; seed?: number } = {},
): (number | null)[] {
  const show = instrumentWith({ ...FAULTLESS, ...faults }, seededRandom(seed))
  return Array.from({ length: seconds * 10 }, (_, i) => show(i / 10, [{ ...WATER, ...reading }])?.get('water') ?? null)
}
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
const deviation = (values: readonly number[]) =>
  Math.sqrt(values.reduce((sum, value) => sum + (value - mean(values)) ** 2, 0) / (values.length - 1))
const heard = (values: readonly (number | null)[]) => values.filter((value) => value !== null)
const lostShare = (values: readonly (number | null)[]) =>
  values.filter((value) => value === null).length / values.length

describe('a simulated instrument', () => {
  // Of n normal draws the mean lies within 4·s/√n and the deviation within 4·s/√(2n) of the true one (four standard
  // errors: JCGM 100, 4.2 and E.4.3); a resolution δ adds δ²/12 (JCGM 100, F.2.2.1).
  it('scatters about the truth by its own noise, or by the one asked for, in steps of its resolution', () => {
    for (const noise of [null, 1.5]) {
      const values = heard(showing({ noise }, 400))
      const expected = Math.sqrt((noise ?? 0.2) ** 2 + 0.1 ** 2 / 12)
      expect(values).toHaveLength(4000)
      expect(Math.abs(mean(values) - 20)).toBeLessThan((4 * expected) / Math.sqrt(4000))
      expect(Math.abs(deviation(values) / expected - 1)).toBeLessThan(4 / Math.sqrt(8000))
      expect(values.every((value) => Math.abs(value * 10 - Math.round(value * 10)) < 1e-6)).toBe(true)
    }
  })

  it('that drifts shows as much too much as was asked, minute by minute', () => {
    const values = heard(showing({ noise: 0, driftPerMin: -0.5 }, 601, { reading: { step: 0.001 } }))
    for (const minute of [0, 1, 4, 10]) expect(values[minute * 600]).toBeCloseTo(20 - 0.5 * minute, 3)
  })

  // A share p of n lost lies within 4·√(p(1−p)/n): the binomial distribution.
  it('that drops out is not heard in the share of moments that was asked', () => {
    expect(lostShare(showing({}, 300))).toBe(0)
    expect(Math.abs(lostShare(showing({ dropoutShare: 0.3 }, 300)) - 0.3)).toBeLessThan(4 * Math.sqrt(0.21 / 3000))
    expect(lostShare(showing({ dropoutShare: 1 }, 300))).toBe(1)
  })

  it('that is stuck shows what it showed, to the digit, and scattered before', () => {
    const values = heard(showing({ stuckAfterS: 60 }, 300))
    expect(new Set(values.slice(0, 601)).size).toBeGreaterThan(5)
    expect(new Set(values.slice(600))).toEqual(new Set([values[600]]))
  })

  it('with a low battery is heard ever less, at the end half the time, and after half a minute no more', () => {
    const values = Array.from({ length: 40 }, (_, i) => showing({ batteryAfterS: 10 }, 60, { seed: i + 1 }))
    const lostFrom = (from: number, to: number) => mean(values.map((one) => lostShare(one.slice(from * 10, to * 10))))
    expect(lostFrom(0, 10)).toBe(0)
    expect(lostFrom(10, 20)).toBeLessThan(lostFrom(20, 30))
    expect(lostFrom(20, 30)).toBeLessThan(lostFrom(30, 40))
    // 400 moments with a chance of 0.492: four standard errors.
    expect(Math.abs(lostFrom(39, 40) - 0.492)).toBeLessThan(4 * Math.sqrt(0.25 / 400))
    expect(lostFrom(41, 60)).toBe(1)
  })

  it('of two channels is late or lost with both; the same seed shows the same', () => {
    const both = (seed: number) => {
      const show = instrumentWith({ ...FAULTLESS, dropoutShare: 0.5 }, seededRandom(seed))
      return Array.from({ length: 200 }, (_, i) =>
        show(i, [
          { ...WATER, channel: 'air' },
          { ...WATER, channel: 'pressure', value: 905 },
        ]),
      )
    }
    expect(both(3).every((shown) => shown === null || (shown.has('air') && shown.has('pressure')))).toBe(true)
    expect(both(3)).toEqual(both(3))
    expect(both(3)).not.toEqual(both(4))
  })
})
