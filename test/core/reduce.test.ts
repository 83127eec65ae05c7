/** Documents in, answers out: the contract's worked run, what is missing, what is wrong, and the workings. */
import { execFileSync, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reduce } from '../../core/reduce'
import type { ReduceAnswer, RunAnswer } from '../../core/formats/answer'
import type { Working } from '../../core/explain/working'
import { setupMean } from '../../core/statistics/setupMean'
import { studentFactor95 } from '../../core/statistics/student'
import { readReduceRequest } from '../../shared/reduceRequest'
import { proofs } from '../proofs'

const contractFile = 'test/reference/contract-run.json'
const contract = JSON.parse(readFileSync(contractFile, 'utf8')) as { runs: Record<string, unknown>[] }
type Loose = Record<string, unknown>

/** The contract's run with parts replaced; `options` go into the envelope. */
function answer(change: Loose = {}, options: Loose = {}, workings = false): RunAnswer {
  const run = { ...contract.runs[0], ...change }
  const read = readReduceRequest({ ...contract, ...options, runs: [run] })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const [reduced] = reduce(read.request, { workings }).runs
  if (!reduced || 'error' in reduced) throw new Error(reduced?.error)
  return reduced
}
const part = (name: string, change: Loose): Loose => ({ [name]: { ...(contract.runs[0]![name] as Loose), ...change } })
/** A boil so many seconds after pot-on. */
const boiledAfter = (s: number): Loose => ({
  events: [
    { kind: 'potOn', s: 0 },
    { kind: 'rollingBoil', s },
  ],
})
const codes = (got: RunAnswer) => got.flags.map((flag) => flag.code)
const rung = (got: RunAnswer, name: string) => got.ladder.find((one) => one.rung === name)!

describe('the contract’s worked run (figures as the contract prints them)', () => {
  const got = answer()
  it.each([
    ['boilingPointC', 96.84, 2],
    ['litres', 0.47385, 5],
    ['timeToBoilS', 228, 6],
    ['timeToBoilU', 2.9, 6],
    ['fuelToBoilG', 12.7, 6],
    ['efficiency', 0.3073, 4],
    ['firepowerW', 2546, 0],
    ['burnRateGPerMin', 3.342, 3],
    ['q0W', 824.7, 1],
    ['gPerL', 26.802, 3],
    ['gPerLU', 0.36, 2],
    ['gPerLPerK', 0.3058, 4],
    ['normalisedGPerL', 24.394, 3],
    ['normalisedTimeS', 207.5, 1],
  ] as const)('%s is %d', (key, value, digits) =>
    expect(Math.abs(got[key]! - value)).toBeLessThanOrEqual(0.5 * 10 ** -digits),
  )

  it.each([
    ['start', 0.8826, 23.654],
    ['boilingPoint', 1.0432, 24.676],
    ['surroundings', 0.9886, 24.394],
    ['wind', 1, 24.394],
    ['flame', 1, 24.394],
  ])('rung %s: × %d to %d g/L', (name, factor, gPerL) => {
    expect(rung(got, name).factor).toBeCloseTo(factor, 3)
    expect(rung(got, name).gPerL).toBeCloseTo(gPerL, 2)
  })

  it('has its readings’ uncertainty, and, as the set-up’s figure, the repeatability of its flame on top', () => {
    // The contract prints 0.42 and 0.84.
    expect(got.normalisedUReading!).toBeGreaterThan(0.38)
    expect(got.normalisedUReading!).toBeLessThan(0.6)
    expect(got.normalisedU!).toBeGreaterThan(0.6)
    expect(got.normalisedU!).toBeLessThan(0.9)
    expect(codes(got)).toEqual(['altitude-effect'])
  })
})

