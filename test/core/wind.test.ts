/** Wind: the fit to a set-up's own runs, the winds that follow from it, and burns with gaps. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { windAtPot } from '../../core/air/wind'
import { heatingTime, surplus } from '../../core/heating/heatingTime'
import { aimTemperature, defaultEnthalpy, heatingIn, type Conditions, type HeatRun } from '../../core/normalise/heatRun'
import { STANDARD_BENCH } from '../../core/normalise/reference'
import { windGhost } from '../../core/normalise/windClass'
import { windLimits } from '../../core/normalise/windLimits'
import { distinctSpeeds, fitWind, type WindPoint } from '../../core/normalise/windSeries'
import { burnsAndGaps, burnsOf, flameTimeBetween } from '../../core/run/burns'
import type { RunEvent } from '../../core/run/events'
import { seededRandom } from '../../core/simulate/random'

const points = (speeds: readonly number[], ln: (v: number) => number, u = 0.01): WindPoint[] =>
  speeds.map((windMS) => ({ windMS, lnHeatPerFuel: ln(windMS), u }))

describe('wind series', () => {
  it('gives γ back exactly, with n = 1, and its uncertainty from the readings where nothing scatters', () => {
    const fit = fitWind(points([0, 0, 1.8, 1.8, 3.6, 3.6], (v) => 10 - 0.31 * v))!
    expect(fit).toMatchObject({ exponent: 1, basis: 'ownSeries' })
    expect(fit.gamma).toBeCloseTo(0.31, 12)
    // By hand: u/√Σ(v − mean)² = 0.01/√(2·(1.8² + 1.8²)) = 0.01/3.6.
    expect(fit.gammaU).toBeCloseTo(0.01 / 3.6, 9)
  })

  it('takes another exponent only where six runs at three speeds ask for it', () => {
    const curved = (v: number) => 10 - 0.1 * v ** 2
    const scatter = seededRandom(4)
    const noisy = (v: number) => curved(v) + 0.004 * scatter.normal()
    const six = fitWind(points([0, 0, 0, 1.8, 1.8, 1.8, 3.6, 3.6, 3.6], noisy))!
    expect(six.exponent).toBeGreaterThan(1.8)
    expect(six.exponent).toBeLessThan(2.2)
    expect(six.gamma * 3.6 ** six.exponent).toBeCloseTo(0.1 * 3.6 ** 2, 1)
    expect(fitWind(points([0, 0, 0, 3.6, 3.6, 3.6], curved))!.exponent).toBe(1)
    expect(fitWind(points([0, 1.8, 3.6], curved))!.exponent).toBe(1)
  })

  it('says nothing of one speed, however often it blew', () => {
    expect(fitWind(points([0, 0, 0.1, 0.2], () => 10))).toBeNull()
    expect(fitWind([])).toBeNull()
    expect(distinctSpeeds([0, 0.1, 1.8, 1.9, 3.6])).toBe(3)
  })

  it('law: in 95 of 100 noisy series about k = 2 of its uncertainty holds γ', () => {
    let held = 0
    for (let seed = 1; seed <= 200; seed++) {
      const { normal } = seededRandom(seed)
      const { gamma, gammaU, exponent } = fitWind(
        points([0, 0, 0, 0, 1.8, 1.8, 1.8, 3.6, 3.6, 3.6], (v) => 10 - 0.25 * v + 0.02 * normal(), 0.015),
      )!
      if (exponent === 1 && Math.abs(gamma - 0.25) <= 2 * gammaU) held++
    }
    expect(held).toBeGreaterThan(170)
  })

  // Log law over open ground, z₀ = 0.03 m (any meteorology text): × 0.40 from 10 m to 0.3 m.
  it('a forecast at 10 m is brought down to the pot', () => {
    expect(windAtPot(10, 10)).toBeCloseTo(3.96, 2)
    expect(windAtPot(2, null)).toBe(2)
  })

  it('an open wind rung shows where a class may lead, and nothing where no class is known', () => {
    const [low, high] = windGhost(20, 2, 0.21)!
    expect(low).toBeCloseTo(20 * Math.exp(-0.21 * 1.6 * 2), 9)
    expect(high).toBeCloseTo(20 * Math.exp((-0.21 / 1.6) * 2), 9)
    expect(windGhost(20, 2, null)).toBeNull()
  })
})

const run: HeatRun = {
  waterKg: 0.473,
  startC: 14,
  airC: 15,
  pressurePa: 101_000,
  windMS: 0,
  humidity: 0.5,
  belowBoilK: 0,
  targetC: null,
  reachedC: null,
  heatS: 240,
  leadS: 0,
  fuelKg: 0.01,
  potJPerK: 60,
  lidM2: 0.0075,
  sideM2: 0.02,
  closeCone: false,
  filmWPerM2K: 10,
  sideShare: 0.3,
  windSlopePerMS: 0.55,
  lossWPerK: null,
  thetaK: 1280,
  gamma: 0.3,
  windExponent: 1,
  meltJ: 0,
  supplyFactor: 1,
  evaporationScale: 0,
  lidVapourW: null,
  altitudeFactor: 1,
  lhvJPerKg: 45.7e6,
  enthalpy: defaultEnthalpy,
}

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
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 150, max: 2500, noNaN: true }),
        fc.constantFrom(1, 1.5, 2),
        (gamma, q0W, windExponent) => {
          const windy = { ...run, gamma, windExponent }
          const { doublingMS, stallMS } = windLimits(windy, q0W, STANDARD_BENCH)
          const flow = (v: number) => q0W * Math.exp(-gamma * v ** windExponent)
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
