/** The heating model against numerical integration, its own inverse, and its limits. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { evaporationFrom, evaporationPower } from '../../core/heating/evaporation'
import { heatingTime, stallTemperature, type Heating } from '../../core/heating/heatingTime'
import { heatFlowFromTime } from '../../core/heating/heatFlow'
import { findRoot } from '../../core/numeric/findRoot'
import { gaussLegendre } from '../../core/numeric/gaussLegendre'
import { proofs } from '../proofs'

const base: Heating = {
  startC: 9.2,
  endC: 96.84,
  airC: 11,
  capacityJPerK: 2035,
  lossWPerK: 0.35,
  thetaK: 1280,
  evaporation: null,
  vapourW: 0,
  meltJ: 0,
}

/** Plain fourth-order Runge–Kutta on the differential equation: shares nothing with the closed form. */
function integrated(q0W: number, h: Heating, stepS = 0.05): number {
  const rate = (T: number) =>
    (q0W * (1 - (T - h.airC) / h.thetaK) -
      h.lossWPerK * (T - h.airC) -
      (h.evaporation === null ? 0 : evaporationPower(h.evaporation, T))) /
    h.capacityJPerK
  let T = h.startC
  for (let t = 0; t < 200_000; t += stepS) {
    const k1 = rate(T),
      k2 = rate(T + (stepS * k1) / 2),
      k3 = rate(T + (stepS * k2) / 2),
      k4 = rate(T + stepS * k3)
    const next = T + (stepS * (k1 + 2 * k2 + 2 * k3 + k4)) / 6
    if (next >= h.endC) return t + (stepS * (h.endC - T)) / (next - T)
    T = next
  }
  return Infinity
}

const physical = fc
  .record({
    startC: fc.double({ min: 0, max: 60, noNaN: true }),
    riseK: fc.double({ min: 5, max: 95, noNaN: true }),
    airC: fc.double({ min: -40, max: 45, noNaN: true }),
    capacityJPerK: fc.double({ min: 100, max: 50_000, noNaN: true }),
    lossWPerK: fc.double({ min: 0, max: 5, noNaN: true }),
    thetaK: fc.double({ min: 600, max: 2000, noNaN: true }),
    timeS: fc.double({ min: 5, max: 86_400, noNaN: true }),
  })
  .map(({ riseK, timeS, ...rest }) => ({
    h: { ...rest, endC: rest.startC + riseK, evaporation: null, vapourW: 0, meltJ: 0 } as Heating,
    timeS,
  }))