describe('what is missing is named, and what can be said is said', () => {
  it('without wind: partly, the figure carried on', () => {
    const got = answer(part('place', { windMS: null }))
    expect(got).toMatchObject({ status: 'partly', missing: ['place.windMS'] })
    expect(rung(got, 'wind')).toMatchObject({ factor: null })
    expect(rung(got, 'wind').gPerL).toBeCloseTo(24.394, 3)
  })

  it('in wind, without a series: normalised by the class, wide and marked; wider yet where no class is said', () => {
    const got = answer(part('place', { windMS: 2 }))
    expect(got).toMatchObject({ status: 'normalised', missing: [] })
    expect(rung(got, 'wind')).toMatchObject({ basis: 'classDefault' })
    // An exposed head: v₀ 2.5 m/s, n 1.4, known to a factor of 1.4 (common practice, no source).
    expect(rung(got, 'wind').factor!).toBeLessThan(1 / (1 + (2 / 2.5) ** 1.4) + 0.1)
    expect(got.normalisedU! / got.normalisedGPerL!).toBeGreaterThan(0.15)
    expect(codes(got)).toContain('wind-class-default')
    const unsaid = answer({ ...part('place', { windMS: 2 }), burner: { kind: 'canister-top', head: null } })
    expect(unsaid.normalisedU! / unsaid.normalisedGPerL!).toBeGreaterThan(got.normalisedU! / got.normalisedGPerL!)
    expect(answer({ ...part('place', { windMS: 2 }), lossWPerK: null }).q0W!).toBeGreaterThan(
      answer({ lossWPerK: null }).q0W!,
    )
  })

  it('a weak flame of cold gas, with nothing warm to hold it against: partly, and asked for', () => {
    const got = answer(part('place', { airC: -5 }))
    expect(got).toMatchObject({ status: 'partly', missing: ['series.burnRate'] })
    expect(got.flags.find((flag) => flag.code === 'weak-flame')!.text).toMatch(
      /^Weak flame, 3\.3 g\/min: a low setting/,
    )
    expect(answer({ ...part('place', { airC: -5 }) }, { flame: false })).toMatchObject({ status: 'normalised' })
  })

  it('without air: the surroundings rung stays open', () => {
    expect(rung(answer(part('place', { airC: null })), 'surroundings')).toMatchObject({
      factor: null,
      basis: 'assumed',
    })
  })

  it('without a start temperature: as measured only', () => {
    const got = answer(part('water', { startC: null }))
    expect(got).toMatchObject({
      status: 'not',
      normalisedGPerL: null,
      missing: ['water.startC'],
      q0W: null,
      efficiency: null,
    })
    expect(got.gPerL).toBeCloseTo(26.802, 3)
    expect(got.gPerLU).toBeCloseTo(0.36, 2)
  })

  it('a flame that ran on: fuel to the boil unknown, unless the share of burn time is taken', () => {
    const events = [
      { kind: 'potOn', s: 0 },
      { kind: 'rollingBoil', s: 228 },
      { kind: 'flameOut', s: 456 },
    ]
    expect(answer({ events })).toMatchObject({ fuelToBoilG: null, gPerL: null, timeToBoilS: 228 })
    const shared = answer({ events, ...part('fuel', { burnOutShare: true }) })
    expect(shared.fuelToBoilG).toBeCloseTo(6.35, 6)
    expect(shared.gPerLU! / shared.gPerL!).toBeGreaterThan(0.1)
    expect(codes(shared)).toContain('even-flame-assumed')
  })

  it('warm-up counts as fuel: F = burn rate × (t + lead)', () => {
    const got = answer({
      events: [
        { kind: 'lit', s: -60 },
        { kind: 'potOn', s: 0 },
        { kind: 'rollingBoil', s: 228 },
      ],
    })
    expect(got.burnRateGPerMin).toBeCloseTo((12.7 / 288) * 60, 6)
    expect(got.normalisedGPerL! / got.gPerL!).toBeCloseTo((got.normalisedTimeS! + 60) / 288, 6)
    expect(
      answer(
        {
          events: [
            { kind: 'lit', s: -60 },
            { kind: 'potOn', s: 0 },
            { kind: 'rollingBoil', s: 228 },
          ],
        },
        { clock: 'lit' },
      ).timeToBoilS,
    ).toBe(288)
  })
})

