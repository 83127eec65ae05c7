/** Claims as they are typed, kept and read out; and lines in words. */
import { describe, expect, it } from 'vitest'
import { lineWords } from '../../core/compare/lineWords'
import type { LineAnswer } from '../../core/formats/comparison'
import { claimConditions, claimFields, claimSaid, CLAIM_WHATS, type ClaimRecord } from '../../shared/claim'
import { readFields } from '../../shared/fields'

const claim = (what: ClaimRecord['what'], value: number, more: Partial<ClaimRecord> = {}): ClaimRecord => ({
  what,
  value,
  startC: null,
  airC: null,
  windMS: null,
  altitudeM: null,
  waterKg: 0.4991,
  packKg: null,
  loadKg: null,
  ...more,
})

describe('a claim', () => {
  it('is read out in its own units, with what is stated and what is not', () => {
    const said = [
      claim('timeS', 150),
      claim('gPerBoil', 0.0055),
      claim('gPerL', 11),
      claim('burnS', 780, { loadKg: 0.028 }),
      claim('boilsPerPack', 22, { packKg: 0.23 }),
      claim('powerW', 2800),
      claim('massG', 0.165),
    ].map((one) => claimSaid(one).replaceAll('\u202f', ' '))
    expect(said).toEqual([
      '500 mL in 2:30',
      '5.5 g for 500 mL',
      '11.0 g a litre',
      '28 g burn 13:00',
      '22 boils of 500 mL from 230 g',
      '2800 W',
      '165 g',
    ])
    const stated = claim('timeS', 150, { startC: 15, windMS: 0, airC: -5, altitudeM: 1200 })
    expect(claimConditions(stated).replaceAll('\u202f', ' ')).toBe('from 15.0 °C, air −5 °C, calm, at 1200 m')
    expect(claimConditions(claim('timeS', 150, { windMS: 2 })).replaceAll('\u202f', ' ')).toBe(
      'wind 2.0 m/s; start, height not stated',
    )
    expect(claimConditions(claim('powerW', 2800))).toBe('')
  })

  it('asks for what it is nothing without, whatever is claimed', () => {
    const missing = Object.fromEntries(
      CLAIM_WHATS.map((what) => {
        const read = readFields(claimFields(what), {}, 'metric')
        return [what, read.ok ? [] : read.problems.map(({ path }) => path.replace('fields.', '')).sort()]
      }),
    )
    expect(missing).toEqual({
      timeS: ['value', 'waterM3'],
      gPerBoil: ['value', 'waterM3'],
      gPerL: ['value'],
      burnS: ['loadKg', 'value'],
      boilsPerPack: ['packKg', 'value', 'waterM3'],
      powerW: ['value'],
      massG: ['value'],
    })
    const typed = { value: '2:30', waterM3: '16 fl oz', startC: '60F' }
    const read = readFields(claimFields('timeS'), typed, 'metric')
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.values.value).toBe(150)
    expect(read.values.waterM3).toBeCloseTo(16 * 29.5735e-6, 9)
    expect(read.values.startC).toBeCloseTo(15.556, 3)
  })
})

describe('a line in words', () => {
  const line = (more: Partial<LineAnswer>): LineAnswer => ({
    arm: 'A',
    points: [
      [-14, 24, 1],
      [19, 20, 1],
    ],
    curve: [
      [-20, 25, 24, 26],
      [0, 22, 21, 23],
      [20, 20, 19, 21],
    ],
    crossings: [],
    thriftiest: null,
    doublingMS: null,
    stallMS: null,
    neverBoiled: [],
    ...more,
  })
  const said = (kind: Parameters<typeof lineWords>[0], more: Partial<LineAnswer> = {}) =>
    lineWords(kind, line(more)).replaceAll('\u202f', ' ')

  it('says what cold and height cost from the gentlest to the hardest that was tested', () => {
    // At −14 °C the curve stands at 24.1, at 20 °C at 20.
    expect(said('cold')).toBe('21 % more fuel at −14 °C than at 20 °C. Tested −14 to 19 °C.')
    const high = {
      points: [
        [0, 20, 1],
        [2870, 18, 1],
      ] as [number, number, number][],
      curve: [
        [0, 20, 19, 21],
        [2870, 18, 17, 19],
      ] as [number, number, number, number][],
    }
    expect(said('height', high)).toBe('10 % less fuel at 2870 m than at 0 m. Tested 0 to 2870 m.')
  })

  it('says the thriftiest flame, or that full is', () => {
    const flame = {
      curve: [
        [1, 15, 14, 16],
        [3, 20, 19, 21],
      ] as [number, number, number, number][],
    }
    expect(said('flameLine', { ...flame, thriftiest: 1 })).toBe('About 1.0 g/min: 25 % less than at 3.0 g/min.')
    expect(said('flameLine', { ...flame, thriftiest: 3 })).toBe(
      'Full flame, 3.0 g/min: none that was tried takes less.',
    )
    expect(said('flameLine', { curve: [] })).toBe('Too few runs for a line.')
    expect(said('cold', { curve: [], points: [] })).toBe('No run to draw.')
  })

  it('says where wind doubles the fuel, and from where a boil may fail', () => {
    const figure = { value: 2.5, u: 0.2, low: 2.2, high: 2.9, basis: 'ownSeries' as const }
    expect(said('wind', { doublingMS: figure, stallMS: { ...figure, value: 6, low: 5 } })).toBe(
      'May fail to boil from 5.0 m/s on. Twice the fuel at 2.5 m/s (2.2 to 2.9).',
    )
    expect(said('wind')).toBe('Its fuel does not double below 40 m/s.')
    expect(said('wind', { curve: [] })).toBe('Too few runs for a line.')
  })
})
