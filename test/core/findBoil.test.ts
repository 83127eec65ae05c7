/** The boil finder on simulated traces whose true boil is known, made unclean in the ways real ones are. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CAMPAIGN_SETUPS, CAMPAIGN_WATER_KG, type CampaignSetup } from '../../core/simulate/campaign'
import { seededRandom, type Random } from '../../core/simulate/random'
import { simulatedBoilingPoint } from '../../core/simulate/stove'
import { simulateRun } from '../../core/simulate/simulateRun'
import { findBoil, type BoilEstimate } from '../../core/trace/findBoil'
import { boilingPointFromPressure, saturationPressure } from '../../core/water/saturation'
import { proofs } from '../proofs'
import { reduce } from '../../core/reduce'
import type { RunAnswer } from '../../core/formats/answer'
import { readReduceRequest } from '../../shared/reduceRequest'
import { boilTrace, noBoilTrace, TRACE_KINDS, type BoilTrace } from './boilTraces'

const pressureOf = (boilingC: number): number => saturationPressure(boilingC) / 100

type Trace = [number, number][]
interface Unclean {
  everyS: number
  noiseK: number
  offsetK: number
  stepK: number
  wiggleK: number
  dropouts: number
  spikes: number
  dips: number
}
const CLEAN: Unclean = { everyS: 1, noiseK: 0.15, offsetK: 0, stepK: 0, wiggleK: 0, dropouts: 0, spikes: 0, dips: 0 }
const STOVES = Object.keys(CAMPAIGN_SETUPS) as CampaignSetup[]

/**
 * A boil with half a minute to three minutes of plateau: water temperature every quarter second, and when it truly
 * crossed T_b − 0.5 K.
 */
function burned(
  random: Random,
  {
    keepBoilingS = 30 + 150 * random.uniform(),
    giveUpS = 1500,
    windMS = 0,
    stove = STOVES[Math.floor(random.uniform() * 5)]!,
  } = {},
) {
  const pressurePa = 70_000 + 31_000 * random.uniform()
  const run = simulateRun(
    CAMPAIGN_SETUPS[stove],
    {
      waterKg: CAMPAIGN_WATER_KG * (0.8 + 0.6 * random.uniform()),
      startC: 5 + 15 * random.uniform(),
      airC: 10,
      pressurePa,
      windMS,
      setting: 1,
      lid: true,
    },
    { sampleEveryS: 0.25, keepBoilingS, giveUpS },
  )
  const level = simulatedBoilingPoint(pressurePa) - 0.5
  const after = run.samples.findIndex((sample) => sample.waterC >= level)
  const [a, b] = [run.samples[after - 1], run.samples[after]]
  const trueS = a && b ? a.s + ((level - a.waterC) / (b.waterC - a.waterC)) * (b.s - a.s) : null
  return { samples: run.samples, trueS, boilingC: boilingPointFromPressure(pressurePa) }
}

function read(samples: { s: number; waterC: number }[], how: Unclean, random: Random): Trace {
  const endS = samples.at(-1)!.s
  const within = (list: [number, number][], s: number) => list.some(([from, to]) => s >= from && s < to)
  const gaps = Array.from({ length: how.dropouts }, (): [number, number] => [
    endS * random.uniform(),
    5 + 10 * random.uniform(),
  ]).map(([from, long]): [number, number] => [from, from + long])
  // Lids are lifted to look, so near the end.
  const dips = Array.from({ length: how.dips }, (): [number, number] => [endS - 160 * random.uniform(), 8]).map(
    ([from, long]): [number, number] => [from, from + long],
  )
  const [period, phase] = [3 + 6 * random.uniform(), 6.28 * random.uniform()]
  const boils = Math.max(...samples.map((sample) => sample.waterC)) - 0.3
  const trace: Trace = []
  for (let s = random.uniform() * how.everyS; s <= endS; s += how.everyS) {
    const { waterC } = samples[Math.min(samples.length - 1, Math.round(s / 0.25))]!
    if (within(gaps, s)) continue
    // Convection's wiggles, peak to peak, of 3 to 9 s; a rolling boil stirs them out.
    const wiggle = waterC < boils ? (how.wiggleK / 2) * Math.sin((6.283 * s) / period + phase) : 0
    const spike = random.uniform() < how.spikes ? (random.uniform() < 0.5 ? -1 : 1) * (8 + 30 * random.uniform()) : 0
    const value = waterC + how.offsetK + wiggle + how.noiseK * random.normal() + spike - (within(dips, s) ? 5 : 0)
    trace.push([s, how.stepK === 0 ? value : Math.round(value / how.stepK) * how.stepK])
  }
  return trace
}

