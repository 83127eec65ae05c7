/** Questions found in the means of a bench: which are asked, of what, and which of many are shown. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answerPair, answerPeople } from '../../core/compare/answerPair'
import { carriedFor, crossingBoils } from '../../core/compare/carried'
import { askedPairOf, candidatesOf, isPair } from '../../core/compare/candidates'
import { shownAmong } from '../../core/compare/falseDiscovery'
import type { ComparedFacts, ComparedMean, ComparedPart } from '../../core/compare/facts'
import { placesOf } from '../../core/compare/places'
import { orderArms, rankArms } from '../../core/statistics/manyArms'
import { fuelAgeDays, fuelAgeText } from '../../core/kit/fuelAge'
import { lotSums, type LotSums } from '../../core/compare/lotSums'
import type { SummedArm } from '../../core/statistics/arms'
import { compareArms } from '../../core/statistics/compareArms'
import { USUAL_SCATTER } from '../../core/statistics/scatter'
import { proofs } from '../proofs'

const part = (role: string, name: string, more: Partial<ComparedPart> = {}): ComparedPart => ({
  role,
  versionId: `${role} ${name}`,
  name,
  finned: false,
  burner: role === 'burner' ? 'canister-top' : null,
  ...more,
})
let made = 0
function mean(parts: ComparedPart[], more: Partial<ComparedMean> = {}): ComparedMean {
  const of = parts.map(({ name }) => name).join(' with ')
  made++
  return {
    key: `key ${made}`,
    seriesKey: of,
    setupId: of,
    setup: of,
    setupVersionId: of,
    parts,
    fuelKind: 'isobutane',
    fuel: 'Isobutane',
    conventions: 'usual',
    test: { kind: 'boil', endC: null, setting: null, volumeG: 500 },
    n: 3,
    meanGPerL: 20,
    ...more,
  }
}
const ring = part('burner', 'Ring')
const pairs = (means: ComparedMean[]) => candidatesOf(means, null).filter(isPair)

describe('what is asked', () => {
  it('a part that was added, or has fins, is asked for against what is plain, whatever the order', () => {
    const [plain, finned] = [mean([ring, part('pot', 'Tin')]), mean([ring, part('pot', 'Bell', { finned: true })])]
    for (const means of [
      [plain, finned],
      [finned, plain],
    ])
      expect(pairs(means)).toMatchObject([{ kind: 'part', roles: ['pot'], means: [plain, finned] }])
    const lidded = mean([...plain.parts, part('lid', 'Lid')])
    expect(pairs([lidded, plain])).toMatchObject([{ kind: 'part', roles: ['lid'], means: [plain, lidded] }])
  })

  it('two parts that changed together are one question that nobody can answer; a burner comes with its stand', () => {
    const one = mean([ring, part('pot', 'Tin')])
    const both = mean([ring, part('pot', 'Bell'), part('lid', 'Lid')])
    expect(pairs([one, both])).toMatchObject([{ kind: 'together', roles: ['lid', 'pot'] }])
    const other = mean([part('burner', 'Cone'), part('stand', 'Three legs'), part('pot', 'Tin')])
    expect(pairs([one, other])).toMatchObject([{ kind: 'asUsed', roles: ['burner', 'stand'] }])
    const all = mean([part('burner', 'Cone'), part('screen', 'Wrap'), part('pot', 'Bell')])
    expect(pairs([one, all])).toEqual([])
  })

  it('only like is held against like: one kind of test, end, setting, volume, and conventions', () => {
    const one = mean([ring, part('pot', 'Tin')])
    const parts = [ring, part('pot', 'Bell')]
    const test = one.test
    for (const more of [
      { conventions: 'others' },
      { test: { ...test, volumeG: 1000 } },
      { test: { ...test, setting: 'low' as const } },
      { test: { ...test, kind: 'simmer' as const } },
      { test: { ...test, endC: 90 } },
    ])
      expect(pairs([one, mean(parts, more)])).toEqual([])
    expect(pairs([one, mean(parts, { test: { ...test, volumeG: 540 } })])).toHaveLength(1)
  })

  it('runs that two conventions read are asked of once, of the most; two fuels in one set-up by their heat', () => {
    const [few, many] = [1, 2].map((n) =>
      [ring, part('burner', 'Cone')].map((burner) =>
        mean([burner, part('pot', 'Tin')], { conventions: `read ${n}`, n: 2 * n }),
      ),
    ) as [ComparedMean[], ComparedMean[]]
    const asked = pairs([...few, ...many])
    expect(asked.map(({ means }) => means.map(({ conventions }) => conventions))).toEqual([['read 2', 'read 2']])
    const fuels = ['methanol', 'ethanol'].map((fuelKind) => mean([ring], { fuelKind, seriesKey: fuelKind }))
    expect(pairs(fuels)).toMatchObject([{ kind: 'fuels' }])
  })
})

describe('what is answered', () => {
  const facts = (grams: number[], values: ComparedFacts['values'], person = 'Ona'): ComparedFacts[] =>
    grams.map((gPerL, i) => ({
      id: `${person} ${gPerL}`,
      startedAt: `2026-05-0${i + 1}T10:00:00Z`,
      zone: 'UTC',
      gPerL,
      u: 0.4,
      uRandom: 0.2,
      stepGPerL: 0,
      shared: {},
      day: null,
      person,
      fuelG: gPerL / 2,
      boilS: 200,
      timeS: 200,
      timeU: 3,
      heatKJPerG: 45,
      batchId: null,
      ownRateGPerL: gPerL,
      burnRateGPerMin: 3,
      values: { lid: false, observer: person, ...values },
    }))
  const one = mean([ring, part('pot', 'Tin')])
  const other = mean([part('burner', 'Cone'), part('stand', 'Three legs'), part('pot', 'Tin')])
  const [candidate] = pairs([one, other])
  const of =
    (more: ComparedFacts['values'] = {}) =>
    (key: string) =>
      lotSums(
        key === one.key
          ? facts([20, 20.4, 20.2, 20.3], { burner: 'Ring', stand: null })
          : facts([15, 15.3, 15.1, 15.2], { burner: 'Cone', stand: 'Three legs', ...more }),
      )

  it('a burner with its own stand is answered as used, the thriftier by name; what else changed takes the answer away', () => {
    expect(answerPair(candidate!, of(), USUAL_SCATTER)).toMatchObject({
      kind: 'asUsed',
      sentence: 'Ring or Cone, as used: which takes less fuel?',
      line: expect.stringMatching(
        /^Cone with Three legs with Tin: 25 % less; \d\d to \d\d % fits\. As measured 7\.6/,
      ) as string,
      runs: '4 and 4 runs',
    })
    expect(answerPair(candidate!, of({ setting: 'low' }), USUAL_SCATTER)).toMatchObject({
      kind: 'together',
      effect: null,
      p: null,
      line: expect.stringMatching(/^Setting changed with the question/) as string,
    })
  })

  it('sums that were written down and read again answer what the runs do, in pairs of a day too', () => {
    const read = (lot: LotSums): LotSums => JSON.parse(JSON.stringify(lot)) as LotSums
    for (const day of [null, 'a day']) {
      const lots = new Map(
        [[20, 21, 20.4] as const, [15, 15.9, 15.2] as const].map((grams, i) => [
          [one, other][i]!.key,
          facts([...grams], { airC: 10 + 8 * i, screen: null, observer: `tester ${i}` }).map((run) => ({
            ...run,
            day,
          })),
        ]),
      )
      const asked = (sumsOf: (key: string) => LotSums) => answerPair(candidate!, sumsOf, USUAL_SCATTER)
      const answer = asked((key) => read(lotSums(lots.get(key)!)))
      expect(answer).toEqual(asked((key) => lotSums(lots.get(key)!)))
      expect(answer!.line).toMatch(/^Observer changed with the question/)
      const arms = [...lots].map(([name, own]) => ({ name, sums: read(lotSums(own)) }))
      const { by, ratio } = compareArms(arms as unknown as readonly [SummedArm, SummedArm])
      expect(by).toBe(day === null ? 'pooled' : 'paired')
      // In pairs or not, the ratio is that of the geometric means.
      expect(ratio).toBeCloseTo(Math.cbrt((15 * 15.9 * 15.2) / (20 * 21 * 20.4)), 12)
    }
  })

  it('two testers of one set-up are held against each other, unless each burned otherwise', () => {
    const both = (values: ComparedFacts['values']) => () => [
      ...facts([20, 20.4, 20.2, 20.3], {}),
      ...facts([21, 21.4, 21.2, 21.3], values, 'Per'),
    ]
    expect(answerPeople([one], both({}), USUAL_SCATTER)).toMatchObject({ kind: 'people', runs: '4 and 4 runs' })
    expect(answerPeople([one], both({ lid: true }), USUAL_SCATTER)).toMatchObject({ kind: 'together', effect: null })
    expect(answerPeople([one], () => facts([20, 21], {}), USUAL_SCATTER)).toBeNull()
  })
})

// Benjamini, Hochberg, J. R. Stat. Soc. B 57 (1995) 289, their example of 15 p-values: four are shown at 5 % (from
// memory).
it('of the fifteen of 1995 the first four are shown', () => {
  const p = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1,
  ]
  expect(shownAmong(p)).toEqual(p.map((_, i) => i < 4))
  expect(shownAmong([])).toEqual([])
})

it('an order says of many arms what their ranking says, without its words', () => {
  const arms = [20, 20.5, 23, 26].map((gPerL, i) => ({
    name: `arm ${i}`,
    runs: [0.98, 1, 1.03].map((one) => ({ gPerL: gPerL * one, uRandom: 0.2, stepGPerL: 0.1, shared: { scale: 0.3 } })),
  }))
  const { arms: ranked, pairs } = rankArms(arms)
  expect(orderArms(arms)).toEqual({
    arms: ranked.map(({ letters: _letters, ...arm }) => arm),
    pairs: pairs.map(({ verdict: _verdict, ...pair }) => pair),
  })
})

it('law: places hold every arm once, and no place stands on a difference that is not shown', () => {
  const arms = fc.array(fc.array(fc.double({ min: 18, max: 26, noNaN: true }), { minLength: 2, maxLength: 5 }), {
    minLength: 2,
    maxLength: 6,
  })
  fc.assert(
    fc.property(arms, (lots) => {
      const ranking = orderArms(lots.map((runs, i) => ({ name: `arm ${i}`, runs: runs.map((gPerL) => ({ gPerL })) })))
      const places = placesOf(ranking)
      expect(places.map(({ name }) => name)).toEqual(ranking.arms.map(({ name }) => name))
      for (const { name, from, to, tiedWith } of places) {
        expect(from).toBeLessThanOrEqual(to)
        expect(to - from).toBe(tiedWith.length)
        for (const other of tiedWith) expect(places.find((one) => one.name === other)!.tiedWith).toContain(name)
      }
      // Each place is one that some arm may hold.
      for (let place = 1; place <= places.length; place++)
        expect(places.some(({ from, to }) => from <= place && place <= to)).toBe(true)
    }),
    { numRuns: proofs(200) },
  )
})

describe('what is asked by hand, carried and aged', () => {
  it('any two set-ups can be asked of: as used with their burners, else too much changed together', () => {
    const one = mean([ring, part('pot', 'Tin'), part('lid', 'Lid')])
    const other = mean([part('burner', 'Cone'), part('pot', 'Bell')])
    expect(askedPairOf(one, other)).toMatchObject({ kind: 'asUsed', roles: ['burner', 'lid', 'pot'] })
    const parts = mean([ring, part('pot', 'Bell'), part('screen', 'Wrap')])
    expect(askedPairOf(one, parts)).toMatchObject({ kind: 'together' })
    expect(askedPairOf(one, mean([...one.parts], { fuelKind: 'methanol' }))).toMatchObject({ kind: 'fuels' })
    expect(askedPairOf(one, one)).toBeNull()
  })

  it('whole containers make stairs, and the last crossing is the one that counts', () => {
    const can = { contentG: 100, shellG: 100 }
    const gas = { name: 'gas', carriedG: carriedFor(30, { stoveG: 250, boilG: 10, container: can }) }
    // Ten boils to a can: the eleventh needs a second one.
    expect([gas.carriedG[0], gas.carriedG[9], gas.carriedG[10]]).toEqual([450, 450, 650])
    const piece = { contentG: 14, shellG: 0 }
    const tablets = { name: 'tablets', carriedG: carriedFor(30, { stoveG: 100, boilG: 28, container: piece }) }
    expect(tablets.carriedG[4]).toBe(240)
    const [crossing] = crossingBoils([gas, tablets])
    expect(crossing).toMatchObject({ lighter: 'gas', than: 'tablets' })
    const { boils } = crossing!
    expect(gas.carriedG[boils - 1]!).toBeLessThan(tablets.carriedG[boils - 1]!)
    expect(gas.carriedG[boils - 2]!).toBeGreaterThanOrEqual(tablets.carriedG[boils - 2]!)
    expect(crossingBoils([gas, { ...gas, name: 'again' }])).toEqual([])
  })

  it('opened gel and spirit age, hexamine crumbles, gas keeps (common practice, no source)', () => {
    const at = Date.parse('2026-07-01T12:00:00Z')
    expect(fuelAgeDays('alcohol-gel', '2026-06-01', at)).toBe(30)
    expect(fuelAgeText('alcohol-gel', '2026-06-01', at)).toMatch(/^Opened 30 days ago: opened gel loses alcohol/)
    expect(fuelAgeText('alcohol-gel', '2026-06-30', at)).toBeNull()
    expect(fuelAgeText('hexamine', '2026-01-01', at)).toMatch(/crumbles in air/)
    expect(fuelAgeDays('isobutane-propane', '2020-01-01', at)).toBeNull()
    expect(fuelAgeDays('methanol', null, at)).toBeNull()
  })
})
