/** The set-up's flame: fitted, it gives back what made the runs; unfitted it is its class; and no prior rules own runs. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { benchRates, type BurnRate } from '../../core/flame/benchRates'
import { flamePriors, type FlamePriors } from '../../core/flame/flameClass'
import { fitFlame } from '../../core/flame/flameFit'
import { THETA, type FlameRow } from '../../core/flame/flameRow'
import { heatingTime } from '../../core/heating/heatingTime'
import { aimTemperature, ownConditions } from '../../core/normalise/heatRun'
import { heatingIn } from '../../core/normalise/runHeating'
import {
  choleskyFactor,
  inverseFromFactor,
  quadraticForm,
  rowsOf,
  solveInPlace,
  times,
} from '../../core/numeric/cholesky'
import { seededRandom } from '../../core/simulate/random'
import { PLAIN_RUN as BASE } from './plainRun'

const TRUE = { v0MS: 3.4, windPower: 1.3, flamePower: 0.7, lnHeat: Math.log(850), kgPerS: 4.5e-5 }

/** A run of the true flame, its time by the model, its heat off by e. */
function burned(windMS: number, valve = 1, e = 0): FlameRow {
  const q0W = (Math.exp(TRUE.lnHeat + e) * valve ** TRUE.flamePower) / (1 + (windMS / TRUE.v0MS) ** TRUE.windPower)
  const run = { ...BASE, windMS }
  const own = ownConditions(run)
  const heatS = heatingTime(q0W, heatingIn(run, own, aimTemperature(run, own)))
  return {
    run: { ...run, heatS, fuelKg: TRUE.kgPerS * valve * heatS },
    windMS,
    altitudeKm: 0,
    isOpen: false,
    volume: 0,
    weighedLossKg: null,
    inputs: [
      { u: 0.5, scale: 'reading', move: (x, by) => (x.startC += by), putBack: (x, from) => (x.startC = from.startC) },
    ],
  }
}
const described = (head: 'exposed' | 'sheltered' | null) =>
  ({
    burner: { kind: 'canister-top', head },
    screen: 'none',
    pot: { massKg: null, material: null, diameterM: null, finned: false },
  }) as const
const PRIORS = flamePriors(described('sheltered'), { isGas: true, lossU: null })
const many = (e: () => number) =>
  [0, 1.2, 2.4, 3.6, 5].flatMap((wind) => [0.7, 1, 1.3].map((valve) => burned(wind, valve, e())))

describe('the flame’s fit', () => {
  it('gives back what made its runs, and is the surer the more of them there are', () => {
    const fit = fitFlame(
      many(() => 0),
      PRIORS,
      [],
    )
    expect(Math.exp(fit.theta[THETA.lnV0]!)).toBeCloseTo(TRUE.v0MS, 0)
    expect(fit.theta[THETA.flamePower]!).toBeCloseTo(TRUE.flamePower, 1)
    expect(Math.max(...fit.rows.map(({ residual }) => Math.abs(residual)))).toBeLessThan(0.01)
    const few = fitFlame([burned(0), burned(2.4)], PRIORS, [])
    expect(fit.covariance[THETA.lnV0]![THETA.lnV0]!).toBeLessThan(0.2 * few.covariance[THETA.lnV0]![THETA.lnV0]!)
  })

  it('of no run, and of one in calm, is its class', () => {
    for (const rows of [[], [burned(0)]]) {
      const { theta, covariance, sigma } = fitFlame(rows, PRIORS, [])
      expect(Math.exp(theta[THETA.lnV0]!)).toBeCloseTo(4.2, 9)
      expect(Math.sqrt(covariance[THETA.lnV0]![THETA.lnV0]!)).toBeCloseTo(Math.log(1.4), 6)
      expect(sigma).toBeCloseTo(0.02, 3)
    }
  })

  it('finds how far the flame repeats', () => {
    const { normal } = seededRandom(3)
    const rows = Array.from({ length: 40 }, (_, i) => burned([0, 1.5, 3][i % 3]!, 1, 0.05 * normal()))
    const { sigma } = fitFlame(rows, PRIORS, [])
    expect(sigma).toBeGreaterThan(0.035)
    expect(sigma).toBeLessThan(0.065)
  })

  it('priors a factor of 1.5 off do not move a set-up with own windy runs by more than its uncertainty', () => {
    const { normal } = seededRandom(5)
    const rows = many(() => 0.02 * normal())
    const at = (factor: number) => {
      const lnV0 = { ...PRIORS.lnV0, mean: PRIORS.lnV0.mean + Math.log(factor) }
      const flamePower = { ...PRIORS.flamePower, mean: PRIORS.flamePower.mean + (factor > 1 ? 0.1 : -0.1) }
      const priors: FlamePriors = { ...PRIORS, lnV0, flamePower }
      const { theta, covariance } = fitFlame(rows, priors, [])
      return { lnV0: theta[THETA.lnV0]!, u: Math.sqrt(covariance[THETA.lnV0]![THETA.lnV0]!) }
    }
    const [low, middle, high] = [at(1 / 1.5), at(1), at(1.5)]
    expect(Math.abs(low.lnV0 - middle.lnV0)).toBeLessThan(middle.u)
    expect(Math.abs(high.lnV0 - middle.lnV0)).toBeLessThan(middle.u)
  })

  it('what water was weighed tells an open pot’s evaporation', () => {
    const open = (weighedLossKg: number | null): FlameRow => {
      const row = burned(0)
      return { ...row, isOpen: true, weighedLossKg, run: { ...row.run, evaporationScale: 1 } }
    }
    const [unweighed, much, little] = [null, 0.012, 0.0005].map((kg) =>
      fitFlame([open(kg), open(kg), open(kg)], PRIORS, []),
    )
    const transfer = (fit: typeof unweighed) => fit!.theta[THETA.lnTransfer]!
    expect(transfer(much)).toBeGreaterThan(transfer(unweighed) + 0.2)
    expect(transfer(little)).toBeLessThan(transfer(unweighed) - 0.2)
  })
})