const found = (trace: Trace, boilingC: number, lagS = 0): BoilEstimate => {
  const result = findBoil(trace, { boilingC, lagS })
  if (!result.ok) throw new Error(result.problem.what)
  return result.value
}
const N = proofs(3000)

/** Share of seeded traces whose boil is found within so many seconds, and how the offsets err. */
function accuracy(how: (random: Random) => Unclean, withinS: number) {
  let [near, covered] = [0, 0]
  const offsets: number[] = []
  for (let seed = 1; seed <= N; seed++) {
    const random = seededRandom(seed)
    const { samples, trueS, boilingC } = burned(random)
    const unclean = how(random)
    const { atS, u, offsetK } = found(read(samples, unclean, random), boilingC)
    if (atS === null) continue
    if (Math.abs(atS - trueS!) <= withinS) near++
    if (Math.abs(atS - trueS!) <= 2 * u!) covered++
    offsets.push(offsetK - unclean.offsetK)
  }
  const rms = Math.sqrt(offsets.reduce((sum, value) => sum + value * value, 0) / offsets.length)
  return { near: near / N, covered: covered / N, offsetRms: rms }
}

describe('boil finder: accuracy required on seeded traces (95 %)', () => {
  it.each<[string, number, number, (random: Random) => Unclean]>([
    [
      'typical, all of it (0.2–2 s, noise, offset −2 K, wiggles of 1.5 K, dropouts, spikes)',
      1,
      0.1,
      (random) => ({
        ...CLEAN,
        everyS: 0.2 + 1.8 * random.uniform(),
        offsetK: -2,
        wiggleK: 1.5,
        dropouts: 2,
        spikes: 0.01,
      }),
    ],
    ['noise alone', 1, 0.1, (random) => ({ ...CLEAN, everyS: 0.2 + 1.8 * random.uniform() })],
    ['1 K steps', 3, 0.4, (random) => ({ ...CLEAN, everyS: 1 + random.uniform(), stepK: 1 })],
    ['every 30 s', 3, 0.1, () => ({ ...CLEAN, everyS: 30 })],
    ['lid openings', 3, 0.1, (random) => ({ ...CLEAN, everyS: 0.5 + random.uniform(), dips: 2 })],
    [
      'all at once',
      5,
      0.4,
      (random) => ({
        everyS: 1 + random.uniform(),
        noiseK: 0.15,
        offsetK: -2,
        stepK: 1,
        wiggleK: 1.5,
        dropouts: 1,
        spikes: 0.01,
        dips: 1,
      }),
    ],
  ])('%s: within %d s, offset within %d K rms', (_, withinS, offsetK, how) => {
    const { near, offsetRms, covered } = accuracy(how, withinS)
    expect(near).toBeGreaterThanOrEqual(0.95)
    expect(offsetRms).toBeLessThanOrEqual(offsetK)
    expect(covered, 'k = 2 intervals that hold the truth').toBeGreaterThanOrEqual(0.93)
  })

  it('a known lag of the probe is taken off', () => {
    const random = seededRandom(5)
    const { samples, trueS, boilingC } = burned(random)
    let shownC = samples[0]!.waterC
    const lagging: Trace = samples.map(({ s, waterC }) => [
      s,
      (shownC += (waterC - shownC) * (1 - Math.exp(-0.25 / 6))),
    ])
    expect(found(lagging, boilingC).atS! - trueS!).toBeGreaterThan(3.5)
    expect(Math.abs(found(lagging, boilingC, 6).atS! - trueS!)).toBeLessThan(2)
  })
})

