/** Set-ups of one fuel ranked by what a boil takes. */
import { isMainThread } from 'node:worker_threads'
import { leadersLine, rankingSentence } from '../../core/compare/answerGroup'
import { candidatesOf } from '../../core/compare/candidates'
import type { ComparedMean } from '../../core/compare/facts'
import { placesOf } from '../../core/compare/places'
import { armOf, blocksOf, type NamedFacts } from '../../core/compare/twoArms'
import { armNamesOf, testAsked, testWords } from '../../core/compare/words'
import { orderArms } from '../../core/statistics/manyArms'
import { priorScatter } from '../../core/statistics/scatter'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { RankingAnswer } from '../../shared/comparison'
import { urlOf, type Connection } from '../database/connection'
import { repeatedMeans } from '../runs/repository/means'
import { inThread } from '../workers/pool'
import { armLine } from './armLine'
import { askedTest, isOfTest } from './askedTest'
import { setupsOfTest } from './repository/besides'
import { comparedMeans, factsOfMeans } from './repository/comparisons'

/** More set-ups are not ranked where others wait for their answers: each pair takes some 30 µs. */
const MOST_HERE = 50

/** @returns the ranking, or why there is none, in words */
export async function rankingQuestion(db: Connection, query: Record<string, unknown>): Promise<RankingAnswer | string> {
  const test = askedTest(query)
  const all = await comparedMeans(db)
  const rankings = candidatesOf(all, null).filter(({ kind }) => kind === 'ranking')
  const asked = rankings.find(({ means }) => test !== null && isOfTest(means[0]!, test))
  if (test === null || asked === undefined) return NO_RANKING
  const url = urlOf(db)
  if (isMainThread && asked.means.length > MOST_HERE && url !== null)
    return inThread('overDatabase', { url, query }, { name: 'ranking' })
  const facts = await factsOfMeans(
    db,
    asked.means.map(({ key }) => key),
  )
  const lots = lotsOf(asked.means, (key) => facts.get(key) ?? [])
  const prior = priorScatter(await repeatedMeans(db, [test.kind]))
  const blocks = blocksOf(lots.map(({ lot }) => lot.facts))
  const order = orderArms(
    lots.map(({ lot }) => armOf(lot.name, lot.facts, blocks)),
    { prior },
  )
  const ranked = new Set(lots.map(({ mean }) => mean.setupId))
  const [first] = asked.means as [ComparedMean]
  return {
    sentence: rankingSentence(first),
    line: leadersLine(order),
    fuel: first.fuel,
    rows: placesOf(order).map(({ name, ...place }) => {
      const { mean, lot } = lots.find((one) => one.lot.name === name)!
      return { ...armLine(mean, lot), ...place, caution: cautionOf(mean) }
    }),
    notRanked: (await setupsOfTest(db, test)).filter(({ id }) => !ranked.has(id)).map(notRanked),
    others: rankings
      .filter((one) => one !== asked)
      .map(({ means: [of] }) => ({ words: `${of!.fuel}, ${testWords(of!.test)}`, query: testAsked(of!) })),
  }
}
const NO_RANKING =
  'No three set-ups were burned alike for this: a ranking needs three of one fuel, kind of test and volume.'

interface Lot {
  mean: ComparedMean
  lot: NamedFacts
}
function lotsOf(means: readonly ComparedMean[], factsOf: (key: string) => NamedFacts['facts']): Lot[] {
  const names = armNamesOf(means)
  return means
    .map((mean, i) => ({ mean, lot: { name: names[i]!, facts: factsOf(mean.key) } }))
    .filter(({ lot }) => lot.facts.length > 0)
}

/** A burner on its canister with a close screen carries its caution wherever it stands. */
function cautionOf({ parts }: ComparedMean): string | null {
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