describe('the bench burn rate', () => {
  const rate = (gPerMin: number, change: Partial<BurnRate> = {}): BurnRate => ({
    setting: null,
    lnKgPerS: Math.log(gPerMin / 60_000),
    isBench: true,
    isFull: false,
    ...change,
  })
  const of = (rates: BurnRate[], setting: string | null = null) => {
    const bench = benchRates(rates).of(setting)
    return bench === null ? null : [60_000 * Math.exp(bench.lnKgPerS), bench.n]
  }

  it('is the geometric mean of three calm runs or more of a setting, and of the fullest where there are three', () => {
    expect(of([rate(2), rate(2.1)])).toBeNull()
    expect(of([rate(2), rate(2.1), rate(2.2)])![0]).toBeCloseTo(Math.cbrt(2 * 2.1 * 2.2), 9)
    const full = [3, 3.1, 3.2].map((one) => rate(one, { isFull: true }))
    expect(of([...full, rate(2.4), rate(2.3)])).toEqual([expect.closeTo(Math.cbrt(3 * 3.1 * 3.2), 9), 3])
    expect(of([rate(2), rate(2.1), rate(2.2, { isBench: false })])).toBeNull()
  })

  it('of settings that nobody named, far apart, is none; named they are two', () => {
    const [low, high] = [
      [1, 1.02, 1.04],
      [2, 2.04, 2.08],
    ] as const
    expect(of([...low, ...high].map((one) => rate(one)))).toBeNull()
    const named = [
      ...low.map((one) => rate(one, { setting: 'low' })),
      ...high.map((one) => rate(one, { setting: 'full' })),
    ]
    expect(of(named, 'low')![0]).toBeCloseTo(1.02, 3)
    expect(of(named, 'full')![0]).toBeCloseTo(2.04, 3)
  })
})

describe('Cholesky', () => {
  it('law: the factor gives the matrix back, the inverse undoes it, and a semidefinite matrix has columns of nought', () => {
    const rows = fc.array(fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 4, maxLength: 4 }), {
      minLength: 4,
      maxLength: 4,
    })
    fc.assert(
      fc.property(rows, (half) => {
        const matrix = rowsOf(
          half.map((a, i) => half.map((b, k) => a.reduce((sum, x, n) => sum + x * b[n]!, i === k ? 1 : 0))),
        )
        const lower = choleskyFactor(matrix)
        lower.forEach((row, i) =>
          lower.forEach((other, k) =>
            expect(row.reduce((sum, x, n) => sum + x * other[n]!, 0)).toBeCloseTo(matrix[i]![k]!, 8),
          ),
        )
        const inverse = inverseFromFactor(lower)
        const v = Float64Array.from(half[0]!)
        times(inverse, times(matrix, v)).forEach((x, i) => expect(x).toBeCloseTo(v[i]!, 6))
        solveInPlace(lower, v.slice()).forEach((x, i) => expect(x).toBeCloseTo(times(inverse, v)[i]!, 8))
        expect(quadraticForm(inverse, v)).toBeGreaterThanOrEqual(0)
      }),
    )
    expect(
      choleskyFactor(
        rowsOf([
          [4, 2],
          [2, 1],
        ]),
      ).map((row) => [...row]),
    ).toEqual([
      [2, 0],
      [1, 0],
    ])
  })
})
