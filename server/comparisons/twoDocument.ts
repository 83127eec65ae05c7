/** Two set-ups held against each other, as a document that the command line answers alike. */
import type { CompareRequest } from '../../core/formats/comparison'
import { priorScatter } from '../../core/statistics/scatter'
import { lotIn, pairAnswer, usualUnit } from '../../core/compare/answerPair'
import { armNamesOf } from '../../core/compare/words'
import type { Connection } from '../database/connection'
import { repeatedMeans } from '../runs/repository/means'
import { askDocuments } from './askDocuments'
import { askedFacts } from './askedDocuments'
import { idsIn, unitOf, type AskedQuery } from './askedView'
import { conventionsOfMean } from './readAs'
import { comparedMeans } from './repository/comparisons'
import { askedPair } from './twoQuestion'

/** @returns the document, or why there is none, in words */
export async function twoDocument(db: Connection, query: AskedQuery): Promise<CompareRequest | string> {
  const candidate = await askedPair(db, query, await comparedMeans(db))
  if (candidate === null) return 'No runs answer this: choose from what your runs can answer.'
  const facts = await askedFacts(db, candidate.means, query)
  const out = new Set(idsIn(query.out))
  const prior = priorScatter(await repeatedMeans(db, [candidate.means[0].test.kind]))
  const unit = unitOf(query, usualUnit(candidate.kind))
  if (unit === 'money') return 'A document of money needs the prices in it: ask by grams, and add them there.'
  const counted = (key: string) => (facts.get(key) ?? []).filter(({ id }) => !out.has(id))
  // In the order of the screen, which holds the thriftier against the other where nothing was added.
  const means = pairAnswer(candidate, lotIn(unit, counted), prior)?.means ?? candidate.means
  const names = armNamesOf(means)
  const { asked } = await askDocuments(
    db,
    means.map(({ key, seriesKey }, i) => {
      const own = new Set(counted(key).map(({ id }) => id))
      return { name: names[i]!, seriesKey, isOf: ({ record }) => own.has(record.id) }
    }),
    {
      query,
      usual: await conventionsOfMean(db, means[0]),
      question: { kind: 'two', unit, scatter: prior.isAssumed ? null : prior.sd },
    },
  )
  return asked
}