describe('runs that never boiled', () => {
  const gaveUp = (endC: number, s: number) => ({
    ...part('water', { endC }),
    events: [
      { kind: 'potOn', s: 0 },
      { kind: 'gaveUp', s },
    ],
  })
  it('is carried to the reference by the model, as extrapolated', () => {
    const got = answer(gaveUp(80, 300))
    expect(got).toMatchObject({ gPerL: null, timeToBoilS: null, ended: 'gaveUp', boilFrom: 'extrapolated' })
    expect(got.gPerLPerK!).toBeGreaterThan(0)
    expect(got.normalisedGPerL!).toBeGreaterThan(0)
    expect(codes(got)).toContain('extrapolated')
  })

  it('one that stalls says where, and is not normalised where it would stall too', () => {
    const got = answer({ ...gaveUp(60, 3600), lossWPerK: { value: 3, u: 0.3 } })
    expect(got).toMatchObject({ status: 'not', normalisedGPerL: null })
    expect(got.stallsAtC!).toBeGreaterThan(59)
    expect(got.stallsAtC!).toBeLessThan(70)
    expect(codes(got)).toEqual(expect.arrayContaining(['stalls', 'stalls-at-reference']))
  })

  it('stopped by rain is no failure to boil', () => {
    const got = answer({
      ...part('water', { endC: 70 }),
      events: [
        { kind: 'potOn', s: 0 },
        { kind: 'stopped', s: 200, reason: 'rain' },
      ],
    })
    expect(got.ended).toBe('stopped')
    expect(got.flags.find((flag) => flag.code === 'stopped')!.text).toBe(
      'Stopped from outside (rain). Not a failure to boil.',
    )
  })
})

describe('slips are caught', () => {
  it.each<[string, Loose, string]>([
    ['fuel after above before', part('fuel', { usedG: null, beforeG: 198, afterG: 212 }), 'fuel-after-above-before'],
    [
      'boil before pot-on',
      {
        events: [
          { kind: 'potOn', s: 292 },
          { kind: 'rollingBoil', s: 250 },
        ],
      },
      'boil-before-pot-on',
    ],
    ['start above the boiling point', part('water', { startC: 100 }), 'start-above-boiling'],
    ['more heat in the water than in the fuel', part('fuel', { usedG: 3.5 }), 'impossible-efficiency'],
    ['an efficiency no such stove has', part('fuel', { usedG: 5 }), 'doubtful-efficiency'],
    ['a boil two seconds after pot-on', boiledAfter(2), 'impossible-power'],
    ['a boil that took a minute', boiledAfter(50), 'doubtful-power'],
    ['a boil of three hours', boiledAfter(10_800), 'doubtful-power'],
  ])('%s', (_, change, code) => expect(codes(answer(change))).toContain(code))

  it('of a power that cannot be, the likeliest is named, and the run leans on no other', () => {
    const slip = (s: number) => answer(boiledAfter(s)).flags.find((flag) => flag.code.endsWith('-power'))?.slip
    expect(slip(5)).toBe('A time of 0:05: minutes typed as seconds?')
    expect(slip(10_800)).toBe('A time of 180:00: seconds typed as minutes?')
    expect(codes(answer(boiledAfter(292)))).not.toContain('doubtful-power')
    const read = readReduceRequest({
      ...contract,
      runs: ['a', 'b', 'c'].map((id) => ({ ...contract.runs[0], id, ...(id === 'c' ? boiledAfter(2) : {}) })),
    })
    const { setups, runs } = reduce((read as Extract<typeof read, { ok: true }>).request)
    expect(runs.map((one) => codes(one as RunAnswer).includes('impossible-power'))).toEqual([false, false, true])
    expect(setups[0]).toMatchObject({ n: 2, leftOut: ['c'] })
  })
})