describe('heating time', () => {
  it('is that of the differential equation, with a lid and without', () => {
    expect(heatingTime(824.7, base)).toBeCloseTo(integrated(824.7, base), 1)
    const surface = { areaM2: 0.0095, pressurePa: 90_510, airC: 11, humidity: 0.5, windMS: 0, windGrowthPerMS: 0.5 }
    const open = { ...base, evaporation: evaporationFrom(surface, 1) }
    for (const q0W of [355, 400, 900])
      expect(Math.abs(heatingTime(q0W, open) / integrated(q0W, open) - 1)).toBeLessThan(2e-5)
  })

  // Fact of the trade (common practice, no published source): a lid saves 5–7 %.
  it('a lid saves 5 to 7 % on a common pot at a common flame', () => {
    const surface = {
      areaM2: Math.PI * 0.0475 ** 2,
      pressurePa: 101_325,
      airC: 15,
      humidity: 0.5,
      windMS: 0,
      windGrowthPerMS: 0.5,
    }
    const lidded: Heating = { ...base, startC: 12, endC: 99.97, airC: 15, lossWPerK: 0.14 }
    for (const q0W of [560, 650, 720]) {
      const saved =
        1 - heatingTime(q0W, lidded) / heatingTime(q0W, { ...lidded, evaporation: evaporationFrom(surface, 1) })
      expect(saved).toBeGreaterThan(0.05)
      expect(saved).toBeLessThan(0.07)
    }
  })

  it('law: the heat flow found from a time gives that time back, for every physical input, near a stall too', () => {
    fc.assert(
      fc.property(physical, ({ h, timeS }) => {
        const flow = heatFlowFromTime(timeS, h)
        if (!flow.ok) {
          expect(flow.problem.code).toBe('heated-by-air')
          return
        }
        expect(flow.value.q0W).toBeGreaterThan(0)
        const stalledK = ((h.lossWPerK + flow.value.q0W / h.thetaK) * timeS) / h.capacityJPerK
        // Beyond e^-25 of surplus the time no longer fits into a double of q0; the margin itself still does.
        if (stalledK < 25) expect(heatingTime(flow.value.q0W, h) / timeS).toBeCloseTo(1, 4)
      }),
      { numRuns: proofs(3000) },
    )
  })

  it('law: a shorter time needs a stronger flame', () => {
    fc.assert(
      fc.property(physical, ({ h, timeS }) => {
        const slow = heatFlowFromTime(timeS, h),
          fast = heatFlowFromTime(timeS * 0.9, h)
        if (slow.ok && fast.ok) expect(fast.value.q0W).toBeGreaterThanOrEqual(slow.value.q0W)
      }),
    )
  })

  it('law: as all losses vanish the time is C·ΔT/q0', () => {
    for (const small of [1e-3, 1e-6, 1e-9, 0]) {
      const h = { ...base, lossWPerK: small, thetaK: small === 0 ? Infinity : 1 / small }
      expect(heatingTime(800, h) / ((h.capacityJPerK * (h.endC - h.startC)) / 800) - 1).toBeLessThan(
        2000 * small + 1e-12,
      )
    }
  })

  it('stalls where loss meets flame, and says how hot', () => {
    const stallC = stallTemperature(20, base)
    expect(stallC).toBeLessThan(base.endC)
    expect(heatingTime(20, { ...base, endC: stallC - 0.01 })).toBeLessThan(Infinity)
    expect(heatingTime(20, { ...base, endC: stallC + 0.01 })).toBe(Infinity)
  })

  it('says so when the air alone explains the time', () => {
    expect(heatFlowFromTime(86_400, { ...base, startC: 5, endC: 10, airC: 45 })).toMatchObject({
      ok: false,
      problem: { code: 'heated-by-air' },
    })
  })
})

// The method: evaporation from an open pot takes 5–20 % of the useful heat, at 750–250 W of it.
describe('open pot', () => {
  it.each([
    [750, 0.05],
    [250, 0.2],
  ])('at %d W into the water evaporation takes about %d of it', (usefulW, stated) => {
    const surface = {
      areaM2: Math.PI * 0.0475 ** 2,
      pressurePa: 101_325,
      airC: 20,
      humidity: 0.5,
      windMS: 0,
      windGrowthPerMS: 0.5,
    }
    const evaporation = evaporationFrom(surface, 1)
    const h: Heating = { ...base, startC: 15, endC: 99.97, airC: 20, evaporation }
    const sensibleJ = h.capacityJPerK * (h.endC - h.startC)
    const flow = heatFlowFromTime(sensibleJ / (usefulW * (1 - stated)), h)
    if (!flow.ok) throw new Error('no flow')
    const share = flow.value.evaporatedJ / (sensibleJ + flow.value.evaporatedJ)
    expect(share).toBeGreaterThan(stated * 0.7)
    expect(share).toBeLessThan(stated * 1.3)
  })
})

// Known answers: x² − 2 and Kepler’s equation E − 0.5 sin E = 1 (E = 1.49870113351785, from memory of standard tables;
// residual checked).
it('findRoot finds known roots', () => {
  expect(findRoot((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 14)
  const e = findRoot((x) => x - 0.5 * Math.sin(x) - 1, 0, 3)
  expect(e - 0.5 * Math.sin(e)).toBeCloseTo(1, 14)
  expect(e).toBeCloseTo(1.49870113351785, 12)
})

// Abramowitz, Stegun, Handbook of Mathematical Functions, table 25.4, n = 4 and 16 (from memory), on −1…1.
it('Gauss–Legendre looks where the handbook does', () => {
  const four = gaussLegendre(4)
  expect([...four.at].map((x) => 2 * x - 1)[3]).toBeCloseTo(0.861136311594053, 13)
  expect(2 * four.weights[3]!).toBeCloseTo(0.347854845137454, 13)
  const { at, weights } = gaussLegendre(16)
  expect(2 * at[8]! - 1).toBeCloseTo(0.0950125098376374, 13)
  expect(2 * weights[8]!).toBeCloseTo(0.1894506104550685, 13)
})
