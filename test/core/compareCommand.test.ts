/** `compare` as a script meets it: a question of runs, its answer, and what is refused. */
import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { compareAsked } from '../../core/compare/compareAsked'
import type { CompareAnswer } from '../../core/formats/comparison'
import { compareArms } from '../../core/statistics/compareArms'
import { reduce } from '../../core/reduce'
import type { RunAnswer } from '../../core/formats/answer'
import { readCompareRequest } from '../../shared/compareRequest'
import { readReduceRequest } from '../../shared/reduceRequest'
import contract from '../reference/contract-run.json'

type Loose = Record<string, unknown>
const [base] = contract.runs as unknown as [Loose]
const part = (run: Loose, key: string, change: Loose): Loose => ({
  ...run,
  [key]: { ...(run[key] as Loose), ...change },
})
/** One of a set-up, as much fuel as is said. */
const run = (id: string, setup: string, usedG: number, change: Loose = {}): Loose => ({
  ...part(base, 'fuel', { usedG }),
  id,
  setup,
  ...change,
})
const POT = { massG: 140, material: 'aluminium', diameterMm: 120, finned: true }
const A = [12.5, 12.9, 12.7, 13.1].map((grams, i) => run(`a${i}`, 'plain', grams))
const B = [9.2, 9.5, 9.0, 9.4].map((grams, i) => run(`b${i}`, 'finned', grams, { pot: POT }))
const idsOf = (runs: Loose[]) => runs.map(({ id }) => id as string)
const TWO = {
  kind: 'two',
  arms: [
    { name: 'A', runs: idsOf(A) },
    { name: 'B', runs: idsOf(B) },
  ],
}
const document = (question: Loose, runs: Loose[] = [...A, ...B]) => ({
  format: 'vulcanum-compare',
  version: 1,
  reduce: { ...contract, runs },
  question,
})
function asked(question: Loose, runs?: Loose[]): CompareAnswer {
  const read = readCompareRequest(document(question, runs))
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return compareAsked(read.request)
}

