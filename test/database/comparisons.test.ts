/** What the runs of the demonstration answer: found, answered, sorted, and answered anew when a run changes. */
import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { findAllQuestions } from '../../server/comparisons/findQuestions'
import { ratioRange } from '../../core/statistics/verdictText'
import { answerPage } from '../../server/comparisons/answerPage'
import { changedBy } from '../../server/comparisons/changedBy'
import { addClaim, withdrawClaim } from '../../server/comparisons/claims'
import { keepQuestion, keptLines, removeKept } from '../../server/comparisons/kept'
import { listSetups } from '../../server/kit/setups'
import { compareAsked } from '../../core/compare/compareAsked'
import type { CompareRequest } from '../../core/formats/comparison'
import type {
  CarriedAnswer,
  FactorsAnswer,
  LinesAnswer,
  PeopleAnswer,
  SeenAnswer,
  TracesAnswer,
} from '../../shared/answers'
import type { RankingAnswer, TwoAnswer } from '../../shared/comparison'
import { listQuestions } from '../../server/comparisons/listQuestions'
import { rankingQuestion } from '../../server/comparisons/ranking'
import { foundQuestions } from '../../server/comparisons/repository/foundQuestions'
import { twoQuestion } from '../../server/comparisons/twoQuestion'
import { loadDemonstration } from '../../server/demo/load'
import { careForRun } from '../../server/runs/runCare'
import { runCost } from '../../server/comparisons/prices'
import { findRun } from '../../server/runs/repository/findRuns'
import { makeTestDatabase, type TestDatabase } from './database'

const NOW = Date.parse('2026-11-01T12:00:00Z')
let bench: TestDatabase
const found = async () => (await foundQuestions(bench.db)).map(({ question }) => question)

beforeAll(async () => {
  bench = await makeTestDatabase('comparisons_test')
  await loadDemonstration(bench.db, () => undefined, NOW)
  await findAllQuestions(bench.db)
}, 120_000)
afterAll(() => bench.drop())

/** The question of a group that begins so. */
async function listed(group: string, begin: string) {
  const { groups } = await listQuestions(bench.db)
  return groups.find((one) => one.group === group)?.questions.find(({ sentence }) => sentence.startsWith(begin))
}

describe('what the demonstration’s runs answer', () => {
  // Facts of the trade (common practice, no source): fins save 25 to 40 %; a low flame saves; wind doubles and stalls.
  it('fins save a quarter to two fifths, shown after correction', async () => {
    for (const burner of ['Solfatara', 'Ignimbrite']) {
      const fins = (await found()).find(
        ({ kind, sentence }) => kind === 'part' && sentence === `Does Spatter 1000 F save fuel on ${burner}?`,
      )!
      expect(fins.line).toMatch(
        /^2[5-9] % less; \d\d to \d\d % fits\. As measured [\d.]+\u202fg and \d:\d\d a boil against [\d.]+\u202fg and \d:\d\d\.$/,
      )
      expect(fins.effect!.low).toBeGreaterThan(0.6)
      expect(fins.effect!.high).toBeLessThan(0.8)
    }
    expect(await listed('shown', 'Does Spatter 1000 F save fuel on Solfatara?')).toMatchObject({ grade: 'corrected' })
  })

  it('a lid saves a twentieth; a wide pot a fifth at full flame, and nothing at a low one', async () => {
    const effectOf = async (sentence: string, of: string) =>
      (await found()).find((one) => one.sentence === sentence && one.of.endsWith(of))!.effect!
    const lid = await effectOf('Does Flat lid save fuel on Solfatara?', '\u202fg')
    expect(lid.ratio).toBeGreaterThan(0.92)
    expect(lid.ratio).toBeLessThan(0.96)
    const full = await effectOf('Does Tuff 1300 save fuel on Fumarole?', 'at full')
    expect(full.ratio).toBeGreaterThan(0.77)
    expect(full.ratio).toBeLessThan(0.85)
    const low = await effectOf('Does Tuff 1300 save fuel on Fumarole?', 'at low')
    expect(low.low).toBeLessThan(1)
    expect(low.high).toBeGreaterThan(1)
  })

  it('a low flame is thrifty under a plain narrow pot; wind doubles its fuel and ends its boil', async () => {
    const flame = (await listed('shown', 'Which flame is thriftiest on Fumarole'))!
    expect(flame.line).toMatch(/^About 1\.\d\u202fg\/min: \d\d % less than at 3\.\d\u202fg\/min\.$/)
    const wind = (await listed('wind', 'How does Fumarole with narrow pot stand wind?'))!
    expect(wind.line).toMatch(
      /^May fail to boil from \d\.\d\u202fm\/s on\. Twice the fuel at \d\.\d\u202fm\/s \(\d\.\d to \d\.\d\)\.$/,
    )
  })

  it('asks each question once, and never of means that two conventions make of the same runs', async () => {
    const asked = (await found()).map(({ sentence, of, means }) => JSON.stringify([sentence, of, means.length]))
    expect(asked.filter((one, i) => asked.indexOf(one) !== i)).toEqual([])
  })
})

