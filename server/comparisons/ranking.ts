/** Set-ups ranked by what a boil takes: fuel, time, heat or money. */
import { leadersLine, rankingSentence } from '../../core/compare/answerGroup'
import { candidatesOf } from '../../core/compare/candidates'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { measuredIn } from '../../core/compare/measured'
import { placesOf, type Place } from '../../core/compare/places'
import { armOf, blocksOf, type NamedFacts } from '../../core/compare/twoArms'
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
import { unitOf, viewOf, type AskedQuery } from './askedView'
import { measuredRanking } from './measuredRanking'
import { NO_PRICES, pricesOf, type Prices } from './prices'
import { setupsOfTest } from './repository/besides'
import { conventionsOfMean } from './readAs'
import { comparedMeans } from './repository/comparisons'

/** @returns the ranking, or why there is none, in words */
export async function rankingQuestion(db: Connection, query: AskedQuery): Promise<RankingAnswer | string> {
  const test = askedTest(query)
  if (test === null) return NO_RANKING
  const all = await comparedMeans(db)
  const others = otherRankings(all, test)
  if (byOf(query) === 'measured') return measuredRanking(db, { test, all, others, query })
  const isAcross = query.across !== undefined
  const means = isAcross ? meansAcross(all, test) : (rankedMeans(all, test) ?? [])
  if (means.length < FEWEST) return NO_RANKING
  const facts = await askedFacts(db, means, query)
  const unit = isAcross && query.unit === undefined ? 'MJ' : unitOf(query)
  const prices = unit === 'money' ? await pricesOf(db, facts.values()) : NO_PRICES
  const lots = lotsOf(means, facts, (one) => measuredIn(unit, one, prices.perGram))
  if (lots.length < FEWEST) return prices.unpriced.length > 0 ? noPrice(prices) : NO_RANKING
  return ranked(db, { test, query, unit, prices, lots, others, isAcross, of: means[0]! })
}
const FEWEST = 3
const NO_RANKING =
  'No three set-ups were burned alike for this: a ranking needs three of one fuel, kind of test and volume. Burn what is missing once by the same method.'
const noPrice = ({ unpriced }: Prices): string =>
  `Too few fuels have a price for a ranking by money. None is known of ${unpriced.map(({ name }) => name).join(', ')}: add it on the page of the fuel.`

const byOf = ({ by, unit }: AskedQuery): RankedBy => RANKED_BY.find((one) => one === (by ?? unit)) ?? 'g'

const rankingsOf = (all: readonly ComparedMean[]) => candidatesOf(all, null).filter(({ kind }) => kind === 'ranking')
const rankedMeans = (all: readonly ComparedMean[], test: AskedTest): readonly ComparedMean[] | null =>
  rankingsOf(all).find(({ means }) => isOfTest(means[0]!, test))?.means ?? null

const otherRankings = (all: readonly ComparedMean[], test: AskedTest): RankingAnswer['others'] =>
  rankingsOf(all)
    .filter(({ means: [of] }) => !isOfTest(of!, test))
    .map(({ means: [of] }) => ({ words: `${of!.fuel}, ${testWords(of!.test)}`, query: testAsked(of!) }))

interface Lot {
  mean: ComparedMean
  lot: NamedFacts
  /** In grams. */
  facts: readonly ComparedFacts[]
}
function lotsOf(
  means: readonly ComparedMean[],
  factsOf: ReadonlyMap<string, ComparedFacts[]>,
  inUnit: (one: ComparedFacts) => ComparedFacts | null,
): Lot[] {
  const names = armNamesOf(means)
  return means
    .map((mean, i) => {
      const facts = factsOf.get(mean.key) ?? []
      return { mean, facts, lot: { name: names[i]!, facts: facts.flatMap((one) => inUnit(one) ?? []) } }
    })
    .filter(({ lot }) => lot.facts.length > 0)
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
}
async function ranked(db: Connection, asked: Asked): Promise<RankingAnswer> {
  const { test, query, unit, prices, lots, others, isAcross, of } = asked
  const prior = priorScatter(await repeatedMeans(db, [test.kind]))
  const order = orderOf(lots, prior)
  const before = placesBefore(lots, prior, query.since)
  const inRanking = new Set(lots.map(({ mean }) => mean.setupId))
  const fuels = isAcross ? [...new Set(lots.map(({ mean }) => mean.fuelKind))] : [test.fuel]
  const beside = await Promise.all(fuels.map((fuel) => setupsOfTest(db, { fuel, kind: test.kind })))
  return {
    view: viewOf(query, await conventionsOfMean(db, of)),
    unit,
    currency: prices.currency,
    unpriced: prices.unpriced,
    by: unit,
    isAcross,
    keptAt: null,
    sentence: isAcross ? acrossSentence(of) : rankingSentence(of),
    line: leadersLine(order),
    fuel: isAcross ? '' : of.fuel,
    rows: placesOf(order).map((place) => rowOf(place, { lots, unit, before })),
    notRanked: beside
      .flat()
      .filter(({ id }) => !inRanking.has(id))
      .map(notRanked),
    others,
  }
}

const acrossSentence = ({ test }: ComparedMean): string =>
  `Of all fuels: which set-up boils ${testWords(test)} for least?`

const orderOf = (lots: readonly Lot[], prior: PriorScatter): Order => {
  const blocks = blocksOf(lots.map(({ lot }) => lot.facts))
  return orderArms(
    lots.map(({ lot }) => armOf(lot.name, lot.facts, blocks)),
    { prior },
  )
}

/** Places as they were before a day; null: nobody asks. */
function placesBefore(lots: readonly Lot[], prior: PriorScatter, since: unknown): Map<string, Place> | null {
  if (typeof since !== 'string' || !isDay(since)) return null
  const then = lots
    .map((one) => ({
      ...one,
      lot: { ...one.lot, facts: one.lot.facts.filter(({ startedAt }) => startedAt < since) },
    }))
    .filter(({ lot }) => lot.facts.length > 0)
  return new Map(placesOf(orderOf(then, prior)).map((place) => [place.name, place]))
}

interface InRanking {
  lots: readonly Lot[]
  unit: AskedUnit
  before: ReadonlyMap<string, Place> | null
}
function rowOf({ name, ...place }: Place, { lots, unit, before }: InRanking): RankingAnswer['rows'][number] {
  const { mean, lot, facts } = lots.find((one) => one.lot.name === name)!
  const times = facts.flatMap((one) => measuredIn('s', one) ?? [])
  return {
    ...armLine(mean, lot, unit),
    ...place,
    caution: cautionOf(mean),
    moved: movedWords(place, before === null ? null : (before.get(name) ?? 'new since then')),
    conditions: '',
    fuelG: armLine(mean, { name, facts }).boilG,
    timeS: times.length === 0 ? null : armLine(mean, { name, facts: times }, 's').boilG,
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