describe('a question of a document', () => {
  it('two arms: says what the comparison of their reduced figures says, by the part that changed', () => {
    const { verdict, arms, differed, leftOut } = asked(TWO)
    const read = readReduceRequest({ ...contract, runs: [...A, ...B] })
    const answers = (read.ok ? reduce(read.request).runs : []) as RunAnswer[]
    const arm = (name: string, of: RunAnswer[]) => ({
      name,
      runs: of.map((one) => ({
        gPerL: one.normalisedGPerL!,
        uRandom: one.normalisedUReadingRandom!,
        stepGPerL: one.scaleStepGPerL ?? 0,
        shared: one.normalisedSharedBy,
      })),
    })
    const own = compareArms([arm('A', answers.slice(0, 4)), arm('B', answers.slice(4))])
    expect(verdict).toMatchObject({
      says: 'less',
      ratio: own.ratio,
      ci95: own.ci95,
      p: own.p,
      text: own.text,
      adjustedP: null,
    })
    expect(verdict.text).toMatch(/^B used \d\d % less fuel; \d\d to \d\d % fits\.$/)
    expect(arms).toMatchObject([
      {
        name: 'A',
        n: 4,
        letters: 'b',
        places: [2, 2],
        asMeasured: { gPerBoil: expect.closeTo(12.8, 9) as number, s: 228, n: 4, low: 12.5, high: 13.1 },
      },
      { name: 'B', n: 4, letters: 'a', places: [1, 1] },
    ])
    expect(differed.grade).toBe('onlyThis')
    expect(leftOut).toEqual([])
  })

  it('two parts that changed together name no winner; what does not count is left out, and why', () => {
    const both = B.map((one) => ({ ...one, lid: false }))
    const { verdict } = asked({ ...TWO, as: 'partAlone' }, [...A, ...both])
    expect(verdict).toMatchObject({ says: 'confounded', ratio: null, p: null })
    expect(verdict.text).toMatch(/differ in pot and lid/)
    const odd = [part(run('a9', 'plain', 12.7), 'place', { windMS: null }), run('a8', 'plain', 1)]
    const arms = [{ name: 'A', runs: [...idsOf(A), 'a9', 'a8', 'nobody'] }, TWO.arms[1]]
    expect(asked({ ...TWO, arms }, [...A, ...B, ...odd]).leftOut.map(({ id, why }) => [id, why])).toEqual([
      ['a9', 'its figure is corrected only in part'],
      ['a8', 'its figure is impossible, or its readings contradict each other'],
      ['nobody', 'it is not among the runs, or could not be read'],
    ])
    const none = asked({ ...TWO, arms: [TWO.arms[0], { name: 'B', runs: ['nobody'] }] })
    expect(none.verdict).toMatchObject({ says: 'tooFew' })
    expect(none.arms[1]).toMatchObject({ n: 0, mean: null, why: 'none of its runs counts' })
  })

  it('grams or heat: two fuels swap places by the heat in them', () => {
    const spirit = [19, 19.5, 19.2].map((grams, i) =>
      run(`m${i}`, 'cup', grams, {
        burner: { kind: 'alcohol' },
        fuel: { kind: 'methanol', usedG: grams, scaleResolutionG: 0.1 },
      }),
    )
    const arms = [TWO.arms[0], { name: 'M', runs: idsOf(spirit) }]
    expect(asked({ kind: 'two', arms }, [...A, ...spirit]).verdict.ratio).toBeGreaterThan(1.2)
    const heat = asked({ kind: 'two', unit: 'MJ', arms }, [...A, ...spirit]).verdict.ratio!
    expect(heat).toBeLessThan(0.8)
    const unknown = spirit.map((one) => ({ ...one, fuel: { ...(one.fuel as Loose), kind: null } }))
    expect(asked({ kind: 'two', unit: 'MJ', arms }, [...A, ...unknown]).leftOut.map(({ why }) => why)).toContain(
      'the heat in its fuel is not known',
    )
  })

  it('a flame-setting line has its points, its curve and its thriftiest; winds come with their limits; a claim is judged', () => {
    const flames = [0.5, 0.7, 0.9, 1.1, 1.3, 1.5].map((valve, i) =>
      run(`f${i}`, 'ring', 12.7 * valve ** 0.4, {
        setting: null,
        events: [
          { kind: 'potOn', s: 0 },
          { kind: 'rollingBoil', s: 228 / valve ** 0.6 },
        ],
      }),
    )
    const [line] = asked({ kind: 'flameLine', arms: [{ name: 'ring', runs: idsOf(flames) }] }, flames).lines
    expect(line!.points).toHaveLength(6)
    expect(line!.curve).toHaveLength(21)
    expect(line!.thriftiest).toBeCloseTo(Math.min(...line!.points.map(([x]) => x)), 6)
    const windy = [0, 0, 1.8, 3.6].map((windMS, i) =>
      part(run(`w${i}`, 'ledge', 12.7 * Math.exp(0.3 * windMS)), 'place', { windMS }),
    )
    const [wind] = asked({ kind: 'wind', arms: [{ name: 'ledge', runs: idsOf(windy) }] }, windy).lines
    expect(wind!.points.map(([x]) => x)).toEqual([0, 0, 1.8, 3.6])
    expect(wind!.doublingMS!.low).toBeLessThan(wind!.doublingMS!.value)
    expect(wind!.curve.length).toBeGreaterThan(10)
    expect(wind!.curve[0]![1]).toBeLessThan(wind!.curve.at(-1)![1])
    const claim = (value: number, startC: number | null) =>
      asked({ kind: 'claim', arms: [TWO.arms[0]], claim: { what: 'gPerL', value, conditions: { startC } } }).verdict
    expect(claim(40, 20)).toMatchObject({ says: 'met' })
    expect(claim(10, 20)).toMatchObject({ says: 'missed' })
    expect(claim(24.5, null).says).toMatch(/cannotSay|aboutAsSaid/)
  })
})

