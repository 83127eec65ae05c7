/**
 * Every kind of test in its own terms, wind and flame from a set-up's own series, slips, and Monte Carlo: through the
 * one way in, reduce.
 */
import fc from 'fast-check'
import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import type { RunAnswer } from '../../core/formats/answer'
import type { RunDocument } from '../../core/formats/document'
import { reduce, reduceLight } from '../../core/reduce'
import { monteCarloRun } from '../../core/reduce/monteCarloRun'
import { REFERENCES } from '../../core/normalise/reference'
import { normalNumbers } from '../../core/uncertainty/normalNumbers'
import { readReduceRequest } from '../../shared/reduceRequest'
import contract from '../reference/contract-run.json'
import { proofs } from '../proofs'

type Loose = Record<string, unknown>
const base = { ...contract.runs[0]!, id: 'x', setup: null } as Loose
const part = (of: Loose, key: string, changes: object): Loose => ({
  ...of,
  [key]: { ...(of[key] as object), ...changes },
})
const ev = (...events: [string, number, object?][]) => events.map(([kind, s, more]) => ({ kind, s, ...more }))

function request(runs: Loose[], options: Loose = {}) {
  const read = readReduceRequest({
    format: 'vulcanum-reduce',
    version: 1,
    ...options,
    runs: runs.map((run, i) => ({ ...run, id: (run.id as string) === 'x' ? `x${i}` : run.id })),
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const bad = read.request.runs.find((run) => 'error' in run)
  if (bad) throw new Error((bad as { error: string }).error)
  return read.request
}
const answers = (runs: Loose[], options: Loose = {}) => reduce(request(runs, options))
const one = (run: Loose, options: Loose = {}) => answers([run], options).runs[0] as RunAnswer
const rung = (got: RunAnswer, name: string) => got.ladder.find((r) => r.rung === name)!
const flag = (got: RunAnswer, code: string) => got.flags.find((f) => f.code === code)

describe('kinds of test', () => {
  it('burn-off: burn time and rate by mass and volume, no fuel per litre', () => {
    // Common practice, no source: 30 mL of ethanol burns 7 to 11 min in open or jet burners, 4.1 to 2.8 mL/min.
    const got = one({
      kind: 'burnOff',
      place: { altitudeM: 10, airC: 20, windMS: 0 },
      burner: { kind: 'alcohol' },
      fuel: { kind: 'ethanol', usedMl: 30 },
      events: ev(['lit', 0], ['flameOut', 540]),
      id: 'x',
    })
    expect(got).toMatchObject({ gPerL: null, normalisedGPerL: null, test: { burnTimeS: 540 } })
    expect(got.test.burnRateMlPerMin!).toBeCloseTo(30 / 9, 2)
    expect(got.test.burnRateGPerMin!).toBeCloseTo((30 * 0.7893) / 9, 2)
    expect(got.firepowerW!).toBeCloseTo((30 * 0.7893 * 26.8 * 1000) / 540, -1)
  })

  it('simmer: turn-down against the set-up’s highest firepower, and the heat that holds the boil', () => {
    const simmer = {
      ...part(base, 'fuel', { usedG: 3, beforeG: null }),
      kind: 'simmer',
      setup: 's',
      events: ev(['potOn', 0], ['shutOff', 600]),
    }
    const [, low] = answers([{ ...base, setup: 's' }, simmer]).runs as RunAnswer[]
    expect(low!.test.turnDownRatio!).toBeCloseTo(12.7 / 228 / (3 / 600), 6)
    expect(low!.test.holdingPowerW!).toBeCloseTo(0.35 * (low!.boilingPointC! - 11), 6)
    expect(low!.normalisedGPerL).toBeNull()
  })

  it('fixed time: rise and power into the water, by hand: (473·Δh + 53.9·20)/240', () => {
    const got = one({
      ...part(base, 'water', { endC: 29.2 }),
      kind: 'fixedTime',
      events: ev(['potOn', 0], ['shutOff', 240]),
    })
    expect(got.test.riseK).toBeCloseTo(20, 9)
    // Enthalpy of water 9.2 → 29.2 °C: 83.6 kJ/kg (IAPWS-IF97).
    expect(got.test.powerIntoWaterW!).toBeCloseTo((0.473 * 83_700 + 53.9 * 20) / 240, -1)
  })

  it('warm-up, boil then burn out: boils per load and useful time after the boil', () => {
    const got = one({
      ...part(base, 'fuel', { usedG: 25, burnOutShare: true }),
      kind: 'boilBurnOut',
      events: ev(
        ['lit', 0],
        ['bloomed', 70],
        ['potOn', 75],
        ['rollingBoil', 375],
        ['flameLeftPot', 640],
        ['flameOut', 700],
      ),
    })
    expect(got.test).toMatchObject({ warmUpS: 70, burnTimeS: 700, usefulAfterBoilS: 265 })
    expect(got.fuelToBoilG!).toBeCloseTo((25 * 375) / 700, 9)
    expect(got.test.boilsPerLoad!).toBeCloseTo(700 / 375, 9)
    expect(flag(got, 'even-flame-assumed')).toBeDefined()
    expect(got.gPerLU! / got.gPerL!).toBeGreaterThan(0.1)
  })

  it('fed with a gap: leftovers taken off, pieces counted, the gap kept in the figure', () => {
    const fed = (events: ReturnType<typeof ev>, fuel: object) =>
      one({
        ...part(base, 'fuel', { kind: 'hexamine', lhvMJPerKg: null, usedG: null, loadG: 14, ...fuel }),
        burner: { kind: 'solid' },
        kind: 'fed',
        events,
      })
    const whole = fed(ev(['potOn', 0], ['fuelAdded', 300, { massG: 14 }], ['rollingBoil', 500]), { leftoverG: 9 })
    expect(whole).toMatchObject({ fuelToBoilG: 19, status: 'normalised', test: { pieces: 2, gapsS: null } })
    const gap = fed(
      ev(['potOn', 0], ['flameOut', 280], ['fuelAdded', 300, { massG: 14 }], ['relit', 340], ['rollingBoil', 560]),
      { leftoverG: 9 },
    )
    expect(gap.test).toMatchObject({ gapsS: 60, burnTimeS: null })
    // 500 s of flame both times, but the gap cost heat: a stronger flame, the same fuel, and the surcharge stays.
    expect(gap.q0W!).toBeGreaterThan(whole.q0W!)
    expect(gap.gPerL!).toBeCloseTo(whole.gPerL!, 9)
    expect(gap.burnRateGPerMin!).toBeCloseTo(whole.burnRateGPerMin!, 9)
    expect(gap.normalisedGPerL! / whole.normalisedGPerL!).toBeGreaterThan(0.98)
    const unweighed = fed(ev(['potOn', 0], ['fuelAdded', 300, { massG: 14 }], ['rollingBoil', 500]), {})
    expect(flag(unweighed, 'leftover-not-weighed')!.text).toContain('up to 14 g less')
    expect(unweighed.gPerLU! / unweighed.gPerL!).toBeGreaterThan(0.25)
  })

  // Source: published water-boiling protocols: dry-wood equivalent m·(1 − 1.12·M) − 1.5·char, a rule for LHV near 19–20
  // MJ/kg (from memory).
  it('wood: moisture and char as the published protocols take them', () => {
    const wood = (fuel: object) =>
      one({
        ...part(base, 'fuel', { kind: 'wood-dry', lhvMJPerKg: 19.5, usedG: 200, ...fuel }),
        burner: { kind: 'wood' },
        kind: 'wood',
        events: ev(['potOn', 0], ['rollingBoil', 600]),
      })
    const rule = 200 * (1 - 1.12 * 0.15) - 1.5 * 8
    expect(Math.abs(wood({ moisturePct: 15, charG: 8 }).test.dryFuelG! / rule - 1)).toBeLessThan(0.01)
    expect(flag(wood({}), 'moisture-not-measured')).toBeDefined()
    expect(wood({ moisturePct: 15, charG: 8 }).status).toBe('normalised')
  })

  // Source: CRC Handbook (from memory), melting heat 333.6 kJ/kg.
  it('snow: melting is in the balance, and the start rung takes it out', () => {
    const snow = part(part(part(base, 'water', { massG: 100, startC: 1, snowG: 400 }), 'place', { airC: -6 }), 'fuel', {
      usedG: 22,
    })
    const got = one({ ...snow, kind: 'snow', events: ev(['potOn', 0], ['rollingBoil', 420]) })
    expect(got.test.meltEnergyKJ!).toBeCloseTo(0.4 * (333.6 + 2.09 * 6) - 0.1 * 4.2, 0)
    expect(got.test.toWaterS!).toBeGreaterThan(90)
    expect(got.test.toWaterS!).toBeLessThan(300)
    expect(got.litres!).toBeCloseTo(0.5 / 0.998207, 4)
    expect(rung(got, 'start').factor!).toBeLessThan(0.6)
    // Gas in the cold, alone: nothing warm to hold its flame against.
    expect(got).toMatchObject({ status: 'partly', missing: ['series.burnRate'] })
    expect(got.efficiency!).toBeGreaterThan(0.3)
  })

  it('cool-down: the set-up’s own heat loss, which its other runs then use', () => {
    const trace = Array.from({ length: 80 }, (_, i): [number, number] => [
      i * 30,
      11 + 80 * Math.exp((-0.9 * i * 30) / 2033),
    ])
    const cool = {
      ...base,
      id: 'cool',
      setup: 's',
      kind: 'coolDown',
      lossWPerK: null,
      fuel: {},
      events: ev(['shutOff', 0]),
      trace,
    }
    const [cooled, boiled] = answers([cool, { ...base, setup: 's', lossWPerK: null }]).runs as RunAnswer[]
    expect(cooled!.test.lossWPerK!).toBeCloseTo(0.9, 2)
    expect(rung(boiled!, 'surroundings').basis).toBe('ownSeries')
    const alone = one({ ...base, lossWPerK: null })
    expect(boiled!.q0W).not.toBeCloseTo(alone.q0W!, 0)
    // By hand: 0.9 W/K over lid and wall, 0.9·(A_lid + 0.3·A_side)/(A_lid + A_side), for 473 g in a pot of 95 mm.
    expect(boiled!.q0W! - alone.q0W!).toBeGreaterThan(5)
    expect(boiled!.q0W! - alone.q0W!).toBeLessThan(25)
  })
})

describe('traces', () => {
  const rise = (s: number, offsetK = 0): [number, number] => [s, Math.min(96.84, 9.2 + 0.36 * s) + offsetK]
  const trace = Array.from({ length: 180 }, (_, i) => rise(i * 2, -1.5))
  const boilS = (96.84 - 0.5 - 9.2) / 0.36

  it('plateau: the offset-corrected crossing, with the probe’s offset told; the tester’s call asked about', () => {
    const called = {
      ...part(base, 'water', { startC: 7.7 }),
      trace,
      events: ev(['potOn', 0], ['rollingBoil', 268], ['shutOff', 360]),
    }
    const got = one(called, { boil: 'plateau' })
    expect(got.boilFrom).toBe('trace')
    expect(Math.abs(got.timeToBoilS! - boilS)).toBeLessThan(1)
    expect(got.boilFound!.offsetK).toBeCloseTo(-1.5, 1)
    expect(got.timeToBoilU!).toBeGreaterThan(0)
    expect(flag(got, 'boil-calls-disagree')!.text).toBe('You called 4:28; the trace says 4:02. Which?')
    expect(got.fuelToBoilG).toBeNull()
    expect(one(called).timeToBoilS).toBe(268)
  })

  it('the fit of the heating model comes with the answer', () => {
    const [burn] = one({ ...base, trace }).traceFit!
    expect(burn!.q0W.value).toBeGreaterThan(650)
    expect(burn!.n).toBeGreaterThan(100)
  })

  it('a run stopped half-way takes its last temperature from the trace', () => {
    const got = one({
      ...base,
      trace: trace.slice(0, 60),
      events: ev(['potOn', 0], ['stopped', 119, { reason: 'rain' }]),
    })
    expect(got).toMatchObject({ ended: 'stopped', boilFrom: 'extrapolated', missing: [] })
    expect(got.normalisedGPerL).not.toBeNull()
  })
})

describe('a set-up’s own series', () => {
  const burned = (windMS: number, i: number, rate = 1) =>
    part(
      part(
        {
          ...base,
          setup: 's',
          lossWPerK: null,
          events: ev(['potOn', 0], ['rollingBoil', Math.round(228 * Math.exp(0.3 * windMS))]),
        },
        'place',
        { windMS },
      ),
      'fuel',
      { usedG: 12.7 * rate * Math.exp(0.3 * windMS) * (1 + 0.004 * Math.sin(5 * i)) },
    )

  it('wind: v₀ from its own runs, with the winds that double the fuel and stop the boil', () => {
    const got = answers([0, 0, 0, 1.8, 1.8, 1.8, 3.6, 3.6, 3.6].map((wind, i) => burned(wind, i)))
    const { v0, doublingMS, stallMS } = got.setups[0]!.flame!
    expect(v0.basis).toBe('ownSeries')
    // Fuel and time as e^(0.3·v): they double at 2.3 m/s.
    expect(doublingMS!.value).toBeGreaterThan(1.6)
    expect(doublingMS!.value).toBeLessThan(2.6)
    expect(doublingMS!.value).toBeLessThan(stallMS!.value)
    expect(doublingMS!.low).toBeLessThan(doublingMS!.value)
    const normalised = (got.runs as RunAnswer[]).map((run) => run.normalisedGPerL!)
    expect(Math.max(...normalised) / Math.min(...normalised)).toBeLessThan(1.12)
    expect(rung(got.runs[8] as RunAnswer, 'wind')).toMatchObject({
      basis: 'ownSeries',
      reach: { tested: [0, 3.6], asked: 0 },
    })
  })

  it('brought to a windy place: the calm run’s fuel grows, and reach says what was tried', () => {
    const runs = [0, 0, 1.8, 1.8].map((wind, i) => burned(wind, i))
    const calm = answers(runs, { reference: { windMS: 2.5, startC: 5, airC: -14, pressureHPa: 711 } })
      .runs[0] as RunAnswer
    expect(rung(calm, 'wind').factor!).toBeGreaterThan(1.7)
    expect(rung(calm, 'wind').reach).toEqual({ tested: [0, 1.8], asked: 2.5 })
    expect(rung(calm, 'surroundings').reach).toEqual({ tested: [11, 11], asked: -14 })
  })

  /** More flame, less of it into the pot: q0 as the burn rate to the power of 0.6. */
  const atValve = (valve: number, change: Loose = {}): Loose => ({
    ...part({ ...base, setup: 's' }, 'fuel', { usedG: 12.7 * valve ** 0.4 }),
    events: ev(['potOn', 0], ['rollingBoil', 228 / valve ** 0.6]),
    ...change,
  })

  it('flame: a weak one is brought to the bench burn rate of its setting, and it is said', () => {
    const bench = [0.98, 1, 1.02].map((valve) => atValve(valve))
    const cold = { ...atValve(0.6), place: { ...(base.place as object), airC: 3 } }
    const got = answers([...bench, cold]).runs as RunAnswer[]
    const weak = got[3]!
    expect(rung(weak, 'flame')).toMatchObject({ basis: 'ownSeries', reach: { asked: expect.anything() as number } })
    expect(rung(weak, 'flame').factor!).toBeGreaterThan(1.1)
    expect(flag(weak, 'weak-flame-corrected')!.text).toMatch(/ less than the set-up’s bench burn rate/)
    expect(Math.abs(weak.normalisedGPerL! / got[1]!.normalisedGPerL! - 1)).toBeLessThan(0.04)
    const asItWas = answers([...bench, cold], { flame: false }).runs[3] as RunAnswer
    expect(rung(asItWas, 'flame')).toMatchObject({ factor: 1, basis: 'notInModel' })
    expect(asItWas.normalisedGPerL!).toBeLessThan(0.92 * got[1]!.normalisedGPerL!)
  })

  it('flame: a stated low setting is a setting of its own; rates far apart that nobody named go nowhere', () => {
    const three = (valve: number, setting: string | null) =>
      [0.99, 1, 1.01].map((one) => atValve(valve * one, { setting }))
    const stated = answers([...three(1, 'full'), ...three(0.5, 'low')]).runs as RunAnswer[]
    expect(Math.abs(rung(stated[4]!, 'flame').factor! - 1)).toBeLessThan(0.01)
    const unsaid = answers([...three(1, null), ...three(0.5, null)]).runs as RunAnswer[]
    expect(rung(unsaid[4]!, 'flame')).toMatchObject({ factor: 1, basis: 'assumed' })
  })

  it('volume: on request a figure is brought to other water; held by ten per cent a doubling, or by own runs', () => {
    const alone = answers([burned(0, 0)], { reference: { waterG: 946 } }).runs[0] as RunAnswer
    const own = answers([burned(0, 0)]).runs[0] as RunAnswer
    expect(own.ladder.map((one) => one.rung)).not.toContain('volume')
    expect(rung(alone, 'volume')).toMatchObject({ basis: 'assumed', moved: { from: 473, to: 946, unit: 'g' } })
    // One pot for twice the water, one more litre to lose heat by: a few per cent either way.
    expect(Math.abs(rung(alone, 'volume').factor! - 1)).toBeLessThan(0.05)
    expect(rung(alone, 'volume').ownU! / alone.normalisedGPerL!).toBeCloseTo(0.1, 1)
    expect(alone.normalisedGPerL).toBe(rung(alone, 'volume').gPerL)
    const same = answers([burned(0, 0)], { reference: { waterG: 473 } }).runs[0] as RunAnswer
    expect(same.normalisedGPerL).toBeCloseTo(own.normalisedGPerL!, 9)
    const double = (i: number) => {
      const water = { ...(burned(0, i).water as object), massG: 946 }
      return { ...part(burned(0, i), 'fuel', { usedG: 24 }), water, events: ev(['potOn', 0], ['rollingBoil', 420]) }
    }
    const runs = [...[0, 1, 2].map((i) => burned(0, i)), ...[3, 4, 5].map((i) => ({ ...double(i), id: `d${i}` }))]
    const brought = answers(runs, { reference: { waterG: 946 } })
    const [small, large] = [brought.runs[0], brought.runs[3]] as RunAnswer[]
    expect(rung(small!, 'volume').basis).toBe('ownSeries')
    expect(Math.abs(small!.normalisedGPerL! / large!.normalisedGPerL! - 1)).toBeLessThan(0.04)
    expect(brought.setups[0]!.means).toMatchObject([{ n: 6, volumeG: 946 }])
  })

  it('an open pot so near its simmering power that it could be anything has no figure, and is told', () => {
    const open = (boilS: number) => ({ ...base, lid: false, events: ev(['potOn', 0], ['rollingBoil', boilS]) })
    const all = [400, 800, 1200, 1600, 2400, 3600].map((boilS) => one(open(boilS)))
    const withheld = all.filter((got) => flag(got, 'near-simmer'))
    expect(withheld.length).toBeGreaterThan(0)
    for (const got of withheld) expect(got).toMatchObject({ status: 'not', normalisedGPerL: null, normalisedU: null })
    for (const got of all)
      if (got.normalisedGPerL !== null) expect(got.normalisedU! / got.normalisedGPerL).toBeLessThanOrEqual(0.3)
    expect(all[0]!.status).toBe('normalised')
  })

  it('an impossible run leans on no other: it is left out of series and mean, and said', () => {
    const runs = [0, 0, 1.8, 1.8].map((wind, i) => burned(wind, i))
    const slip = { ...part(runs[3]!, 'fuel', { usedG: 3 }), id: 'slip' }
    const [clean, with1] = [answers(runs).setups[0]!, answers([...runs, slip]).setups[0]!]
    expect(with1).toMatchObject({ n: 4, leftOut: ['slip'] })
    expect(with1.flame!.v0.value).toBeCloseTo(clean.flame!.v0.value, 12)
  })

  it('measured, rehearsed and published runs of one name are three series', () => {
    const runs = [0, 3].map((wind, i) => ({ ...burned(wind, i), origin: i === 0 ? 'measured' : 'rehearsal' }))
    expect(answers(runs).setups.map((setup) => [setup.origin, setup.flame?.v0.basis])).toEqual([
      ['measured', 'classDefault'],
      ['rehearsal', 'classDefault'],
    ])
  })
})

describe('slips: the likeliest one is named', () => {
  const doubtful = (run: Loose) => one(run).flags.find((f) => f.code.endsWith('efficiency'))
  it.each<[string, Loose, RegExp]>([
    [
      'half the water',
      part(base, 'fuel', { usedG: 3.2 }),
      /^Impossible: 1\d\d % of the fuel’s heat\.\|8 fl oz typed as 16\?$/,
    ],
    [
      'a scale too coarse',
      part(part(base, 'fuel', { usedG: 3.7, scaleResolutionG: 1 }), 'pot', { finned: true }),
      /\|The scale reads to 1 g only/,
    ],
    ['fuel in ounces', part(base, 'fuel', { usedG: 0.3 }), /^Impossible: .*\|Fuel in ounces typed as grams\?$/],
    [
      'a start in °F',
      part(part(base, 'water', { startC: 60 }), 'fuel', { usedG: 9 }),
      /^Doubtful: .*\|Start of 60 in °F, typed as °C\?$/,
    ],
  ])('%s', (_, run, said) => {
    const got = doubtful(run)!
    expect(`${got.text.replace(/, where.*/, '')}|${got.slip}`).toMatch(said)
  })

  it('a run in its band has none', () => expect(doubtful(base)).toBeUndefined())

  // Hess’s law: heating a litre from 20 to 100 °C takes 334.5 kJ, so 7.2–7.3 g of canister gas, 12.5 g of ethanol, 16.8
  // g of methanol, 11.9 g of hexamine at 100 %.
  it.each([
    ['isobutane-propane', 7.25],
    ['ethanol', 12.5],
    ['methanol', 16.8],
    ['hexamine', 11.9],
  ] as const)('nothing beats the heat in its fuel: %s %d g/L', (kind, limit) => {
    const at = (usedG: number) =>
      one(
        part(
          part(
            part({ ...base, pot: { massG: 1, material: 'titanium' } }, 'place', { stationPressureHPa: 1013.25 }),
            'water',
            { massG: 998.2, startC: 20 },
          ),
          'fuel',
          { kind, lhvMJPerKg: null, usedG },
        ),
      )
    expect(flag(at(limit * 0.98), 'impossible-efficiency')).toBeDefined()
    expect(flag(at(limit * 1.02), 'impossible-efficiency')).toBeUndefined()
  })
})

describe('Monte Carlo', () => {
  it('agrees with first order where nearly linear, is the same for the same seed, and stops when told', () => {
    // Behind a close cone calm is calm.
    const asked = request([{ ...base, screen: 'cone' }])
    const [first, again, other] = [7, 7, 8].map((seed) => monteCarloRun(asked, 'x0', { draws: 20_000, seed }))
    if (!first!.ok || !again!.ok || !other!.ok) throw new Error('not drawn')
    expect(first!.value).toMatchObject({ agrees: true })
    expect(again!.value).toEqual(first!.value)
    expect(other!.value.distribution.mean).not.toBe(first!.value.distribution.mean)
    expect(first!.value.distribution.histogram.counts.reduce((a, b) => a + b, 0)).toBeGreaterThan(19_900)
    let told = 0
    expect(monteCarloRun(asked, 'x0', { draws: 20_000, seed: 1, onProgress: () => ++told === 2 })).toMatchObject({
      ok: false,
      problem: { code: 'stopped' },
    })
    expect(told).toBe(2)
  })

  it('says where first order cannot be right: a class default, and a stall within reach', () => {
    const windy = monteCarloRun(request([part({ ...base, lossWPerK: null }, 'place', { windMS: 9 })]), 'x0', {
      draws: 20_000,
      seed: 1,
    })
    expect(windy.ok && windy.value.agrees).toBe(false)
    expect(windy.ok && windy.value.text).toMatch(/Use the quantiles/)
    expect(
      monteCarloRun(request([part(base, 'water', { startC: null })]), 'x0', { draws: 100, seed: 1 }),
    ).toMatchObject({ ok: false, problem: { code: 'not-normalised' } })
  })

  // Source: the normal distribution function (jstat).
  it('its numbers are normal: Kolmogorov–Smirnov over 50 000', () => {
    const next = normalNumbers(11)
    const n = 50_000
    const sorted = Float64Array.from({ length: n }, next).sort()
    const gap = sorted.reduce((most, x, i) => Math.max(most, Math.abs((i + 0.5) / n - jstat.normal.cdf(x, 0, 1))), 0)
    expect(gap * Math.sqrt(n)).toBeLessThan(1.36)
    expect(Math.max(...sorted)).toBeGreaterThan(3.6)
  })
})

describe('worked by hand, and facts of the trade', () => {
  const litre = (fuel: object, boilS: number, more: Loose = {}) =>
    one({
      ...part(
        part(part(base, 'place', { stationPressureHPa: 1014.18, airC: 20 }), 'water', { massG: 1000, startC: 20 }),
        'fuel',
        fuel,
      ),
      pot: { massG: 200, material: 'aluminium', diameterMm: 130 },
      events: ev(['potOn', 0], ['rollingBoil', boilS]),
      ...more,
    })

  // By hand: (1 kg × (419.1 − 83.9) kJ/kg + 0.2 kg × 897 J/(kg·K) × 80 K) / (12 g × 45.7 kJ/g) = 349.5/548.4; 548.4 kJ
  // in 300 s. Enthalpies: IAPWS-IF97 tables.
  it('efficiency 63.7 % and firepower 1 828 W', () => {
    const got = litre({ usedG: 12 }, 300)
    expect(got.efficiency!).toBeCloseTo(0.6374, 3)
    expect(got.firepowerW!).toBeCloseTo(1828, 0)
    expect(got.burnRateGPerMin!).toBeCloseTo(2.4, 9)
  })

  // Source: published water-boiling protocols: temperature-corrected time and consumption = figure × 75/(T_boil −
  // T_start).
  it('the protocols’ temperature-corrected time and consumption', () => {
    const got = litre({ usedG: 12 }, 300)
    const corrected = one(
      {
        ...part(
          part(part(base, 'place', { stationPressureHPa: 1014.18, airC: 20 }), 'water', { massG: 1000, startC: 20 }),
          'fuel',
          { usedG: 12 },
        ),
        events: ev(['potOn', 0], ['rollingBoil', 300]),
      },
      { model: 'ratio', reference: REFERENCES[2] && { startC: 25, pressureHPa: 1014.18, airC: 25, windMS: 0 } },
    )
    expect(corrected.normalisedTimeS!).toBeCloseTo((300 * 75) / 80, 2)
    expect(corrected.normalisedGPerL!).toBeCloseTo((got.gPerL! * 75) / 80, 3)
  })

  // Common practice, no published source.
  it.each<[string, Loose, [number, number]]>([
    [
      '6.5 g of gas for 473 mL in an open pot, lid, calm: 30 to 65 %',
      part(part({ ...base, place: { altitudeM: 0, airC: 20, windMS: 0 } }, 'water', { startC: 15 }), 'fuel', {
        usedG: 6.5,
      }),
      [0.45, 0.62],
    ],
    [
      '12 g in a narrow pot at full flame',
      part({ ...base, place: { altitudeM: 0, airC: 20, windMS: 0 } }, 'fuel', { usedG: 12 }),
      [0.27, 0.35],
    ],
    [
      '22 g of methanol from 12 °C: about 40 %',
      part(
        part({ ...base, place: { altitudeM: 0, airC: 20, windMS: 0 }, burner: { kind: 'alcohol' } }, 'water', {
          startC: 12,
        }),
        'fuel',
        { kind: 'methanol', lhvMJPerKg: null, usedG: 22 },
      ),
      [0.37, 0.44],
    ],
    [
      'a tablet of 14.5 g that brings 473 mL from 15 °C to the boil',
      part(
        part({ ...base, place: { altitudeM: 0, airC: 20, windMS: 0 }, burner: { kind: 'solid' } }, 'water', {
          startC: 15,
        }),
        'fuel',
        { kind: 'hexamine', lhvMJPerKg: null, usedG: 14.5 },
      ),
      [0.38, 0.46],
    ],
  ])('%s', (_, run, [low, high]) => {
    const got = one(run)
    expect(got.efficiency!).toBeGreaterThan(low)
    expect(got.efficiency!).toBeLessThan(high)
    expect(got.flags.filter((f) => f.severity === 'error')).toEqual([])
  })

  it('4 g on a scale of 1 g is anywhere from 3 to 5 g', () => {
    const got = one(part(base, 'fuel', { usedG: 4, scaleResolutionG: 1 }))
    expect(((2 * got.gPerLU!) / got.gPerL!) * 4).toBeGreaterThan(0.8)
    expect(((2 * got.gPerLU!) / got.gPerL!) * 4).toBeLessThan(1.1)
  })
})

describe('anything at all', () => {
  const kinds = [
    'boil',
    'boilBurnOut',
    'burnOff',
    'simmer',
    'fixedTime',
    'warmUp',
    'fed',
    'wood',
    'snow',
    'coolDown',
  ] as const
  const some = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null })
  const number = (min: number, max: number) => some(fc.double({ min, max, noNaN: true }))
  const sample = fc.tuple(fc.integer({ min: -50, max: 4000 }), fc.double({ min: -20, max: 120, noNaN: true }))
  const anyRun = fc
    .record({
      setup: fc.constantFrom('s', null),
      origin: fc.constantFrom('measured', 'rehearsal', 'published'),
      kind: fc.constantFrom(...kinds),
      lid: some(fc.boolean()),
      screen: some(fc.constantFrom('none', 'wrap', 'cone')),
      place: fc.record({
        altitudeM: number(-400, 6000),
        airC: number(-40, 45),
        windMS: some(fc.constantFrom(0, 1, 2.2, 6)),
        windHeightM: some(fc.constant(10)),
      }),
      water: fc.record({
        massG: number(20, 5000),
        startC: number(-5, 110),
        endC: number(-5, 110),
        endMassG: number(20, 5000),
        snowG: number(20, 3000),
      }),
      pot: fc.record({
        massG: number(20, 2000),
        material: some(fc.constantFrom('titanium', 'aluminium')),
        diameterMm: number(50, 400),
        finned: some(fc.boolean()),
      }),
      burner: fc.record({
        kind: some(fc.constantFrom('canister-top', 'alcohol', 'wood', 'liquid-pressure')),
        head: some(fc.constantFrom('sheltered', 'exposed')),
      }),
      fuel: fc.record({
        kind: some(fc.constantFrom('isobutane-propane', 'ethanol', 'hexamine', 'wood-dry')),
        usedG: number(0.1, 500),
        loadG: number(1, 500),
        leftoverG: number(0, 50),
        moisturePct: number(0, 60),
        charG: number(0, 50),
        scaleResolutionG: number(0.01, 5),
        burnOutShare: fc.boolean(),
      }),
      events: fc.array(
        fc.record({
          kind: fc.constantFrom(
            'lit',
            'bloomed',
            'potOn',
            'rollingBoil',
            'firstBubbles',
            'targetReached',
            'flameOut',
            'relit',
            'fuelAdded',
            'gaveUp',
            'stopped',
            'flameLeftPot',
            'shutOff',
          ),
          s: fc.integer({ min: -10, max: 3000 }),
          massG: number(1, 30),
        }),
        { maxLength: 8 },
      ),
      trace: fc.oneof(
        fc.constant([]),
        fc.array(sample, { maxLength: 80 }),
        fc
          .record({
            slope: fc.double({ min: -0.3, max: 1, noNaN: true }),
            top: fc.double({ min: 20, max: 104, noNaN: true }),
            every: fc.constantFrom(1, 2, 30),
            step: fc.constantFrom(0.1, 1),
          })
          .map(({ slope, top, every, step }) =>
            Array.from({ length: 90 }, (_, i): [number, number] => [
              i * every,
              Math.round(Math.max(-10, Math.min(top, 12 + slope * i * every)) / step) * step,
            ]),
          ),
      ),
    })
    .map((run) => ({ ...run, id: 'x' }) as Loose)

  it('law: whatever comes in, every number that goes out is finite or null, and nothing throws', () => {
    const boils = fc.constantFrom('rollingBoil', 'firstBubbles', 'probeAtBoil', 'plateau', { targetC: 90 })
    fc.assert(
      fc.property(
        fc.array(anyRun, { minLength: 1, maxLength: 5 }),
        boils,
        fc.constantFrom('loss', 'energy', 'ratio'),
        fc.boolean(),
        fc.constantFrom('putIn', 'remaining'),
        (runs, boil, model, flame, litre) => {
          const asked = request(runs, {
            boil,
            model,
            flame,
            litre,
            reference: { windMS: 1, airC: -10, burnRateGPerMin: null },
          })
          const got = reduce(asked, { workings: true })
          JSON.stringify(got, (key, value: unknown) => {
            if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`${key} is ${value}`)
            return value
          })
          for (const one of got.runs as RunAnswer[])
            if (one.normalisedGPerL === null) expect(one.flags.length + one.missing.length).toBeGreaterThan(0)
          for (const one of got.runs as RunAnswer[])
            for (const [key, value] of Object.entries(one.test))
              if (value !== null && !['pieces', 'gapsS', 'lossWPerKU'].includes(key))
                expect(one.workings![`test.${key}`], key).toBeDefined()
        },
      ),
      { numRuns: proofs(2000) },
    )
  })
})