describe('bad documents', () => {
  it('a wrong envelope stops it, naming path, what was read and what is expected', () => {
    const read = readReduceRequest({
      format: 'vulcanum-reduce',
      version: 2,
      model: 'best',
      reference: { startC: '20' },
      runs: {},
    })
    expect(!read.ok && read.problems).toEqual(
      expect.arrayContaining([
        { path: 'version', text: 'read 2, expected 1' },
        { path: 'model', text: 'read "best", expected one of loss, energy, ratio' },
        { path: 'reference.startC', text: 'read "20", expected a number from -5 to 110 °C, or null' },
        { path: 'runs', text: 'read {}, expected a list of runs' },
      ]),
    )
  })

  it('a wrong run comes back with its error and does not stop the others', () => {
    const read = readReduceRequest({
      ...contract,
      runs: [
        {
          id: 'a',
          water: { massG: 'much' },
          trace: [
            [0, 1],
            [1, null],
          ],
        },
        contract.runs[0],
        7,
      ],
    })
    const runs = read.ok ? reduce(read.request).runs : []
    expect(runs[0]).toEqual({
      id: 'a',
      error:
        'runs[0].water.massG: read "much", expected a number from 20 to 20000 g, or null; runs[0].trace[1]: read [1,null], expected [seconds, °C]',
    })
    expect(runs[1]).toMatchObject({ id: 'contract', status: 'normalised' })
    expect(runs[2]).toMatchObject({ id: 'runs[2]' })
  })

  it('law: no answer holds NaN or infinity, whatever is missing', () => {
    const some = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null })
    const number = (min: number, max: number) => some(fc.double({ min, max, noNaN: true }))
    const anyRun = fc.record({
      id: fc.constant('x'),
      setup: fc.constant('s'),
      lid: some(fc.boolean()),
      screen: some(fc.constantFrom('none', 'cone')),
      place: fc.record({
        altitudeM: number(-500, 9000),
        stationPressureHPa: number(300, 1100),
        airC: number(-60, 60),
        windMS: number(0, 40),
      }),
      water: fc.record({
        massG: number(20, 20_000),
        startC: number(-5, 110),
        endC: number(-5, 110),
        endMassG: number(20, 20_000),
      }),
      pot: fc.record({ massG: number(1, 5000), diameterMm: number(20, 1000) }),
      fuel: fc.record({
        kind: some(fc.constantFrom('methanol', 'hexamine', 'isobutane-propane')),
        usedG: number(0.01, 2000),
        usedMl: number(0.1, 2000),
        scaleResolutionG: number(0.001, 10),
      }),
      events: fc.array(
        fc.record({
          kind: fc.constantFrom('lit', 'potOn', 'rollingBoil', 'gaveUp', 'flameOut', 'firstBubbles', 'relit'),
          s: fc.double({ min: -1000, max: 80_000, noNaN: true }),
        }),
        { maxLength: 5 },
      ),
    })
    fc.assert(
      fc.property(
        anyRun,
        fc.constantFrom('loss', 'energy', 'ratio'),
        fc.constantFrom('putIn', 'remaining'),
        (run, model, litre) => {
          const read = readReduceRequest({ format: 'vulcanum-reduce', version: 1, model, litre, runs: [run] })
          if (!read.ok) throw new Error('not read')
          const [got] = reduce(read.request, { workings: true }).runs as [RunAnswer]
          const numbers: unknown[] = []
          JSON.stringify({ ...got, workings: undefined }, (_, one: unknown) => {
            if (typeof one === 'number') numbers.push(one)
            return one
          })
          expect(numbers.every(Number.isFinite)).toBe(true)
          const whole = got.status === 'normalised' && got.gPerL !== null
          if (whole)
            expect(
              (got.gPerL! * got.ladder.reduce((product, one) => product * one.factor!, 1)) / got.normalisedGPerL!,
            ).toBeCloseTo(1, 9)
          if (got.normalisedGPerL === null) expect(got.missing.length + got.flags.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: proofs(1500) },
    )
  })
})