describe('boil finder: no boil where there was none', () => {
  const typical = (random: Random): Unclean => ({
    ...CLEAN,
    everyS: 0.5 + 1.5 * random.uniform(),
    wiggleK: random.uniform(),
    spikes: 0.01,
  })
  it('a stall more than 4 K short is no boil', () => {
    let stalls = 0
    for (let seed = 1; seed <= proofs(600); seed++) {
      const random = seededRandom(seed)
      const { samples, trueS, boilingC } = burned(random, {
        stove: 'tablet',
        windMS: 4 + 5 * random.uniform(),
        giveUpS: 3600,
      })
      if (trueS !== null || Math.max(...samples.map((sample) => sample.waterC)) > boilingC - 4.3) continue
      stalls++
      expect(found(read(samples, typical(random), random), boilingC)).toMatchObject({ atS: null })
    }
    expect(stalls).toBeGreaterThan(0.4 * proofs(600))
  })

  it('a trace that stops before the boil is no boil; within 4 K the tester is asked', () => {
    const status: string[] = []
    for (let seed = 1; seed <= proofs(1000); seed++) {
      const random = seededRandom(seed)
      const { samples, trueS, boilingC } = burned(random, { keepBoilingS: 0 })
      const stopS = trueS! * (0.5 + 0.49 * random.uniform())
      const { atS, status: said } = found(
        read(
          samples.filter((sample) => sample.s <= stopS),
          typical(random),
          random,
        ),
        boilingC,
      )
      status.push(said)
      expect(atS, `seed ${seed}`).toBeNull()
    }
    expect(status).toContain('near')
    expect(status).toContain('short')
  })
})

describe('boil finder: eleven kinds of traces, and what only looks like a boil', () => {
  const N_KIND = proofs(600)
  it('finds 94 % within 5 s, and nine intervals of ten hold the truth', () => {
    const tally = Object.fromEntries(TRACE_KINDS.map((kind) => [kind, { near: 0, held: 0 }]))
    for (const kind of TRACE_KINDS)
      for (let seed = 1; seed <= N_KIND; seed++) {
        const { trace, trueS, boilingC, lagS } = boilTrace(kind, seededRandom(1000 + seed))
        const { atS, u } = found(trace, boilingC, lagS)
        if (atS === null) continue
        if (Math.abs(atS - trueS!) <= 5) tally[kind]!.near++
        if (Math.abs(atS - trueS!) <= 2 * u!) tally[kind]!.held++
      }
    const all = Object.values(tally)
    const share = (of: (one: { near: number; held: number }) => number) =>
      all.reduce((sum, one) => sum + of(one), 0) / (all.length * N_KIND)
    expect(
      share((one) => one.near),
      JSON.stringify(tally),
    ).toBeGreaterThan(0.94)
    expect(
      share((one) => one.held),
      JSON.stringify(tally),
    ).toBeGreaterThan(0.9)
    for (const [kind, { near }] of Object.entries(tally)) expect(near / N_KIND, kind).toBeGreaterThan(0.85)
  })

  it('calls no boil where the flame was cut or turned down short of it, or stalled', () => {
    let called = 0
    for (const how of ['cut', 'turnedDown', 'stalled'] as const)
      for (let seed = 1; seed <= proofs(1200); seed++) {
        const { trace, boilingC, events } = noBoilTrace(how, seededRandom(5000 + seed))
        const result = findBoil(trace, { boilingC, cutS: events[0]?.s ?? null })
        if (result.ok && result.value.atS !== null) called++
      }
    expect(called / (3 * proofs(1200))).toBeLessThanOrEqual(0.03)
  })

  it('a run whose burner was shut off short of the boil is not said to have boiled; one whose probe was checked says what it does not explain', () => {
    const answerOf = ({ trace, boilingC, events }: BoilTrace, more: object = {}) => {
      const read = readReduceRequest({
        format: 'vulcanum-reduce',
        version: 1,
        boil: 'plateau',
        runs: [
          {
            id: 'r',
            place: { stationPressureHPa: pressureOf(boilingC) },
            events: [{ kind: 'potOn', s: 0 }, ...events],
            trace: trace.map(([s, c]) => [s, Math.min(120, c)]),
            ...more,
          },
        ],
      })
      if (!read.ok) throw new Error(JSON.stringify(read.problems))
      return reduce(read.request).runs[0] as RunAnswer
    }
    const cut = answerOf(noBoilTrace('cut', seededRandom(5003)))
    expect([cut.ended, cut.timeToBoilS, cut.boilFound!.atS]).toEqual(['outOfFuel', null, null])
    const boiled = boilTrace('spikes', seededRandom(1003))
    const high = { ...boiled, trace: boiled.trace.map(([s, c]): [number, number] => [s, c + 3]) }
    const told = answerOf(high, { thermometer: { offsetK: 0, offsetU: 0.3, lagS: 0 } })
    expect(told.flags.map((flag) => flag.code)).toContain('probe-offset-unexplained')
    expect(told.timeToBoilU!).toBeGreaterThan(2 * answerOf(high).timeToBoilU!)
  })

  it('an offset that the probe’s checks do not explain makes its time less sure', () => {
    const { trace, boilingC } = boilTrace('spikes', seededRandom(1003))
    const high = trace.map(([s, c]): [number, number] => [s, c + 2.6])
    const uOf = (offset: { k: number; u: number } | null) => {
      const result = findBoil(high, { boilingC, offset })
      return result.ok ? result.value.u! : NaN
    }
    expect(uOf({ k: 0, u: 0.3 })).toBeGreaterThan(2 * uOf(null))
    expect(uOf({ k: 2.6, u: 0.5 })).toBe(uOf(null))
  })
})