describe('laws, over any physical run', () => {
  const physical = fc
    .record({
      massG: fc.double({ min: 100, max: 4000, noNaN: true }),
      startC: fc.double({ min: 1, max: 60, noNaN: true }),
      airC: fc.double({ min: -30, max: 40, noNaN: true }),
      altitudeM: fc.double({ min: -300, max: 6000, noNaN: true }),
      windMS: fc.constantFrom(0, 0, 1, 3),
      boilS: fc.double({ min: 60, max: 2400, noNaN: true }),
      usedG: fc.double({ min: 2, max: 200, noNaN: true }),
      lid: fc.boolean(),
      loss: fc.boolean(),
      lead: fc.constantFrom(0, 40),
      kind: fc.constantFrom('boil', 'fed', 'wood', 'boilBurnOut'),
    })
    .map(({ massG, startC, airC, altitudeM, windMS, boilS, usedG, lid, loss, lead, kind }): Loose => ({
      ...base,
      kind,
      lid,
      lossWPerK: loss ? { value: 0.4, u: 0.1 } : null,
      place: { altitudeM, airC, windMS },
      water: { massG, startC },
      fuel: { kind: 'isobutane-propane', usedG, scaleResolutionG: 0.1 },
      events: ev(['lit', 0], ['potOn', lead], ['rollingBoil', lead + boilS]),
    }))

  it('what a trace said stands in for its samples, and for nothing else', () => {
    fc.assert(
      fc.property(
        physical,
        fc.constantFrom(0, 1, 2),
        fc.double({ min: 20, max: 50, noNaN: true }),
        (run, noise, lhv) => {
          const boilS = (run.events as { kind: string; s: number }[]).find((e) => e.kind === 'rollingBoil')!.s
          const { startC } = run.water as { startC: number }
          const trace = Array.from({ length: 80 }, (_, i): [number, number] => {
            const s = (i * boilS * 1.3) / 79
            return [s, Math.min(96, startC + ((96 - startC) * s) / boilS) + (noise / 10) * Math.sin(i * 7)]
          })
          const [whole] = request([{ ...run, trace }]).runs as [RunDocument]
          const { traceReading } = reduceLight(request([run])).again(whole)
          const hotter = request([{ ...part(run, 'fuel', { lhvMJPerKg: lhv }), trace }])
          const [sampled] = hotter.runs as [RunDocument]
          const kept = { ...hotter, runs: [{ ...sampled, trace: [], traceReading }] }
          expect(reduce(kept).runs).toEqual(reduce(hotter).runs)
        },
      ),
      { numRuns: proofs(500) },
    )
  })

  it('every answer is finite or null with a reason; factors multiply to the total; more fuel is more g/L; a lower boiling point is less at the reference, the rest alike', () => {
    fc.assert(
      fc.property(physical, fc.constantFrom(...REFERENCES), (run, { id: _id, name: _name, ...reference }) => {
        const got = one(run, { reference })
        JSON.stringify(got, (_, value: unknown) => {
          if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true)
          return value
        })
        if (got.normalisedGPerL === null) expect(got.flags.length + got.missing.length).toBeGreaterThan(0)
        if (got.gPerL === null || got.status !== 'normalised') return
        expect(
          (got.gPerL * got.ladder.reduce((product, r) => product * (r.factor ?? 1), 1)) / got.normalisedGPerL!,
        ).toBeCloseTo(1, 9)
        const more = one(part(run, 'fuel', { usedG: (run.fuel as { usedG: number }).usedG * 1.05 }), { reference })
        expect(more.normalisedGPerL!).toBeGreaterThan(got.normalisedGPerL!)
        const lower = one(run, { reference: { ...reference, pressureHPa: 700 } })
        expect(lower.normalisedGPerL!).toBeLessThan(got.normalisedGPerL!)
        const colder = one(run, { reference: { ...reference, startC: reference.startC - 5 } })
        expect(colder.normalisedGPerL!).toBeGreaterThan(got.normalisedGPerL!)
      }),
      { numRuns: proofs(1000) },
    )
  })
})