describe('a question’s page', () => {
  it('says what the list says; a run left out is not counted, and counts again', async () => {
    const fins = (await listed('shown', 'Does Spatter 1000 F save fuel on Solfatara?'))!
    const whole = await twoQuestion(bench.db, fins.asks)
    if (typeof whole === 'string') throw new Error(whole)
    expect(whole.effect).toEqual(fins.effect)
    expect(fins.line.startsWith(whole.line)).toBe(true)
    expect(whole.arms.map(({ n }) => `${n}`).join(' and ')).toBe(fins.runs.replace(' runs', ''))
    expect(whole.withoutOne![0]).toBeLessThan(whole.effect!.ratio)
    expect(whole.withoutOne![1]).toBeGreaterThan(whole.effect!.ratio)
    const [first] = whole.runs
    const less = await twoQuestion(bench.db, { ...fins.asks, out: first!.id })
    if (typeof less === 'string') throw new Error(less)
    expect(less.effect!.ratio).not.toBe(whole.effect!.ratio)
    expect(less.runs.filter(({ isCounted }) => !isCounted)).toMatchObject([{ id: first!.id }])
    const none = await twoQuestion(bench.db, { ...fins.asks, out: whole.runs.map(({ id }) => id).join(',') })
    expect(none).toMatch(/no run left that counts/)
    expect(await twoQuestion(bench.db, { ...fins.asks, water: '5000' })).toMatch(/^No runs answer this/)
    expect(await twoQuestion(bench.db, { a: 'x', b: "'; drop table run" })).toMatch(/^No runs answer this/)
  })

  it('a ranking has a place for each, ties in the row, and says what is not ranked', async () => {
    const ranking = (await listed('rankings', 'Which set-up boils'))!
    const answer = await rankingQuestion(bench.db, ranking.asks)
    if (typeof answer === 'string') throw new Error(answer)
    expect(answer.line).toBe(ranking.line)
    expect(answer.rows.map(({ boilG }) => boilG)).toEqual(answer.rows.map(({ boilG }) => boilG).sort((a, b) => a - b))
    for (const { from, to, tiedWith } of answer.rows) expect(to - from).toBe(tiedWith.length)
    expect(answer.rows.map(({ name }) => name)).toContain('Fumarole with narrow pot')
    expect(answer.notRanked.every(({ why }) => why !== '')).toBe(true)
    expect(await rankingQuestion(bench.db, { fuel: 'birch', test: 'boil', water: '500' })).toMatch(/^No three set-ups/)
  })
})