describe('lines, units and people of a document', () => {
  it('cold, height and volume: points corrected for all but one thing, and the model’s curve beyond them', () => {
    const cold = [20, 10, 0, -10].map((airC, i) => part(run(`k${i}`, 'ledge', 12.7 + i * 0.1), 'place', { airC }))
    const lineOf = (kind: string, runs: Loose[]) =>
      asked({ kind, arms: [{ name: 'it', runs: idsOf(runs) }] }, runs).lines[0]!
    const [inCold, inHeight] = [lineOf('cold', cold), lineOf('height', cold)]
    expect(inCold.points.map(([x]) => x)).toEqual([-10, 0, 10, 20])
    expect(inCold.curve[0]![0]).toBe(-20)
    // Colder air takes more; height, whose water boils cooler, less.
    expect(inCold.curve[0]![1]).toBeGreaterThan(inCold.curve.at(-1)![1])
    expect(inHeight.curve.at(-1)![0]).toBe(3500)
    expect(inHeight.curve.at(-1)![1]).toBeLessThan(inHeight.curve[0]![1])
    const volumes = [250, 500, 500, 1000].map((massG, i) =>
      part(run(`v${i}`, 'ledge', (12.7 * massG) / 473 + 1), 'water', { massG }),
    )
    expect(lineOf('volume', volumes).points.map(([x]) => x)).toEqual([250, 500, 500, 1000])
  })

  it('by money and by time: what has no price is left out by name, and words say what there is less of', () => {
    const spirit = [19, 19.5, 19.2].map((grams, i) =>
      run(`m${i}`, 'cup', grams, { fuel: { kind: 'methanol', usedG: grams, scaleResolutionG: 0.1 } }),
    )
    const arms = [TWO.arms[0], { name: 'M', runs: idsOf(spirit) }]
    const gas = (base.fuel as Loose).kind as string
    const prices = { [gas]: { amount: 7.5, forG: 230 }, methanol: { amount: 4.2, forG: 790 } }
    const dear = asked({ kind: 'two', unit: 'money', arms, prices }, [...A, ...spirit])
    expect(dear.arms[1]!.mean! / dear.arms[0]!.mean!).toBeLessThan(0.5)
    const half = asked({ kind: 'two', unit: 'money', arms, prices: { [gas]: prices[gas]! } }, [...A, ...spirit])
    expect(half.leftOut.map(({ why }) => why)).toEqual(Array(3).fill('the price of its fuel is not known'))
    expect(half.verdict.says).toBe('tooFew')
    const quick = B.map((one) => ({
      ...one,
      events: [
        { kind: 'potOn', s: 0 },
        { kind: 'rollingBoil', s: 160 },
      ],
    }))
    expect(asked({ ...TWO, unit: 's' }, [...A, ...quick]).verdict.text).toMatch(/^B took \d\d % less time;/)
    const refused = readCompareRequest(document({ ...TWO, unit: 'money' }))
    expect(refused).toMatchObject({ ok: false, problems: [{ path: 'question.prices' }] })
  })

  it('by what is carried: a heavy shell takes its share, and no container is refused by its name', () => {
    const gas = (base.fuel as Loose).kind as string
    const containers = { [gas]: { fuelG: 230, shellG: 150 } }
    const carried = asked({ ...TWO, unit: 'carriedG', containers })
    const fuel = asked(TWO)
    expect(carried.arms.map(({ mean }) => mean)).toEqual(
      fuel.arms.map(({ mean }) => expect.closeTo((mean! * 380) / 230, 9) as number),
    )
    expect(carried.verdict.text).toMatch(/^B took \d\d % less carried weight;/)
    const refused = readCompareRequest(document({ ...TWO, unit: 'carriedG' }))
    expect(refused).toMatchObject({ ok: false, problems: [{ path: 'question.containers' }] })
    const none = asked({ ...TWO, unit: 'carriedG', containers: { methanol: { fuelG: 100, shellG: 20 } } })
    expect(new Set(none.leftOut.map(({ why }) => why))).toEqual(new Set(['what its fuel is carried in is not known']))
  })

  it('what is planned shows no answer before its last run, and then the same as without a plan', () => {
    const early = asked({ ...TWO, planned: { perArm: 5 } })
    expect(early.verdict).toMatchObject({ says: 'tooFew', ratio: null, p: null, ci95: null })
    expect(early.verdict.text).toContain('4 of 5 of A, 4 of 5 of B')
    expect(early.arms.map(({ n, mean, letters, why }) => [n, mean, letters, why])).toEqual(
      Array(2).fill([4, null, null, 'shown when its 5 planned runs are burned']),
    )
    expect(early.pairs).toEqual([])
    expect(asked({ ...TWO, planned: { perArm: 4 } })).toEqual(asked(TWO))
    expect(readCompareRequest(document({ ...TWO, planned: { perArm: 0 } }))).toMatchObject({ ok: false })
  })

  it('people: scores of each, and how they repeat', () => {
    const burned = (who: string, grams: number[]) => grams.map((one, i) => run(`${who}${i}`, 'plain', one))
    const [late, early] = [burned('late', [13.6, 13.8, 13.5]), burned('early', [12.6, 12.7, 12.5])]
    const arms = [
      { name: 'late', runs: idsOf(late) },
      { name: 'early', runs: idsOf(early) },
    ]
    const { scores, ring } = asked({ kind: 'people', arms }, [...late, ...early])
    expect(scores.map(({ who, z }) => [who, Math.sign(z!)])).toEqual([
      ['late', 1],
      ['early', -1],
    ])
    expect(ring!.reproducibilitySd!).toBeGreaterThan(ring!.repeatabilitySd!)
  })

  it('claims of time, of boils a pack and of power, each with what it leaves open', () => {
    const judged = (claim: Loose) => asked({ kind: 'claim', arms: [TWO.arms[0]], claim }).verdict
    const there = { startC: 20, waterG: 500 }
    expect(judged({ what: 'timeS', value: 600, conditions: there })).toMatchObject({ says: 'met' })
    const slow = judged({ what: 'timeS', value: 120, conditions: { waterG: 500 } })
    expect(slow.says).toBe('missed')
    expect(slow.text).toMatch(/By these runs it fits from about \d\d\u202f°C on\./)
    expect(judged({ what: 'timeS', value: 120, conditions: {} }).text).toMatch(/how much water a boil is/)
    expect(judged({ what: 'boilsPerPack', value: 30, conditions: { ...there, packG: 230 } }).says).toBe('missed')
    expect(judged({ what: 'boilsPerPack', value: 10, conditions: { ...there, packG: 230 } }).says).toBe('met')
    expect(judged({ what: 'powerW', value: 9000, conditions: {} }).says).toBe('missed')
    expect(judged({ what: 'burnS', value: 600, conditions: {} }).text).toMatch(/how large the load is/)
  })
})

