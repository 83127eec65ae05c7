/** Set-ups ranked by what a boil takes: fuel, time, heat or money. */
import { leadersLine, rankingSentence } from '../../core/compare/answerGroup'
import { rankingsOf } from '../../core/compare/candidates'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { measuredIn } from '../../core/compare/measured'
import { placesOf, type Place } from '../../core/compare/places'
import { lotSums, namedFacts, type LotSums, type NamedLot } from '../../core/compare/lotSums'
import { armNamesOf, testAsked, testWords } from '../../core/compare/words'
import type { AskedUnit } from '../../core/formats/comparison'
import { orderArms, type Order } from '../../core/statistics/manyArms'
import { priorScatter, type PriorScatter } from '../../core/statistics/scatter'
import { setupWarnings } from '../../core/kit/setupWarnings'
import { isDay } from '../../shared/moments'
import { RANKED_BY, type RankedBy, type RankingAnswer } from '../../shared/comparison'
import type { Connection } from '../database/connection'
import { repeatedMeans } from '../runs/repository/means'
import { armLine } from './armLine'
import { meansAcross } from './acrossFuels'
import { askedFacts } from './askedDocuments'
import { askedTest, isOfTest, type AskedTest } from './askedTest'
import { atAskedWater, isOtherView, unitOf, viewOf, type AskedQuery } from './askedView'
import { measuredRanking } from './measuredRanking'
import { NO_PRICES, pricesOf, type Prices } from './prices'
import { setupsOfTest } from './repository/besides'
import { conventionsOfMean } from './readAs'
import { comparedMeans, sumsOfMeans } from './repository/comparisons'

/** @returns the ranking, or why there is none, in words */
export async function rankingQuestion(db: Connection, query: AskedQuery): Promise<RankingAnswer | string> {
  const test = askedTest(query)
  if (test === null) return NO_RANKING
  const all = await comparedMeans(db)
  const others = otherRankings(all, test)
  if (byOf(query) === 'measured') return measuredRanking(db, { test, all, others, query })
  const isAcross = query.across !== undefined
  const means = (isAcross ? meansAcross(all, test) : (rankedMeans(all, test) ?? [])).map(atAskedWater(query))
  if (means.length < FEWEST) return NO_RANKING
  const unit = isAcross && query.unit === undefined ? 'MJ' : unitOf(query)
  const { lots, prices } = await rankedLots(db, { means, query, unit })
  if (lots.length < FEWEST) return prices.unpriced.length > 0 ? noPrice(prices) : NO_RANKING
  return ranked(db, { test, query, unit, prices, lots, others, isAcross, of: means[0]!, all })
}
const FEWEST = 3
const NO_RANKING =
  'No three set-ups were burned alike for this: a ranking needs three of one fuel, kind of test and volume. Burn what is missing once by the same method.'
const noPrice = ({ unpriced }: Prices): string =>
  `Too few fuels have a price for a ranking by money. None is known of ${unpriced.map(({ name }) => name).join(', ')}: add it on the page of the fuel.`

const byOf = ({ by, unit }: AskedQuery): RankedBy => RANKED_BY.find((one) => one === (by ?? unit)) ?? 'g'

const rankedMeans = (all: readonly ComparedMean[], test: AskedTest): readonly ComparedMean[] | null =>
  rankingsOf(all).find(({ means }) => isOfTest(means[0]!, test))?.means ?? null

const otherRankings = (all: readonly ComparedMean[], test: AskedTest): RankingAnswer['others'] =>
  rankingsOf(all)
    .filter(({ means: [of] }) => !isOfTest(of!, test))
    .map(({ means: [of] }) => ({ words: `${of!.fuel}, ${testWords(of!.test)}`, query: testAsked(of!) }))

interface Lot {
  mean: ComparedMean
  lot: NamedLot
  /** In grams. */
  own: LotSums
  /** In the unit, where its runs were read. */
  facts: readonly ComparedFacts[]
}

interface Ranked {
  means: readonly ComparedMean[]
  query: AskedQuery
  unit: AskedUnit
}
/** As listed and in grams, a ranking takes no more of runs than their sums. */
async function rankedLots(db: Connection, { means, query, unit }: Ranked): Promise<{ lots: Lot[]; prices: Prices }> {
  if (unit === 'g' && !isOtherView(query) && query.since === undefined) {
    const sums = await sumsOfMeans(
      db,
      means.map(({ key }) => key),
    )
    return { lots: summedLots(means, sums), prices: NO_PRICES }
  }
  const facts = await askedFacts(db, means, query)
  const prices = unit === 'money' ? await pricesOf(db, facts.values()) : NO_PRICES
  return { lots: lotsOf(means, facts, (one) => measuredIn(unit, one, prices.perGram)), prices }
}

function summedLots(means: readonly ComparedMean[], sumsOf: ReadonlyMap<string, LotSums>): Lot[] {
  const names = armNamesOf(means)
  return means.flatMap((mean, i) => {
    const own = sumsOf.get(mean.key)
    return own === undefined ? [] : [{ mean, own, lot: { name: names[i]!, sums: own }, facts: [] }]
  })
}

