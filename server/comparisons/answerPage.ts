/** What a page of Compare asks for, by its name. */
import type { Connection } from '../database/connection'
import { isUuid } from '../../shared/uuid'
import { ask, isAskedPage } from './ask'
import type { AskedQuery } from './askedView'
import { askChoices } from './askChoices'
import { claimLines } from './claims'
import { keptRow } from './repository/kept'
import { seenQuestion } from './seenQuestion'
import { tracesQuestion } from './tracesQuestion'
import { twoDocument } from './twoDocument'

/** @returns the answer, or why there is none, in words */
export async function answerPage(db: Connection, page: string, query: AskedQuery): Promise<object | string> {
  if (page === 'claims') return { claims: await claimLines(db) }
  if (page === 'choices') return askChoices(db)
  if (page === 'document') return twoDocument(db, query)
  if (page === 'traces') return tracesQuestion(db, query)
  if (page === 'seen') return seenQuestion(db, query)
  if (!isAskedPage(page)) return 'There is no such question. Choose from what your runs can answer.'
  if (page === 'ranking' && typeof query.kept === 'string') return frozenRanking(db, query.kept)
  return ask(db, page, query)
}

/** A ranking as it was on the day that it was kept. */
async function frozenRanking(db: Connection, id: string): Promise<object | string> {
  const kept = isUuid(id) ? await keptRow(db, id) : null
  const ranking = kept?.kept.ranking
  return ranking === undefined
    ? 'No ranking was kept under this address.'
    : { ...ranking, keptAt: kept!.keptAt.toISOString() }
}
