/** One set-up burned by several: how far each is from the rest. */
import { namedFacts } from '../../core/compare/lotSums'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { testWords } from '../../core/compare/words'
import { formatNumber } from '../../core/quantity/format'
import { ringTest, type RingTest } from '../../core/statistics/ringTest'
import type { PeopleAnswer } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { byKey } from '../database/byKey'
import { armLine } from './armLine'
import { askedFacts } from './askedDocuments'
import { askedTest, isOfTest } from './askedTest'
import { atAskedWater, viewOf, type AskedQuery } from './askedView'
import { conventionsOfMean } from './readAs'
import { NOT_IN_MONEY } from './prices'
import { comparedMeans } from './repository/comparisons'

/** @returns how they read, or why nothing can be said, in words */
export async function peopleQuestion(db: Connection, query: AskedQuery): Promise<PeopleAnswer | string> {
  const own = await askedMean(db, query)
  if (own === null) return 'No run of this set-up is corrected in full.'
  const mean = atAskedWater(query)(own)
  const facts = (await askedFacts(db, [mean], query)).get(mean.key) ?? []
  const byPerson = [
    ...byKey(
      facts.filter(({ person }) => person !== null),
      ({ person }) => person!,
    ),
  ]
  if (byPerson.length < 2)
    return 'One person burned all of these. A second one, two runs of the same set-up, would tell whether you read alike.'
  const ring = ringTest(byPerson.map(([name, own]) => ({ name, values: own.map(({ gPerL }) => gPerL) })))
  return {
    view: viewOf(query, await conventionsOfMean(db, mean)),
    unit: 'g',
    ...NOT_IN_MONEY,
    sentence: `Do all read ${mean.setup} alike?`,
    line: lineOf(ring, byPerson),
    of: testWords(mean.test),
    arms: byPerson.map(([name, own], i) => ({
      ...armLine(mean, namedFacts(name, own)),
      z: ring.scores[i]!.z,
      zU: ring.scores[i]!.u,
    })),
    ring: {
      mean: ring.mean,
      robustSd: ring.robustSd,
      repeatabilitySd: ring.repeatabilitySd,
      reproducibilitySd: ring.reproducibilitySd,
    },
  }
}

async function askedMean(db: Connection, query: AskedQuery): Promise<ComparedMean | null> {
  const test = askedTest(query)
  const own = (await comparedMeans(db)).filter(
    (one) => one.setupId === query.setup && (test === null || isOfTest(one, test)),
  )
  return own.reduce<ComparedMean | null>((best, one) => (best === null || one.n > best.n ? one : best), null)
}

function lineOf({ repeatabilitySd, reproducibilitySd }: RingTest, people: [string, ComparedFacts[]][]): string {
  if (repeatabilitySd === null || reproducibilitySd === null)
    return `${people.length} people, one run each: nobody repeated, so nothing says how one person’s burns scatter.`
  const percent = (share: number) => `${formatNumber(100 * share, 1)} %`
  return `One person’s burns scatter by ${percent(repeatabilitySd)}; any person’s by ${percent(reproducibilitySd)}.`
}