function lotsOf(
  means: readonly ComparedMean[],
  factsOf: ReadonlyMap<string, ComparedFacts[]>,
  inUnit: (one: ComparedFacts) => ComparedFacts | null,
): Lot[] {
  const names = armNamesOf(means)
  return means.flatMap((mean, i) => {
    const read = factsOf.get(mean.key) ?? []
    const facts = read.flatMap((one) => inUnit(one) ?? [])
    return facts.length === 0 ? [] : [{ mean, own: lotSums(read), lot: namedFacts(names[i]!, facts), facts }]
  })
}

interface Asked {
  test: AskedTest
  query: AskedQuery
  unit: AskedUnit
  prices: Prices
  lots: readonly Lot[]
  others: RankingAnswer['others']
  isAcross: boolean
  of: ComparedMean
  all: readonly ComparedMean[]
}
async function ranked(db: Connection, asked: Asked): Promise<RankingAnswer> {
  const { test, query, unit, lots, others, isAcross, of } = asked
  const { perGram: _, ...money } = asked.prices
  const prior = priorScatter(await repeatedMeans(db, [test.kind]))
  const order = orderOf(lots, prior)
  const before = placesBefore(lots, prior, query.since)
  return {
    view: viewOf(query, await conventionsOfMean(db, of)),
    unit,
    ...money,
    by: unit,
    isAcross,
    keptAt: null,
    sentence: isAcross ? acrossSentence(of) : rankingSentence(of),
    line: leadersLine(order),
    fuel: isAcross ? '' : of.fuel,
    rows: placesOf(order).map((place) => rowOf(place, { lots, unit, before })),
    notRanked: await notRankedOf(db, asked),
    others,
  }
}

const acrossSentence = ({ test }: ComparedMean): string =>
  `Of all fuels: which set-up boils ${testWords(test)} for least?`

const orderOf = (lots: readonly Pick<Lot, 'lot'>[], prior: PriorScatter): Order =>
  orderArms(
    lots.map(({ lot }) => lot),
    { prior },
  )

/** Places as they were before a day; null: nobody asks. */
function placesBefore(lots: readonly Lot[], prior: PriorScatter, since: unknown): Map<string, Place> | null {
  if (typeof since !== 'string' || !isDay(since)) return null
  const then = lots.flatMap(({ lot, facts }) => {
    const before = facts.filter(({ startedAt }) => startedAt < since)
    return before.length === 0 ? [] : [{ lot: namedFacts(lot.name, before) }]
  })
  return new Map(placesOf(orderOf(then, prior)).map((place) => [place.name, place]))
}

interface InRanking {
  lots: readonly Lot[]
  unit: AskedUnit
  before: ReadonlyMap<string, Place> | null
}
function rowOf({ name, ...place }: Place, { lots, unit, before }: InRanking): RankingAnswer['rows'][number] {
  const { mean, lot, own } = lots.find((one) => one.lot.name === name)!
  return {
    ...armLine(mean, lot, unit),
    ...place,
    caution: cautionOf(mean),
    moved: movedWords(place, before === null ? null : (before.get(name) ?? 'new since then')),
    conditions: '',
    fuelG: armLine(mean, { name, sums: own }).boilG,
    timeS: own.timeS,
  }
}

const placeWords = ({ from, to }: Pick<Place, 'from' | 'to'>): string => (from === to ? `${from}` : `${from}–${to}`)

function movedWords(
  now: Pick<Place, 'from' | 'to'>,
  was: Pick<Place, 'from' | 'to'> | 'new since then' | null,
): string {
  if (was === null) return ''
  if (was === 'new since then') return was
  return was.from === now.from && was.to === now.to ? '' : `was ${placeWords(was)}`
}

/** A burner on its canister with a close screen carries its caution wherever it stands. */
function cautionOf({ parts }: Pick<ComparedMean, 'parts'>): string | null {
  const kind = parts.find(({ role }) => role === 'burner')?.burner ?? null
  const screened = parts.some(({ role }) => role === 'screen')
  const burner = kind === null ? null : { kind, supportM: null }
  return setupWarnings({ burner, pot: null, stand: null, screened })[0]?.text ?? null
}

/** Set-ups of the same fuel and kind of test that have no place, each with why. */
async function notRankedOf(db: Connection, { all, test, lots, isAcross }: Asked): Promise<RankingAnswer['notRanked']> {
  const inRanking = new Set(lots.map(({ mean }) => mean.setupId))
  const fuels = isAcross ? [...new Set(lots.map(({ mean }) => mean.fuelKind))] : [test.fuel]
  const ofOther = all.filter(
    (one) => fuels.includes(one.fuelKind) && one.test.kind === test.kind && !inRanking.has(one.setupId),
  )
  const others = new Map(ofOther.map(({ setupId, setup }) => [setupId, setup]))
  const except = [...inRanking, ...others.keys()]
  const beside = await Promise.all(fuels.map((fuel) => setupsOfTest(db, { fuel, kind: test.kind, except })))
  return [...[...others].map(([id, name]) => ({ id, name, normalised: 1, partly: 0 })), ...beside.flat()]
    .map(notRanked)
    .sort((a, b) => a.name.localeCompare(b.name, 'en'))
}

type Beside = Awaited<ReturnType<typeof setupsOfTest>>[number]
const notRanked = ({ id, name, normalised, partly }: Beside): RankingAnswer['notRanked'][number] => ({
  name,
  setupId: id,
  why:
    normalised > 0
      ? 'other water or setting, or its wind typical, untested'
      : partly > 0
        ? 'corrected only in part'
        : 'no corrected figure',
})
