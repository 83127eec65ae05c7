/** Wind at the pot, the winds that follow from a set-up's flame, and burns with gaps. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { windAtPot } from '../../core/air/wind'
import { windLimits } from '../../core/flame/flameLimits'
import { heatingTime, surplus } from '../../core/heating/heatingTime'
import { aimTemperature, type Conditions, type HeatRun } from '../../core/normalise/heatRun'
import { heatingIn } from '../../core/normalise/runHeating'
import { STANDARD_BENCH } from '../../core/normalise/reference'
import { burnsAndGaps, burnsOf, flameTimeBetween } from '../../core/run/burns'
import type { RunEvent } from '../../core/run/events'
import { PLAIN_RUN } from './plainRun'

describe('wind at the pot', () => {
  // Log law over open ground, z₀ = 0.03 m (any meteorology text): × 0.40 from 10 m to 0.3 m.
  it('a forecast at 10 m is brought down to the pot', () => {
    expect(windAtPot(10, 10)).toBeCloseTo(3.96, 2)
    expect(windAtPot(2, null)).toBe(2)
  })
})

const run: HeatRun = { ...PLAIN_RUN, waterKg: 0.473, startC: 14, airC: 15, v0MS: 3, windPower: 1.4, flamePower: 0.6 }

describe('the winds a tester asks about', () => {
  const at = (windMS: number): Conditions => ({
    startC: 20,
    pressurePa: 101_325,
    airC: 20,
    windMS,
    meltJ: 0,
    station: 4,
  })

  it('law: at the doubling wind it takes twice as long, at the stall wind nothing is left over, and doubling comes first', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 14, noNaN: true }),
        fc.double({ min: 150, max: 2500, noNaN: true }),
        fc.constantFrom(1, 1.5, 2),
        (v0MS, q0W, windPower) => {
          const windy = { ...run, v0MS, windPower }
          const { doublingMS, stallMS } = windLimits(windy, q0W, STANDARD_BENCH)
          const flow = (v: number) => q0W / (1 + (v / v0MS) ** windPower)
          const heating = (v: number) => heatingIn(windy, at(v), aimTemperature(windy, at(v)))
          if (stallMS !== null)
            expect(Math.abs(surplus(flow(stallMS), heating(stallMS).endC, heating(stallMS)))).toBeLessThan(1e-4)
          if (doublingMS === null) return
          expect(heatingTime(flow(doublingMS), heating(doublingMS)) / heatingTime(flow(0), heating(0))).toBeCloseTo(
            2,
            5,
          )
          if (stallMS !== null) expect(doublingMS).toBeLessThan(stallMS)
        },
      ),
    )
  })

  it('a flame that cannot boil in calm has neither', () =>
    expect(windLimits(run, 5, STANDARD_BENCH)).toEqual({ doublingMS: null, stallMS: null }))
})

describe('burns and gaps', () => {
  const kinds = ['lit', 'relit', 'potOn', 'flameOut', 'shutOff', 'gaveUp', 'rollingBoil'] as const
  const events = fc.array(fc.record({ kind: fc.constantFrom(...kinds), s: fc.integer({ min: 0, max: 2000 }) }), {
    maxLength: 12,
  })

  it('law: burns follow one another without overlap, and burns and gaps fill the time between two moments', () => {
    fc.assert(
      fc.property(events, fc.integer({ min: 0, max: 900 }), fc.integer({ min: 1, max: 900 }), (list, fromS, longS) => {
        const burns = burnsOf(list as RunEvent[])
        burns.forEach(({ startS, endS }, i) => {
          expect(endS === null || endS >= startS).toBe(true)
          if (i > 0) expect(burns[i - 1]!.endS! <= startS).toBe(true)
        })
        const spans = burnsAndGaps(burns, fromS, fromS + longS)
        expect(spans.length % 2).toBe(1)
        expect(spans.every((span) => span >= 0)).toBe(true)
        expect(spans.reduce((sum, span) => sum + span, 0)).toBeCloseTo(longS, 9)
        expect(flameTimeBetween(burns, fromS, fromS + longS)).toBeLessThanOrEqual(longS + 1e-9)
      }),
    )
  })

  it('a flame that went out and was lit again is two burns; only a relighting ends a gap', () => {
    const list: RunEvent[] = [
      { kind: 'potOn', s: 0 },
      { kind: 'flameOut', s: 280 },
      { kind: 'relit', s: 340 },
      { kind: 'shutOff', s: 562 },
    ]
    expect(burnsOf(list)).toEqual([
      { startS: 0, endS: 280 },
      { startS: 340, endS: 562 },
    ])
    expect(burnsAndGaps(burnsOf(list), 0, 560)).toEqual([280, 60, 220])
    // Shut off two seconds before the call: one moment, not a gap.
    expect(burnsAndGaps([{ startS: 0, endS: 226 }], 0, 228)).toEqual([228])
  })
})