describe('workings', () => {
  /** Works a formula out from its own inputs: independent of the code that told it. */
  function evaluated({ formula, inputs }: Working): number {
    const script = formula
      .replace(/\{([^}]+)\}/g, (_, symbol: string) => `(${inputs.find((one) => one.symbol === symbol)!.value})`)
      .replaceAll('·', '*')
      .replaceAll('−', '-')
      .replaceAll('^', '**')
      .replace('10⁻⁵', '1e-5')
    return Number(Function(`return ${script}`)())
  }

  it('each formula, worked out from its inputs, gives its number', () => {
    const { workings } = answer({ ...part('place', { stationPressureHPa: null }), lossWPerK: null }, {}, true)
    const arithmetic = Object.values(workings!).filter((one) => !/such that|T_b\(|=|Σ|where|P_ev|Δh/.test(one.formula))
    expect(arithmetic.map((one) => one.path)).toEqual(
      expect.arrayContaining([
        'pressureHPa',
        'usedG',
        'fuelToBoilG',
        'burnRateGPerMin',
        'firepowerW',
        'efficiency',
        'gPerL',
        'lossWPerK',
        'ladder.start',
        'normalisedGPerL',
      ]),
    )
    for (const working of arithmetic) expect(evaluated(working) / working.value!, working.path).toBeCloseTo(1, 6)
  })

  it('every number on the answer can be followed down to readings', () => {
    const { workings, ...got } = answer({}, {}, true)
    for (const path of [
      'boilingPointC',
      'litres',
      'fuelToBoilG',
      'efficiency',
      'firepowerW',
      'burnRateGPerMin',
      'q0W',
      'gPerL',
      'normalisedGPerL',
    ] as const) {
      expect(workings![path]!.value, path).toBe(got[path])
      for (const input of workings![path]!.inputs)
        if (input.path) expect(workings![input.path], `${path} → ${input.path}`).toBeDefined()
    }
    const shares = workings!.normalisedGPerL!.shares!.reduce((sum, one) => sum + one.share, 0)
    expect(shares).toBeCloseTo(1, 9)
  })
})

describe('mean of a set-up', () => {
  // Source: Student's t table, two-sided 95 % (any statistics text): 12.706, 4.303, 2.228, 1.960.
  it.each([
    [1, 12.706],
    [2, 4.303],
    [10, 2.228],
    [1e9, 1.96],
  ])('factor for %d degrees of freedom is %d', (freedom, factor) =>
    expect(studentFactor95(freedom)).toBeCloseTo(factor, 3),
  )

  it('divides what repeating shrinks, and not what is shared; what moves its runs apart cancels', () => {
    // In per cent of each: 4 apart, 2 and 1.2 shared.
    const runs = [-0.04, 0, 0.04].map((ln) => {
      const gPerL = 24 * Math.exp(ln)
      const shared = { loss: 0.02 * gPerL, theta: 0.012 * gPerL, 'wind class': ln * gPerL }
      return { gPerL, uRandom: 0.012 * gPerL, uReadingRandom: 0.008 * gPerL, shared }
    })
    const { meanGPerL, meanU, sdGPerL, ci95 } = setupMean(runs)
    expect(meanGPerL).toBeCloseTo(24, 12)
    expect(sdGPerL! / 24).toBeCloseTo(0.04, 12)
    expect(meanU / 24).toBeCloseTo(Math.sqrt(0.04 ** 2 / 3 + 0.02 ** 2 + 0.012 ** 2), 12)
    // Effective degrees of freedom (Welch–Satterthwaite) by hand: (0.0010773/0.0005333)²·2 = 8.161 → t = 2.298
    // (interpolated in Student's table).
    expect(Math.log(ci95![1] / ci95![0]) / 2 / (meanU / 24)).toBeCloseTo(2.298, 2)
    expect(setupMean(runs.slice(0, 1))).toMatchObject({ n: 1, sdGPerL: null, ci95: null })
  })
})