describe('asked otherwise', () => {
  const asked = async (page: string, query: Record<string, string>) => {
    const answer = await answerPage(bench.db, page, query)
    if (typeof answer === 'string') throw new Error(answer)
    return answer
  }
  const finsAsk = async () => (await listed('shown', 'Does Spatter 1000 F save fuel on Solfatara?'))!.asks

  it('at another reference every figure moves with its start; in other units the ratio is what it is', async () => {
    const asks = await finsAsk()
    const usual = (await asked('two', asks)) as TwoAnswer
    const colder = (await asked('two', { ...asks, reference: 'sixtyFahrenheit' })) as TwoAnswer
    // Brought to twice the water a boil takes about twice the fuel, and each row is of that boil.
    const litre = (await asked('two', { ...asks, with: '1000' })) as TwoAnswer
    expect(litre.of).toMatch(/^1,?000\u202fg/)
    litre.arms.forEach(({ boilG }, i) => {
      const times = boilG / usual.arms[i]!.boilG
      expect(times).toBeGreaterThan(1.8)
      expect(times).toBeLessThan(2.2)
    })
    for (const i of [0, 1] as const) {
      const [was, now] = [usual.arms[i], colder.arms[i]]
      // From 15.56 °C in place of 20 °C: 84.44 K in place of 80 K, the first of them free of loss.
      expect(now.boilG / was.boilG).toBeGreaterThan(1.045)
      expect(now.boilG / was.boilG).toBeLessThan(84.44 / 80)
    }
    const money = (await asked('two', { ...asks, unit: 'money' })) as TwoAnswer
    expect(money.effect!.ratio).toBeCloseTo(usual.effect!.ratio, 9)
    // 7.50 EUR for 230 g, as the demonstration's kit has it.
    expect(money.arms[0].boilG / usual.arms[0].boilG).toBeCloseTo(7.5 / 230, 9)
    expect(usual.timeLine).toMatch(/^0:\d\d sooner; 0:\d\d to 0:\d\d fits\.$/)
    expect(await answerPage(bench.db, 'two', { ...asks, from: '2027-01-01' })).toMatch(/no run left that counts/)
    expect(await answerPage(bench.db, 'betting', {})).toMatch(/^There is no such question/)
    expect(await answerPage(bench.db, 'lines', { kind: 'wind', setups: 'nobody' })).toMatch(/^No run of this set-up/)
    expect(await answerPage(bench.db, 'traces', { runs: 'x' })).toMatch(/^No run is named/)
  })

  it('every pair of the list: its document, put through the command line’s function, says what the page says', async () => {
    const { groups } = await listQuestions(bench.db)
    const pairs = groups.flatMap(({ questions }) => questions).filter(({ asks, effect }) => asks.a && effect)
    expect(pairs.length).toBeGreaterThan(10)
    for (const { asks, sentence, effect } of pairs) {
      const { verdict } = compareAsked((await asked('document', asks)) as CompareRequest)
      expect(verdict.ratio, sentence).toBeCloseTo(effect!.ratio, 9)
      expect(verdict.ci95![0], sentence).toBeCloseTo(effect!.low, 9)
    }
  })

  it('brought to a litre, every page tells a boil of a litre', async () => {
    const { asks } = (await listed('rankings', 'Which set-up boils'))!
    const wind = (await listed('wind', 'How does Fumarole with narrow pot stand wind?'))!.asks
    const people = (await listed('people', 'Do '))!.asks
    const pages: [string, Record<string, string>][] = [
      ['ranking', asks],
      ['factors', asks],
      ['carried', asks],
      ['people', people],
      ['lines', { kind: 'flameLine', setups: wind.setup!, fuel: wind.fuel! }],
    ]
    for (const [page, query] of pages) {
      const litre = (await asked(page, { ...query, with: '1000' })) as { sentence: string; of?: string }
      expect(`${litre.sentence} ${litre.of}`, page).toContain('1000\u202fg')
    }
    const carried = async (more: Record<string, string>) => {
      const { rows } = (await asked('carried', { ...asks, ...more })) as CarriedAnswer
      return rows.find(({ name }) => name === 'Solfatara with wide pot')!.boilG
    }
    // Half a litre and less of water was burned with.
    expect((await carried({ with: '1000' })) / (await carried({}))).toBeGreaterThan(1.8)
  })

  it('a mean is read as it was read, and the page says how: to 90 °C by its target', async () => {
    const rise = (await found()).find(({ kind, of }) => kind === 'people' && of.includes('to 90'))!
    const usual = (await asked('people', rise.asks)) as PeopleAnswer
    expect(usual.view).toMatchObject({ boil: 'target', targetC: 90 })
    const anew = (await asked('people', { ...rise.asks, reference: 'standardBench' })) as PeopleAnswer
    anew.arms.forEach(({ name, boilG }, i) => {
      expect(name).toBe(usual.arms[i]!.name)
      expect(boilG).toBeCloseTo(usual.arms[i]!.boilG, 6)
    })
  })

  it('lines, parts, people, pack weight, what was seen and traces of the demonstration say something, and of nothing why not', async () => {
    const { asks } = (await listed('rankings', 'Which set-up boils'))!
    const wind = (await listed('wind', 'How does Fumarole with narrow pot stand wind?'))!.asks
    const lines = (await asked('lines', { kind: 'wind', setups: wind.setup!, fuel: wind.fuel! })) as LinesAnswer
    expect(lines.lines[0]!.doublingMS!.value).toBeGreaterThan(2)
    expect(lines.lines[0]!.points.every(([x, y, u]) => x >= 0 && y > 0 && u > 0)).toBe(true)
    expect(lines.leftOut.every(({ setup }) => setup === 'Fumarole with narrow pot')).toBe(true)
    expect(lines.others.map(({ name }) => name)).toContain('Maar as issued')
    const factors = (await asked('factors', asks)) as FactorsAnswer
    const lid = factors.factors.find(({ what }) => what.startsWith('lid'))!
    expect(lid.ci95[0]).toBeLessThan(lid.ratio)
    expect(factors.line).toMatch(/^Most is saved by .*: .* less\. \d+ of \d+ changes shown\./)
    const carried = (await asked('carried', {
      ...asks,
      boils: '40',
      'can.isobutane-propane': '110,100',
    })) as CarriedAnswer
    const gas = carried.rows.find(({ fuelKind }) => fuelKind === 'isobutane-propane')!
    // Whole containers of 110 g in 100 g, as the address has them.
    expect(gas.carriedG[39]! - gas.stoveG).toBeCloseTo(210 * Math.ceil((40 * gas.boilG) / 110), 6)
    expect(carried.notDrawn.every(({ why }) => why !== '')).toBe(true)
    const seen = (await asked('seen', {})) as SeenAnswer
    const wide = seen.flames.find(({ name }) => name === 'Solfatara with wide pot')!
    expect(wide.cells.map(({ step }) => step)).toEqual(['even', 'spilling', 'off'])
    expect(await answerPage(bench.db, 'seen', { setups: 'nobody' })).toMatch(/^Nothing was seen/)
    const { rows } = await bench.db.execute<{ id: string }>(sql`select run_id as id from trace limit 2`)
    const ids = rows.map(({ id }) => id)
    const traces = (await asked('traces', { runs: `${ids.join(',')},${uuidv7()}`, align: 'potOn' })) as TracesAnswer
    expect(traces.lines.length + traces.left.length).toBe(3)
    expect(traces.left.map(({ why }) => why)).toContain('there is no run of this id here')
    expect(await answerPage(bench.db, 'carried', { fuel: 'birch' })).toMatch(/^No set-up has a corrected figure/)
  })

  it('a kept question is checked, frozen as it was, and taken off the list', async () => {
    const { asks } = (await listed('rankings', 'Which set-up boils'))!
    const kept = { id: uuidv7(), name: 'By then', page: 'ranking', query: asks }
    expect(await keepQuestion(bench.db, { ...kept, page: 'horses' })).toMatchObject({ status: 'invalid' })
    expect(await keepQuestion(bench.db, { ...kept, query: { fuel: 7 } })).toMatchObject({ status: 'invalid' })
    expect(await keepQuestion(bench.db, { ...kept, query: { fuel: 'birch' } })).toMatchObject({
      status: 'invalid',
      problems: [{ path: 'query' }],
    })
    expect((await keepQuestion(bench.db, kept)).status).toBe('saved')
    expect((await keepQuestion(bench.db, kept)).status).toBe('saved')
    expect((await keptLines(bench.db)).filter(({ name }) => name === 'By then')).toHaveLength(1)
    const now = (await asked('ranking', asks)) as RankingAnswer
    const frozen = (await asked('ranking', { ...asks, kept: kept.id })) as RankingAnswer
    expect({ ...frozen, keptAt: null }).toEqual(now)
    expect(frozen.keptAt).not.toBeNull()
    expect(await answerPage(bench.db, 'ranking', { ...asks, kept: uuidv7() })).toMatch(/^No ranking was kept/)
    expect((await removeKept(bench.db, kept.id)).status).toBe('saved')
    expect((await removeKept(bench.db, kept.id)).status).toBe('notFound')
  })

  it('rankings by time, by money across fuels, and as measured, with what moved since a day', async () => {
    const { asks } = (await listed('rankings', 'Which set-up boils'))!
    const by = async (more: Record<string, string>) => (await asked('ranking', { ...asks, ...more })) as RankingAnswer
    const [time, money, measured] = [
      await by({ unit: 's' }),
      await by({ across: 'yes', unit: 'money' }),
      await by({ by: 'measured' }),
    ]
    expect(time.rows[0]!.boilG).toBeGreaterThan(60)
    expect(new Set(money.rows.map(({ name }) => name))).toContain('Lahar in the cone')
    expect(money.currency).toBe('EUR')
    expect(money.prices.map(({ words }) => words)).toContain('7.50 EUR for 230\u202fg since 1 Feb 2026')
    expect(measured.rows[0]!.conditions).toMatch(/^start .* · (calm|wind .*) · height /)
    const since = await by({ since: '2026-08-01' })
    expect(since.rows.filter(({ moved }) => moved === 'new since then').map(({ name }) => name)).toEqual([
      'Fumarole with finned pot',
    ])
  })

  it('a ranking is the same by sums, by runs, and by means that were kept before there were sums', async () => {
    const { asks } = (await listed('rankings', 'Which set-up boils'))!
    const summed = (await asked('ranking', asks)) as RankingAnswer
    // No run is so old: its places before then are read from the runs.
    const { rows: byRuns } = (await asked('ranking', { ...asks, since: '1999-01-01' })) as RankingAnswer
    const figures = ({ rows }: Pick<RankingAnswer, 'rows'>) =>
      rows.map(({ moved: _moved, boilG, low, high, timeS, ...row }) => ({
        ...row,
        rounded: [boilG, low, high, timeS].map((value) => value?.toPrecision(12)),
      }))
    expect(figures({ rows: byRuns })).toEqual(figures(summed))
    await bench.db
      .transaction(async (tx) => {
        await tx.execute(sql`update setup_summary set sums = null`)
        expect(figures((await answerPage(tx, 'ranking', asks)) as RankingAnswer)).toEqual(figures(summed))
        tx.rollback()
      })
      .catch((error: Error) => expect(error.message).toMatch(/[Rr]ollback/))
  })

  it('a run says what it cost by the newest price of its fuel, or which price is missing', async () => {
    const { rows } = await bench.db.execute<{ id: string; kind: string }>(
      sql`select b.id, f.kind from fuel_batch b join fuel f on f.id = b.fuel_id order by b.name`,
    )
    const batchOf = (fuel: string) => rows.find(({ kind }) => kind === fuel)!.id
    const costs = (batchId: string) => runCost(bench.db, { batchId, litres: 0.5 }, { gPerL: 14, gPerLU: 0.35 })
    // Half a litre at 14 g/L is 7 g; 7.50 for 230 g is 3.26 for a hundred.
    expect(await costs(batchOf('isobutane-propane'))).toEqual({
      words: '0.228 ± 0.011 EUR a boil, 0.457 EUR/L (7.50 EUR for 230\u202fg since 1 Feb 2026)',
      missing: null,
    })
    const shed = batchOf('kerosene')
    expect(await costs(shed)).toEqual({ words: 'no price is known of Kerosene, generator shed', missing: shed })
  })

  it('a claim is kept, judged, found as a question, and taken back', async () => {
    const [{ id }] = (await listSetups(bench.db)).filter(({ name }) => name === 'Maar as issued') as unknown as [
      { id: string },
    ]
    const record = { id: uuidv7(), revision: 0, units: 'metric', personId: null, reason: '' }
    const fields = { value: '9 g', waterM3: '500 mL', startC: '20 °C' }
    const wrong = await addClaim(bench.db, id, { ...record, what: 'gPerBoil', fields: { value: '9 g' } })
    expect(wrong).toMatchObject({ status: 'invalid', problems: [{ path: 'fields.waterM3' }] })
    expect(await addClaim(bench.db, id, { ...record, what: 'luck', fields })).toMatchObject({ status: 'invalid' })
    const kept = await addClaim(bench.db, id, { ...record, what: 'gPerBoil', fields })
    expect(kept.status).toBe('saved')
    await findAllQuestions(bench.db)
    expect((await listed('claims', '“9.0\u202fg for 500\u202fmL” of Maar'))!.line).toMatch(
      /^Met: claimed 9\.0 g, measured/,
    )
    expect((await withdrawClaim(bench.db, id, record.id)).status).toBe('saved')
    await findAllQuestions(bench.db)
    expect(await listed('claims', '“9.0\u202fg for 500')).toBeUndefined()
  })
})

