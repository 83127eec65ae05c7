/**
 * Statistics held against scipy, GUM's worked example and facts of the trade; statistics.json is made by
 * make-statistics.py beside it.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compareArms, pooledScatter, type Arm } from '../../core/statistics/compareArms'
import { judgeClaim } from '../../core/statistics/claim'
import { factorEffects } from '../../core/statistics/factors'
import { crossings, flameLine, lineAt, thriftiestSetting } from '../../core/statistics/flameLine'
import { akaikeSmallSample, leastSquares, straightLine } from '../../core/statistics/leastSquares'
import { likeWithLike } from '../../core/statistics/likeWithLike'
import { compactLetters, holm, rankArms } from '../../core/statistics/manyArms'
import { detectableDifference, powerOf, replicatesNeeded } from '../../core/statistics/power'
import { grubbsCritical, replicates } from '../../core/statistics/replicates'
import { studentTwoSided } from '../../core/statistics/student'
import { combined, propagate, sharedEffects, type UncertainInput } from '../../core/uncertainty/propagate'
import jstat from 'jstat'
import made from '../reference/statistics.json'

const close = (got: number, expected: number, relative = 1e-6) =>
  expect(Math.abs(got / expected - 1), `${got} is not ${expected}`).toBeLessThan(relative)
const arm = (name: string, values: readonly number[]): Arm => ({ name, runs: values.map((gPerL) => ({ gPerL })) })

describe('lines (scipy, numpy)', () => {
  const { x, y, straight, quadratic, linregress } = made.ols
  it('straight and quadratic: coefficients, their errors, RSS and AICc', () => {
    for (const [fit, expected] of [
      [
        leastSquares(
          x.map((v) => [1, v]),
          y,
        )!,
        straight,
      ],
      [
        leastSquares(
          x.map((v) => [1, v, v * v]),
          y,
        )!,
        quadratic,
      ],
    ] as const) {
      fit.coefficients.forEach((b, i) => close(b, expected.coefficients[i]!, 1e-8))
      fit.unscaledCovariance.forEach((row, i) =>
        close(Math.sqrt((row[i]! * fit.residualSumOfSquares) / fit.freedom), expected.se[i]!, 1e-8),
      )
      close(fit.residualSumOfSquares, expected.rss, 1e-8)
      close(fit.aicc!, expected.aicc, 1e-8)
    }
    const line = straightLine(x, y)!
    close(line.slope, linregress[0]!)
    close(Math.sqrt(line.residualSumOfSquares / (x.length - 2) / line.spread), linregress[2]!)
    close(studentTwoSided(line.slope / linregress[2]!, x.length - 2), linregress[3]!, 1e-5)
  })

  it('a flame-setting line takes the bend that AICc asks for, with its band', () => {
    const line = flameLine(x.map((burnRateGPerMin, i) => ({ burnRateGPerMin, gPerL: y[i]! })))!
    expect(line.degree).toBe(straight.aicc - quadratic.aicc > 2 ? 2 : 1)
    const { band } = lineAt(line, x[3]!)
    band!.forEach((edge, i) => close(edge, quadratic.bandAtFourth[i]!, 1e-7))
    expect(thriftiestSetting(line)).toBe(x[0])
  })

  it('four runs draw no line, five a straight one, and two lines cross where their equations say', () => {
    const points = (slope: number, at0: number, n = 5) =>
      Array.from({ length: n }, (_, i) => ({
        burnRateGPerMin: 1 + i / 2,
        gPerL: at0 + slope * (1 + i / 2) + (i % 2) * 1e-3,
      }))
    expect(flameLine(points(1, 10, 4))).toBeNull()
    const [steep, flat] = [flameLine(points(2, 10))!, flameLine(points(0.5, 13))!]
    expect([steep.degree, crossings(steep, flat).length]).toEqual([1, 1])
    close(crossings(steep, flat)[0]!, 2, 1e-3)
    expect(flameLine(Array.from({ length: 6 }, () => ({ burnRateGPerMin: 2, gPerL: 12 })))).toBeNull()
  })

  it('AICc is not given where the sample is too small for it', () => expect(akaikeSmallSample(4, 3, 1)).toBeNull())
})

describe('two arms and many (scipy; Holm by its definition)', () => {
  const { a, b, t, p, df, ratio, ci, paired } = made.welch
  it('Welch on logarithms: t, p, freedom, ratio and interval', () => {
    const verdict = compareArms([arm('plain', a), arm('felt', b)], { pooled: null })
    expect(verdict).toMatchObject({ by: 'welch', says: 'less', text: 'felt used 8.4 % less fuel (5.1 to 12 %).' })
    close(verdict.p!, p, 1e-5)
    close(verdict.freedom!, df)
    close(verdict.ratio!, ratio)
    verdict.ci95!.forEach((edge, i) => close(edge, ci[i]!))
    close(Math.abs(Math.log(verdict.ratio!)) / (Math.abs(Math.log(ratio)) / t), t)
  })

  it('burned in the same blocks, they are compared in pairs', () => {
    const blocked = (name: string, values: readonly number[]) => ({
      name,
      runs: values.map((gPerL, i) => ({ gPerL, block: `morning ${i}` })),
    })
    const verdict = compareArms([blocked('plain', a), blocked('felt', b.slice(0, 4))], { pooled: null })
    expect(verdict.by).toBe('paired')
    close(verdict.p!, paired[1]!, 1e-5)
  })

  it('with fewer than four runs the bench’s pooled scatter stands in, or nothing is said', () => {
    const [few, other] = [arm('few', [14.2, 13.8]), arm('other', [13.9, 14.3])]
    expect(compareArms([few, other], { pooled: null })).toMatchObject({ says: 'tooFew', ratio: null })
    const verdict = compareArms([few, other], {
      pooled: pooledScatter([few, other, arm('third', [12, 12.4, 12.1, 12.2])]),
    })
    expect(verdict).toMatchObject({ by: 'pooled', says: 'none' })
    expect(verdict.text).toMatch(/^No difference shown\. Two runs each could show \d/)
  })

  it('what both arms share cancels, and what one has alone does not', () => {
    const shared = (name: string, cause: string) => ({
      name,
      runs: a.map((gPerL) => ({ gPerL, shared: { [cause]: 0.05 * gPerL } })),
    })
    const alike = compareArms([shared('one', 'loss'), shared('two', 'loss')], { pooled: null })
    const apart = compareArms([shared('one', 'loss'), shared('two', 'wind class')], { pooled: null })
    expect(alike.ci95![1]).toBeLessThan(1.06)
    expect(apart.ci95![1]).toBeGreaterThan(1.12)
  })

  it('Holm’s adjustment', () => holm(made.holm.p).forEach((one, i) => close(one, made.holm.adjusted[i]!)))

  it('letters: arms share one exactly when they are not shown to differ', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 7 })
          .chain((n) =>
            fc.tuple(
              fc.constant(n),
              fc.subarray(
                Array.from({ length: n }, (_, i) =>
                  Array.from({ length: n - i - 1 }, (__, j): [number, number] => [i, i + 1 + j]),
                ).flat(),
              ),
            ),
          ),
        ([n, differs]) => {
          const letters = compactLetters(n, differs)
          for (let i = 0; i < n; i++) {
            for (let j = i + 1; j < n; j++) {
              const share = [...letters[i]!].some((one) => letters[j]!.includes(one))
              expect(share).toBe(!differs.some(([a, b]) => a === i && b === j))
            }
          }
        },
      ),
    )
    const ranking = rankArms([
      arm('wide', [16, 16.3, 15.8, 16.1]),
      arm('finned', [9.9, 10.2, 10, 10.1]),
      arm('narrow', [16.1, 15.9, 16.4, 16.2]),
    ])
    expect(ranking.arms.map(({ name, letters }) => [name, letters])).toEqual([
      ['finned', 'a'],
      ['wide', 'b'],
      ['narrow', 'b'],
    ])
  })
})

describe('repeats (scipy; ISO 5725-2 and Grubbs’ tables)', () => {
  it('Grubbs’ critical values, an outlier pointed at from five runs on, drift in order', () => {
    for (const [n, critical] of made.grubbs) close(grubbsCritical(n!), critical!)
    expect(replicates([12.1, 12.3, 12.2, 14.9]).outlier).toBeNull()
    expect(replicates([12.1, 12.3, 12.2, 12.25, 14.9]).outlier).toMatchObject({ index: 4 })
    expect(replicates([12, 12.2, 12.4, 12.61, 12.8]).drift!.perRun).toBeCloseTo(0.2, 2)
    expect(replicates([12.1])).toMatchObject({ sd: null, ci95: null })
  })

  it('the noncentral t', () => {
    for (const [x, df, nc, cdf] of made.noncentralT) expect(jstat.noncentralt.cdf(x!, df!, nc!)).toBeCloseTo(cdf!, 7)
  })

  // Source: the method's own table, and scipy: CV 3 %, 5 % → 8; 4 %, 5 % → 12; 5 %, 10 % → 6; 3 %, 9 % → 4.
  it('replicates needed, their power, and the difference so many can show', () => {
    for (const [cv, difference, n, power] of made.replicates) {
      expect(replicatesNeeded(cv!, difference!)).toBe(n)
      expect(powerOf(n!, cv!, difference!)).toBeCloseTo(power!, 3)
      expect(detectableDifference(n!, cv!)).toBeLessThanOrEqual(difference!)
    }
    expect(replicatesNeeded(0.3, 0.01)).toBeNull()
  })
})

describe('factors, claims, like with like', () => {
  const effect = { lid: 0.94, fins: 0.69 }
  const runs = Array.from({ length: 16 }, (_, i) => {
    const [lid, finned] = [i % 2 === 1, (i >> 1) % 2 === 1]
    return {
      gPerL: 15 * (lid ? effect.lid : 1) * (finned ? effect.fins : 1) * (1 + 0.004 * Math.sin(7 * i)),
      factors: { lid: lid ? 'on' : 'off', pot: finned ? 'finned' : 'plain' },
    }
  })
  // Facts of the trade (common practice, no source): a lid saves 5–7 %, fins 25–40 %.
  it('finds what a lid and fins do, and says so in words', () => {
    const { effects, text, aliased } = factorEffects(runs)!
    const change = (level: string, base: string) =>
      effects.find((one) => one.level === level && one.base === base)?.change
    expect(change('on', 'off')).toBeCloseTo(-0.06, 2)
    expect(change('plain', 'finned') ?? -(change('finned', 'plain')! / (1 + change('finned', 'plain')!))).toBeCloseTo(
      0.45,
      1,
    )
    expect(aliased).toEqual([])
    expect(text.join(' ')).toMatch(/lid on: −6\.\d %/)
  })

  it('two parts that changed together are called so', () => {
    const { aliased, text } = factorEffects(
      runs.map((run) => ({ ...run, factors: { ...run.factors, felt: run.factors.lid === 'on' ? 'with' : 'without' } })),
    )!
    expect(aliased).toEqual([['felt', 'lid']])
    expect(text).toContain('felt and lid changed together. Cannot say which.')
  })

  it('a claim is met, missed, or decided by what is not stated', () => {
    expect(judgeClaim(15, [{ taken: null, gPerL: 14.6, u: 0.3 }]).says).toBe('met')
    expect(judgeClaim(12, [{ taken: null, gPerL: 14.6, u: 0.3 }]).text).toBe(
      'Missed: claimed 12.0 g/L, measured 14.6 ± 0.6 g/L there.',
    )
    expect(judgeClaim(14.3, [{ taken: null, gPerL: 14.6, u: 0.3 }]).says).toBe('cannotSay')
    expect(
      judgeClaim(14.6, [
        { taken: 'start 10 °C', gPerL: 16, u: 0.3 },
        { taken: 'start 25 °C', gPerL: 13.2, u: 0.3 },
      ]).text,
    ).toContain('start 10 °C or start 25 °C')
  })

  it('like with like: clean, corrected for, or confounded', () => {
    const run = (armName: string, values: object) => ({
      arm: armName,
      normalised: true,
      values: { origin: 'measured', stand: 'wire', startC: 12, observer: 'Odra', ...values },
    })
    expect(likeWithLike([run('a', {}), run('b', {})], ['screen'])).toEqual({ grade: 'clean', differences: [] })
    expect(likeWithLike([run('a', {}), run('b', { startC: 19 })], ['screen']).grade).toBe('corrected')
    expect(likeWithLike([run('a', {}), run('b', { stand: 'plate' })], ['screen'])).toMatchObject({
      grade: 'confounded',
      differences: [{ what: 'stand', text: 'Stand changed with the question (wire, plate). Cannot say which.' }],
    })
    expect(
      likeWithLike(
        [run('a', {}), run('a', { observer: 'Tam' }), run('b', { observer: 'Tam' }), run('b', {})],
        ['screen'],
      ).grade,
    ).toBe('clean')
    expect(likeWithLike([run('a', {}), run('b', { stand: 'plate' })], ['stand']).grade).toBe('clean')
  })
})

describe('uncertainty', () => {
  const input = <X>(name: keyof X & string, u: number, sharedBy: string | null = null): UncertainInput<X> => ({
    name,
    u,
    sharedBy,
    touches: [name],
    move: (x, by) => {
      ;(x[name] as number) += by
    },
  })

  // Source: JCGM 100:2008, example H.1 (end-gauge calibration): the combined standard uncertainty is 32 nm.
  it('GUM H.1: 32 nm', () => {
    interface Gauge {
      standardNm: number
      differenceNm: number
      alpha: number
      theta: number
      deltaAlpha: number
      deltaTheta: number
    }
    const length = (x: Gauge) => [
      x.standardNm + x.differenceNm - x.standardNm * (x.deltaAlpha * x.theta + x.alpha * x.deltaTheta),
    ]
    const gauge: Gauge = {
      standardNm: 50_000_623,
      differenceNm: 215,
      alpha: 11.5e-6,
      theta: -0.1,
      deltaAlpha: 0,
      deltaTheta: 0,
    }
    const got = propagate(length, gauge, [
      input('standardNm', 25),
      input('differenceNm', 9.7),
      input('alpha', 1.2e-6),
      input('theta', 0.41),
      input('deltaAlpha', 0.58e-6),
      input('deltaTheta', 0.029),
    ])
    expect(combined(got, 0).u).toBeCloseTo(31.7, 1)
    expect(combined(got, 0).value).toBeCloseTo(50_000_838, 0)
  })

  it('agrees with python3-uncertainties where nearly linear, and shared parts cancel as there', () => {
    const x = { m: 8.6, t: 260, d: 84.98 }
    const got = propagate(({ m, t, d }) => [(m * 80) / d, (m / t) * 60, Math.exp(m / 10) * Math.log(t)], x, [
      input<typeof x>('m', 0.06),
      input<typeof x>('t', 2.9),
      input<typeof x>('d', 0.5),
    ])
    made.uncertainties.forEach(([, value, u], i) => {
      close(combined(got, i).value, value as number, 1e-9)
      close(combined(got, i).u, u as number, 1e-3)
    })
    const readings = { one: 10, two: 12, offset: 0 }
    const pair = propagate(
      ({ one, two, offset }) => [two + offset - (one + offset), (one + two) / 2 + offset],
      readings,
      [
        input<typeof readings>('one', 0.1),
        input<typeof readings>('two', 0.1),
        input<typeof readings>('offset', 0.2, 'thermometer'),
      ],
    )
    close(combined(pair, 0).u, made.sharedOffset.difference)
    close(combined(pair, 1).u, made.sharedOffset.mean)
    expect(sharedEffects(pair, 1)).toEqual({ thermometer: expect.closeTo(0.2, 9) })
  })
})