describe('a series', () => {
  const reduced = (runs: Loose[]) => {
    const read = readReduceRequest({ ...contract, runs })
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    return reduce(read.request)
  }
  const [base] = contract.runs as [Loose]
  const inWind = (id: string, windMS: number, fuel: Loose, s = 300): Loose => ({
    ...base,
    id,
    place: { ...(base.place as Loose), windMS },
    fuel: { ...(base.fuel as Loose), ...fuel },
    events: [
      { kind: 'potOn', s: 0 },
      { kind: 'rollingBoil', s },
    ],
  })
  const methanol = { kind: 'methanol', lhvMJPerKg: null, usedG: 24 }
  const ethanol = { kind: 'ethanol', lhvMJPerKg: null, usedG: 30 }

  it('holds one fuel: another in the same set-up moves none of its figures, and has a mean of its own', () => {
    const own = [inWind('m0', 0, methanol), inWind('m1', 2, methanol, 420), inWind('m2', 3, methanol, 500)]
    const others = [inWind('e1', 2, ethanol, 310), inWind('e2', 3, ethanol, 320)]
    const [apart, together] = [reduced(own), reduced([...others, ...own])]
    expect(together.runs.slice(2)).toEqual(apart.runs)
    expect(together.setups.map(({ fuel, n }) => [fuel, n])).toEqual([
      ['ethanol', 2],
      ['methanol', 3],
    ])
    // A heating value that was measured is another fuel than the same kind's as built in.
    const richer = reduced([...own, inWind('m3', 2, { ...methanol, lhvMJPerKg: 18.5 }, 300)])
    expect(richer.runs.slice(0, 3)).toEqual(apart.runs)
  })

  it('has a mean for each kind of test, setting and volume, and none of them all; a cool-down without fuel serves every fuel', () => {
    const volume = (id: string, massG: number, more: Loose = {}) => ({
      ...base,
      id,
      water: { ...(base.water as Loose), massG },
      ...more,
    })
    const { runs, setups } = reduced([
      volume('a', 473),
      volume('b', 500),
      volume('c', 1000),
      volume('d', 500, { setting: 'low' }),
    ])
    expect(setups[0]!.means.map(({ setting, volumeG, n }) => [setting, volumeG, n])).toEqual([
      [null, 487, 2],
      [null, 1000, 1],
      ['low', 500, 1],
    ])
    expect(setups[0]).toMatchObject({ n: 4, meanGPerL: null, meanU: null, ci95: null })
    expect(runs.map((one) => ('error' in one ? null : one.mean?.volumeG))).toEqual([487, 487, 1000, 500])
    const cooling = {
      ...base,
      id: 'cool',
      kind: 'coolDown',
      fuel: null,
      events: [],
      trace: Array.from({ length: 61 }, (_, i) => [i * 30, 11 + 80 * Math.exp(-i / 60)]),
    }
    const estimated = [inWind('m', 0, methanol), inWind('e', 0, ethanol)].map((run) => ({ ...run, lossWPerK: null }))
    const loss = (answer: ReduceAnswer) =>
      answer.runs.slice(0, 2).map((one) => ('error' in one ? null : one.ladder[2]!.basis))
    expect([loss(reduced(estimated)), loss(reduced([...estimated, cooling]))]).toEqual([
      ['assumed', 'assumed'],
      ['ownSeries', 'ownSeries'],
    ])
  })
})

describe('command line', () => {
  const run = (args: string[], input?: string) =>
    spawnSync(process.execPath, ['scripts/reduce.mjs', ...args], { input, encoding: 'utf8' })
  it('prints one JSON document, from a file or standard input, and nothing else', () => {
    const out = execFileSync(process.execPath, ['scripts/reduce.mjs', contractFile], { encoding: 'utf8' })
    expect(JSON.parse(out)).toMatchObject({
      format: 'vulcanum-reduced',
      version: 1,
      runs: [{ id: 'contract' }],
      setups: [{ n: 1 }],
    })
    expect(run(['-'], readFileSync(contractFile, 'utf8')).stdout).toBe(out)
  })

  it('exits 1 with a line per problem, and explains itself', () => {
    const bad = run(['-'], '{"format":"vulcanum-reduce","version":3,"runs":[]}')
    expect(bad).toMatchObject({ status: 1, stdout: '', stderr: 'version: read 3, expected 1\n' })
    expect(run(['-'], '{nonsense').stderr).toMatch(/^\$: not JSON/)
    expect(run(['--help']).stdout).toContain('standard error with its JSON path')
    expect(run([contractFile, '--csv']).stdout.split('\n')[1]).toMatch(
      /^contract,worked run,measured,boil,normalised,boiled,96\.84/,
    )
  })
})