it('when a run changes what rests on it is answered anew, and as if all were', async () => {
  const fins = (await listed('shown', 'Does Spatter 1000 F save fuel on Solfatara?'))!
  const before = await twoQuestion(bench.db, fins.asks)
  if (typeof before === 'string') throw new Error(before)
  const { id } = before.runs.find(({ arm }) => arm === 1)!
  const { personId } = (await findRun(bench.db, id))!.record
  const outcome = await careForRun(bench.db, id, { id: uuidv7(), what: 'void', personId, reason: 'a wet pot' })
  expect(outcome.status).toBe('saved')
  expect((await listQuestions(bench.db)).isWaiting).toBe(true)
  await findAllQuestions(bench.db)
  const after = (await listed('shown', 'Does Spatter 1000 F save fuel on Solfatara?'))!
  expect(after.runs).toBe(`${before.arms[0].n} and ${before.arms[1].n - 1} runs`)
  const byChange = new Map((await foundQuestions(bench.db)).map(({ key, question }) => [key, question]))
  await bench.db.execute(sql`update series set compared_revision = null`)
  await findAllQuestions(bench.db)
  const fromScratch = new Map((await foundQuestions(bench.db)).map(({ key, question }) => [key, question]))
  expect(fromScratch).toEqual(byChange)
  // A kept question says that its answer has changed, and no run since tests it.
  const [kept] = await keptLines(bench.db)
  expect(kept!.now.runs).toBe(kept!.kept.runs - 1)
  expect(kept!.fresh).toBeNull()
  // Counted again, it is what moved the question.
  await careForRun(bench.db, id, { id: uuidv7(), what: 'unvoid', personId, reason: 'it was dry after all' })
  await findAllQuestions(bench.db)
  const moved = await changedBy(bench.db, id)
  expect(moved.find(({ sentence }) => sentence === after.sentence)).toMatchObject({
    before: ratioRange([after.effect!.low, after.effect!.high]),
    now: ratioRange([fins.effect!.low, fins.effect!.high]),
  })
})