describe('the command', { timeout: 60_000 }, () => {
  const compare = (input: unknown) =>
    spawnSync(process.execPath, ['scripts/compare.mjs', '-'], { input: JSON.stringify(input), encoding: 'utf8' })

  it('prints one document; what is wrong is said by its path, and exits 1', () => {
    const { stdout, status } = compare(document(TWO))
    expect(status).toBe(0)
    expect(JSON.parse(stdout)).toEqual(JSON.parse(JSON.stringify(asked(TWO))))
    const wrong = compare(document({ kind: 'better', unit: 'kg', arms: [{ name: 'A' }], volumeG: 'much' }))
    expect(wrong.status).toBe(1)
    expect(wrong.stdout).toBe('')
    expect(wrong.stderr).toMatch(/question\.kind: read "better", expected one of two, ranking, flameLine/)
    expect(wrong.stderr).toMatch(/question\.unit: read "kg", expected one of g, MJ/)
    expect(wrong.stderr).toMatch(/question\.arms\[0\]\.runs/)
    expect(wrong.stderr).toMatch(/question\.volumeG: read "much", expected a number from 20 to 20000 g/)
    const twice = compare(document({ ...TWO, arms: [TWO.arms[0], { name: 'A', runs: ['a0'] }] }))
    expect(twice.stderr).toMatch(/two arms have one name/)
    expect(twice.stderr).toMatch(/a run stands in two arms/)
    expect(compare({ ...document(TWO), reduce: { runs: 3 } }).stderr).toMatch(
      /reduce\.runs: read 3, expected a list of runs/,
    )
  })
})
