/**
 * Statistics held against scipy, GUM's worked example and facts of the trade; statistics.json is made by
 * make-statistics.py beside it.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Arm } from '../../core/statistics/arms'
import { compareArms } from '../../core/statistics/compareArms'
import { priorScatter, USUAL_SCATTER } from '../../core/statistics/scatter'
import { proofs } from '../proofs'
import { seededRandom } from '../../core/simulate/random'
import { gPerLClaimed, judgeClaim, type Brought } from '../../core/statistics/claim'
import { factorEffects } from '../../core/statistics/factors'
import { crossings, flameLine, lineAt, thriftiestSetting } from '../../core/statistics/flameLine'
import { akaikeSmallSample, leastSquares, straightLine } from '../../core/statistics/leastSquares'
import { likeWithLike } from '../../core/statistics/likeWithLike'
import { repeatability, ringTest, robustMean } from '../../core/statistics/ringTest'
import { compactLetters, holm, rankArms } from '../../core/statistics/manyArms'
import {
  blocksNeeded,
  detectableDifference,
  powerOf,
  replicatesNeeded,
  shownByBlocks,
} from '../../core/statistics/power'
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
    const verdict = compareArms([arm('plain', a), arm('felt', b)])
    expect(verdict).toMatchObject({ by: 'welch', says: 'less', text: 'felt used 8.4 % less fuel; 5.1 to 12 % fits.' })
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
    const verdict = compareArms([blocked('plain', a), blocked('felt', b.slice(0, 4))])
    expect(verdict.by).toBe('paired')
    close(verdict.p!, paired[1]!, 1e-5)
  })

  it('with fewer than four runs the usual scatter helps, or the bench’s own from ten on; one each is answered, and says so', () => {
    const [few, other] = [arm('few', [14.2, 13.8]), arm('other', [13.9, 14.3])]
    const verdict = compareArms([few, other])
    expect(verdict).toMatchObject({ by: 'pooled', says: 'none', isAssumed: true })
    expect(verdict.freedom).toBeCloseTo(2 + USUAL_SCATTER.runs - 1, 9)
    expect(verdict.text).toMatch(
      /^No difference shown: \d.* % less to \d.* % more fits\. To see 5 %: \d+ runs each\. Two runs each: a scatter of 4 % from burn to burn is assumed\.$/,
    )
    const one = compareArms([arm('once', [14.2]), arm('other', [10])])
    expect(one).toMatchObject({ by: 'pooled', says: 'less', freedom: USUAL_SCATTER.runs - 1, detectable: null })
    expect(one.text).toContain('One run each: ')
    // Pooled by hand: √((9·0.02² + 4·0.05²)/13).
    const bench = priorScatter([
      { n: 10, mean: 10, sd: 0.2 },
      { n: 5, mean: 20, sd: 1 },
      { n: 1, mean: 9, sd: 0 },
    ])
    expect(bench).toMatchObject({ isAssumed: false, sd: expect.closeTo(0.032, 9) as number })
    expect(compareArms([few, other], { prior: bench })).toMatchObject({ isAssumed: false })
    expect(priorScatter([{ n: 9, mean: 10, sd: 0.2 }])).toBe(USUAL_SCATTER)
  })

  // The methods' own demand: nine intervals of ten hold the truth though burns scatter twice what is assumed.
  it.each([1, 2, 3])(
    'of %d runs each nine intervals of ten hold the truth, where burns scatter twice the usual',
    (n) => {
      const { normal } = seededRandom(20 + n)
      const draws = proofs(5000)
      let held = 0
      for (let i = 0; i < draws; i++) {
        const burned = (name: string) =>
          arm(
            name,
            Array.from({ length: n }, () => Math.exp(0.08 * normal())),
          )
        const [low, high] = compareArms([burned('one'), burned('two')]).ci95!
        if (low < 1 && high > 1) held++
      }
      expect(held / draws).toBeGreaterThan(0.9)
    },
  )

  it('a coarse scale knows nothing: three of 6 g and three of 7 g by steps of 1 g show no difference', () => {
    const weighed = (name: string, grams: readonly number[]): Arm => ({
      name,
      // Half a litre; two readings of resolution 1 g: √2/√12 g.
      runs: grams.map((g) => ({ gPerL: 2 * g, uRandom: (2 * Math.SQRT2) / Math.sqrt(12), stepGPerL: 2 })),
    })
    for (const n of [3, 4, 12]) {
      const same = (g: number) => Array.from({ length: n }, () => g)
      const verdict = compareArms([weighed('A', same(6)), weighed('B', same(7))])
      expect(verdict, `${n} each`).toMatchObject({ says: 'none', ratio: expect.closeTo(7 / 6, 9) as number })
      expect(verdict.ci95![0]).toBeLessThan(0.99)
    }
    // Where the scatter is seen through the steps, repeating helps.
    const seen = compareArms([weighed('A', [5, 6, 7, 6, 5, 7, 6, 6]), weighed('B', [10, 11, 9, 10, 11, 9, 10, 10])])
    expect(seen.says).toBe('more')
  })

  it('what cannot be compared is named: a nought, a figure that is none, four equal against four without a known scale', () => {
    expect(compareArms([arm('plain', [14, 0]), arm('felt', [13])])).toMatchObject({
      says: 'cannotSay',
      ratio: null,
      text: 'Run 2 of plain has 0 g/L: no fuel per litre is that. Correct it or leave it out.',
    })
    for (const none of [NaN, -3, Infinity])
      expect(compareArms([arm('plain', [14]), arm('felt', [none])]).text).toContain(`Run 1 of felt has ${none} g/L`)
    expect(compareArms([arm('A', [6, 6, 6, 6]), arm('B', [7, 7, 7, 7])])).toMatchObject({
      says: 'cannotSay',
      text: 'Cannot say of B: the scale does not see the scatter.',
    })
  })

  it('words follow the adjusted p: no arm “used more” than one it shares a letter with', () => {
    const scattered = (name: string, mean: number) =>
      arm(
        name,
        [0.96, 1.04, 1.01, 0.99].map((share) => mean * share),
      )
    const { arms, pairs } = rankArms([10, 10.3, 10.7, 10.9, 10.1].map((mean, i) => scattered(`arm ${i}`, mean)))
    const letters = new Map(arms.map((one) => [one.name, one.letters]))
    let lost = 0
    for (const {
      arms: [first, second],
      verdict,
    } of pairs) {
      const share = [...letters.get(first)!].some((one) => letters.get(second)!.includes(one))
      expect(verdict.says === 'none').toBe(share)
      if (/used \S+ % (less|more)/.test(verdict.text)) expect(share).toBe(false)
      if (verdict.text.includes('since 10 pairs')) lost++
    }
    expect(lost).toBeGreaterThan(0)
  })

  it('what both arms share cancels, and what one has alone does not', () => {
    const shared = (name: string, cause: string) => ({
      name,
      runs: a.map((gPerL) => ({ gPerL, shared: { [cause]: 0.05 * gPerL } })),
    })
    const alike = compareArms([shared('one', 'loss'), shared('two', 'loss')])
    const apart = compareArms([shared('one', 'loss'), shared('two', 'wind class')])
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

  it('blocks needed, and what so many show', () => {
    for (const [cv, difference, n, shows] of made.blocks) {
      expect(blocksNeeded(cv!, difference!)).toBe(n)
      expect(shownByBlocks(n!, cv!)).toBeCloseTo(shows!, 4)
    }
    expect(blocksNeeded(0.3, 0.01)).toBeNull()
  })
})

describe('several who burned the same (ISO 5725-2, ISO 13528)', () => {
  // ISO 5725-2:1994, B.1, sulfur in coal, level 1 (from memory): m 0.690, s_r 0.015, s_R 0.026.
  const LABS = [
    [0.71, 0.71, 0.7, 0.71],
    [0.69, 0.67, 0.68],
    [0.66, 0.65, 0.69],
    [0.67, 0.65, 0.66],
    [0.7, 0.69, 0.66, 0.71, 0.69],
    [0.73, 0.74, 0.73],
    [0.71, 0.71, 0.69],
    [0.7, 0.65, 0.68],
  ]
  it('repeatability and reproducibility by one-way analysis, with as many runs as each has', () => {
    const { within, between } = repeatability(LABS)!
    expect(within).toBeCloseTo(0.0151165, 7)
    expect(between).toBeCloseTo(0.0263638, 7)
    expect(repeatability([[1], [2]])).toBeNull()
  })

  it('the robust mean of 24 copper determinations (Analytical Methods Committee 1989; hubers in R’s MASS)', () => {
    const copper = [
      2.9, 3.1, 3.4, 3.4, 3.7, 3.7, 2.8, 2.5, 2.4, 2.4, 2.7, 2.2, 5.28, 3.37, 3.03, 3.03, 28.95, 3.77, 3.4, 2.2, 3.5,
      3.6, 3.7, 3.7,
    ]
    const { mean, sd } = robustMean(copper)
    expect(mean).toBeCloseTo(3.2067, 2)
    expect(sd).toBeCloseTo(0.6737, 2)
  })

  it('scores: who is far off is told, and of all alike nobody is', () => {
    const people = [20, 20.2, 19.9, 20.1, 19.8, 20.05, 24].map((value, i) => ({
      name: `p${i}`,
      values: [value, value * 1.01],
    }))
    const { scores, repeatabilitySd, reproducibilitySd } = ringTest(people)
    expect(Math.abs(scores[6]!.z!)).toBeGreaterThan(3)
    expect(Math.abs(scores[0]!.z!)).toBeLessThan(1)
    expect(reproducibilitySd!).toBeGreaterThan(5 * repeatabilitySd!)
    const alike = ringTest([
      { name: 'a', values: [20] },
      { name: 'b', values: [20] },
    ])
    expect(alike.scores[0]).toEqual({ who: 'a', z: null, u: null })
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

  it('a claim is met or missed by one-sided bounds, about as said, or cannot be said: with what would settle it', () => {
    const there = (value: number, u: number, uRandom = u) => [{ taken: null, value, u, uRandom }]
    const judged = (gPerL: number, brought: Brought[]) => judgeClaim(gPerLClaimed(gPerL), brought)
    expect(judged(15.2, there(14.6, 0.3)).says).toBe('met')
    expect(judged(12, there(14.6, 0.3)).text).toBe('Missed: claimed 12.0 g/L, measured 14.6 ± 0.6 g/L there.')
    expect(judged(14.3, there(14.6, 0.3)).says).toBe('aboutAsSaid')
    // 20 against 19.9 ± 10 shows nothing.
    expect(judged(20, there(19.9, 5)).says).toBe('cannotSay')
    expect(judged(13, there(14.6, 2)).text).toMatch(/5 runs like this one would settle it\.$/)
    expect(judged(13, there(14.6, 1.2, 0.1)).text).toContain('Repeating will not settle it')
    expect(
      judged(14.6, [
        { taken: 'start 10 °C', value: 17, u: 0.3, uRandom: 0.3 },
        { taken: 'start 25 °C', value: 13.2, u: 0.3, uRandom: 0.3 },
      ]).text,
    ).toMatch(/no number of runs will.*start 10 °C or start 25 °C/)
    const atLeast = { ...gPerLClaimed(9), says: 'atLeast', unit: ' min' } as const
    expect(judgeClaim(atLeast, there(11, 0.3)).says).toBe('met')
    expect(judgeClaim(atLeast, there(7, 0.3)).text).toBe('Missed: claimed 9.0 min, measured 7.0 ± 0.6 min there.')
    expect(judgeClaim(atLeast, there(8.9, 0.2)).says).toBe('aboutAsSaid')
  })

  it('like with like: only this, corrected for, or changed together; shares count, and two parts are never one', () => {
    const run = (armName: string, values: object) => ({
      arm: armName,
      normalised: true,
      values: { origin: 'measured', stand: 'wire', startC: 12, observer: 'Odra', ...values },
    })
    const between = (first: object[], second: object[], question: Parameters<typeof likeWithLike>[1] = ['screen']) =>
      likeWithLike([...first.map((one) => run('a', one)), ...second.map((one) => run('b', one))], question)
    expect(between([{}], [{}])).toEqual({ grade: 'onlyThis', differences: [] })
    expect(between([{}], [{ startC: 19 }]).grade).toBe('corrected')
    expect(between([{}], [{ stand: 'plate' }])).toMatchObject({
      grade: 'together',
      differences: [{ what: 'stand', text: 'Stand changed with the question (wire, plate). Cannot say which.' }],
    })
    expect(between([{}, { observer: 'Tam' }], [{ observer: 'Tam' }, {}]).grade).toBe('onlyThis')
    expect(between([{}], [{ stand: 'plate' }], ['stand']).grade).toBe('onlyThis')
    const [odra, tam] = [{}, { observer: 'Tam' }]
    const nine = Array.from({ length: 9 }, () => odra)
    expect(between([...nine, tam], [odra, ...nine.map(() => tam)]).grade).toBe('together')
    expect(between([{ pot: 'wide', lid: true }], [{ pot: 'narrow', lid: false }], ['pot', 'lid'])).toMatchObject({
      grade: 'together',
      differences: [{ text: 'a and b differ in pot and lid: as used, and not by one of them alone.' }],
    })
    // Volume is no condition that is corrected for; 15 % is one volume.
    expect(between([{ waterG: 500 }], [{ waterG: 1000 }]).grade).toBe('together')
    expect(between([{ waterG: 500 }], [{ waterG: 560 }]).grade).toBe('onlyThis')
    expect(between([{ observer: null }], [{ observer: null }]).differences).toEqual([
      { what: 'observer', grade: 'onlyThis', text: 'Observer is not stated.' },
    ])
    expect(between([{ observer: null }], [{}]).grade).toBe('together')
  })
})

describe('uncertainty', () => {
  const input = <X>(name: keyof X & string, u: number, sharedBy: string | null = null): UncertainInput<X> => ({
    name,
    u,
    sharedBy,
    putBack: (x, from) => {
      x[name] = from[name]
    },
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