describe('boil finder: bad traces', () => {
  it.each<[string, Trace]>([
    ['empty', []],
    ['one sample', [[0, 20]]],
    [
      'all outside the range',
      [
        [0, 300],
        [1, -90],
        [2, 400],
        [3, 500],
        [4, 300],
        [5, 300],
      ],
    ],
  ])('%s: too short, in words', (_, trace) =>
    expect(findBoil(trace, { boilingC: 100 })).toMatchObject({ ok: false, problem: { code: 'trace-too-short' } }),
  )

  const line = (value: (s: number) => number, n = 300): Trace => Array.from({ length: n }, (_, s) => [s, value(s)])
  it.each<[string, Trace]>([
    ['constant', line(() => 60)],
    ['decreasing', line((s) => 95 - s / 5)],
    ['one time only', line(() => 97).map(([, c]) => [7, c])],
    ['constant near the boil', line(() => 98)],
    ['a straight rise', line((s) => 10 + 0.29 * s)],
    ['spikes only', line((s) => (s % 2 === 0 ? 20 : 90))],
  ])('%s: no boil', (_, trace) => {
    const result = findBoil(trace, { boilingC: 100 })
    if (result.ok) expect(result.value.atS).toBeNull()
    else expect(result.problem.code).toBe('trace-too-short')
  })

  it('unsorted and repeated times read as sorted ones', () => {
    const random = seededRandom(9)
    const { samples, boilingC } = burned(random)
    const trace = read(samples, { ...CLEAN }, random)
    const shuffled = [...trace, ...trace.slice(0, 50)]
      .map((point) => [point, random.uniform()] as const)
      .sort((a, b) => a[1] - b[1])
      .map(([point]) => point)
    expect(found(shuffled, boilingC).atS).toBeCloseTo(found(trace, boilingC).atS!, 9)
  })

  it('an hour at 10 Hz is read, and the same boil found as at 1 Hz', () => {
    const random = seededRandom(3)
    const { samples, trueS, boilingC } = burned(random, { keepBoilingS: 3300, giveUpS: 5000 })
    const trace = read(samples, { ...CLEAN, everyS: 0.1 }, random)
    expect(trace.length).toBeGreaterThan(33_000)
    expect(Math.abs(found(trace, boilingC).atS! - trueS!)).toBeLessThan(1)
  })

  it('law: whatever finite pairs it reads, it gives finite numbers or null, and a boil inside the trace', () => {
    const pair = fc.tuple(
      fc.double({ min: -1e5, max: 1e6, noNaN: true }),
      fc.double({ min: -60, max: 130, noNaN: true }),
    )
    fc.assert(
      fc.property(
        fc.array(pair, { maxLength: 60 }),
        fc.double({ min: 70, max: 105, noNaN: true }),
        (trace, boilingC) => {
          const result = findBoil(trace, { boilingC })
          if (!result.ok) return
          for (const [key, value] of Object.entries(result.value))
            if (typeof value === 'number') expect(Number.isFinite(value), key).toBe(true)
          const times = trace.map(([s]) => s)
          if (result.value.atS !== null)
            expect(result.value.atS >= Math.min(...times) - 1e-6 && result.value.atS <= Math.max(...times)).toBe(true)
        },
      ),
      { numRuns: proofs(2000) },
    )
  })
})
