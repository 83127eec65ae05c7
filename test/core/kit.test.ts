/**
 * The kit's arithmetic and warnings: checks of instruments, ledgers of containers, what is dangerous, which fuel
 * belongs where.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BURNER_KINDS } from '../../core/formats/document'
import { FUEL_KINDS } from '../../core/constants/fuels'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { boilsLeft, containerLedger, type LedgerEntry, type LedgerTake } from '../../core/kit/containerLedger'
import { checkAge, instrumentCorrection, type InstrumentCheck } from '../../core/kit/instrumentCorrection'
import { setupWarnings } from '../../core/kit/setupWarnings'

const DAY = 86_400_000
const check = (kind: InstrumentCheck['kind'], reading: number, truth: number, day = 0): InstrumentCheck => ({
  kind,
  reading,
  truth,
  atMs: day * DAY,
})

describe('an instrument’s checks', () => {
  // By hand; the two fixed points of a thermometer are common practice (ice point 0 °C, boiling point of the pressure).
  it('one point is an offset, two are a line, and only what came before counts', () => {
    const ice = check('icePoint', 0.4, 0, 1)
    expect(instrumentCorrection(20, 'temperature', [ice], 2 * DAY)).toBeCloseTo(-0.4, 12)
    expect(instrumentCorrection(20, 'temperature', [ice], 0)).toBe(0)
    const both = [ice, check('boilingPoint', 98.4, 99.4, 1)]
    expect(instrumentCorrection(0.4, 'temperature', both, 2 * DAY)).toBeCloseTo(-0.4, 12)
    expect(instrumentCorrection(98.4, 'temperature', both, 2 * DAY)).toBeCloseTo(1, 12)
    expect(instrumentCorrection(49.4, 'temperature', both, 2 * DAY)).toBeCloseTo(0.3, 12)
    expect(instrumentCorrection(20, 'temperature', [ice, check('icePoint', -0.2, 0, 3)], 4 * DAY)).toBeCloseTo(0.2, 12)
  })

  it('a scale and a wind meter are corrected in proportion: nothing stays nothing, and a difference is right whatever the tare', () => {
    const weight = check('checkWeight', 0.201, 0.2)
    const right = (kg: number) => kg + instrumentCorrection(kg, 'mass', [weight], DAY)
    expect(right(0)).toBe(0)
    expect(right(0.201)).toBeCloseTo(0.2, 12)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (tare, load) => {
          expect(right(tare + load) - right(tare)).toBeCloseTo(right(load), 9)
        },
      ),
    )
    expect(instrumentCorrection(0, 'wind', [check('beside', 2.1, 2)], DAY)).toBeCloseTo(0, 12)
  })

  it('says how old the last check is, and by how much overdue', () => {
    expect(checkAge([check('icePoint', 0, 0, 10)], 90, 121 * DAY)).toEqual({ days: 111, overdueDays: 21 })
    expect(checkAge([check('icePoint', 0, 0, 10)], null, 121 * DAY)).toEqual({ days: 111, overdueDays: null })
    expect(checkAge([], 90, DAY)).toEqual({ days: null, overdueDays: null })
  })
})

describe('a container’s ledger', () => {
  const entry = (kind: LedgerEntry['kind'], massG: number, day: number): LedgerEntry => ({
    id: `${kind}${day}`,
    kind,
    massKg: massG / 1000,
    atMs: day * DAY,
  })
  const take = (usedG: number | null, day: number): LedgerTake => ({
    runId: `r${day}`,
    usedKg: usedG === null ? null : usedG / 1000,
    atMs: day * DAY,
  })

  it('by hand: full at 210 g with 110 g in it, two runs, a weighing that finds 2 g gone', () => {
    const ledger = containerLedger(
      [entry('full', 210, 0), entry('weighed', 190, 3)],
      [take(8.6, 1), take(9.4, 2), take(10, 4)],
      { tareKg: null, fullKg: 0.11 },
    )
    expect(ledger.tareFrom).toBe('full')
    expect(ledger.tareKg!).toBeCloseTo(0.1, 12)
    expect(ledger.lines.map((line) => Math.round(line.fillKg! * 1e4) / 10)).toEqual([110, 101.4, 92, 90, 80])
    expect(ledger.lines[3]!.unexplainedKg!).toBeCloseTo(-0.002, 12)
  })

  it('a run whose fuel was not weighed leaves the fill unknown until the next weighing; an empty weighing beats any tare', () => {
    const ledger = containerLedger([entry('full', 380, 0), entry('weighed', 300, 2)], [take(null, 1)], {
      tareKg: 0.15,
      fullKg: null,
    })
    expect(ledger.lines.map((line) => line.fillKg)).toEqual([expect.closeTo(0.23, 9), null, expect.closeTo(0.15, 9)])
    expect(
      containerLedger([entry('full', 380, 0), entry('empty', 148, 5)], [], { tareKg: 0.15, fullKg: null }),
    ).toMatchObject({ tareFrom: 'empty', tareKg: 0.148, fillKg: 0 })
    expect(containerLedger([entry('weighed', 300, 0)], [], { tareKg: null, fullKg: null }).fillKg).toBeNull()
  })

  it('law: what is in it is never below nothing, and weighings apart what runs took adds up', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.1, max: 40, noNaN: true }), { maxLength: 20 }), (used) => {
        const ledger = containerLedger(
          [entry('full', 380, 0)],
          used.map((grams, i) => take(grams, i + 1)),
          { tareKg: 0.15, fullKg: null },
        )
        expect(ledger.fillKg!).toBeCloseTo(Math.max(0, 0.23 - used.reduce((sum, grams) => sum + grams, 0) / 1000), 9)
      }),
    )
  })

  it('boils left: the mean, and a range by twice the scatter', () => {
    expect(boilsLeft(0.1, [0.009, 0.011])).toMatchObject({ about: expect.closeTo(10, 9), n: 2 })
    expect(boilsLeft(0.1, [0.009, 0.011])!.from).toBeLessThan(10)
    expect(boilsLeft(null, [0.01])).toBeNull()
    expect(boilsLeft(0.1, [])).toBeNull()
  })
})

// Common practice, no published source: what every practitioner repeats.
describe('warnings', () => {
  const parts = {
    burner: { kind: 'canister-top' as const, supportM: 0.1 },
    pot: { diameterM: 0.12 },
    stand: null,
    screened: false,
  }
  it('a windscreen round a burner on its canister, and not round one on a hose', () => {
    expect(setupWarnings({ ...parts, screened: true }).map((one) => one.code)).toEqual(['screen-round-canister'])
    expect(setupWarnings({ ...parts, burner: { kind: 'integrated', supportM: null }, screened: true })).toHaveLength(1)
    expect(setupWarnings({ ...parts, burner: { kind: 'remote-gas', supportM: null }, screened: true })).toEqual([])
  })

  it('a pot wider than its stand; silent where a width is not known', () => {
    expect(setupWarnings({ ...parts, stand: { supportM: 0.11 } }).map((one) => one.code)).toEqual([
      'pot-wider-than-stand',
    ])
    expect(setupWarnings({ ...parts, stand: { supportM: null } })).toEqual([])
    expect(setupWarnings({ ...parts, pot: { diameterM: 0.21 } }).map((one) => one.code)).toEqual(['pot-wide-on-burner'])
  })

  it('every fuel belongs to some burner, and white gas in an alcohol burner is explained', () => {
    for (const fuel of FUEL_KINDS)
      expect(
        BURNER_KINDS.some((burner) => burnerFuelMismatch(burner, fuel) === null),
        fuel,
      ).toBe(true)
    expect(burnerFuelMismatch('alcohol', 'white-gas')).toMatch(/flares/)
    expect(burnerFuelMismatch('canister-top', 'methanol')).toMatch(/do not belong together/)
    expect(burnerFuelMismatch('alcohol', null)).toBeNull()
  })
})
