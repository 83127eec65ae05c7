/** Questions by the page that asks them. */
import { isMainThread } from 'node:worker_threads'
import type { FoundQuestion } from '../../core/compare/found'
import type { KeptAnswer, RankingAnswer, TwoAnswer } from '../../shared/comparison'
import type { CarriedAnswer, FactorsAnswer, LinesAnswer, PeopleAnswer } from '../../shared/answers'
import { urlOf, type Connection } from '../database/connection'
import { inThread } from '../workers/pool'
import { isOtherView, type AskedQuery } from './askedView'
import { carriedQuestion } from './carriedQuestion'
import { factorsQuestion } from './factorsQuestion'
import { linesQuestion } from './linesQuestion'
import { peopleQuestion } from './peopleQuestion'
import { rankingQuestion } from './ranking'
import { comparedMeans, countMeasured } from './repository/comparisons'
import { twoQuestion } from './twoQuestion'

export interface Answers {
  two: TwoAnswer
  ranking: RankingAnswer
  lines: LinesAnswer
  factors: FactorsAnswer
  people: PeopleAnswer
  carried: CarriedAnswer
}
export type AskedPage = keyof Answers

const QUESTIONS: { [page in AskedPage]: (db: Connection, query: AskedQuery) => Promise<Answers[page] | string> } = {
  two: twoQuestion,
  ranking: rankingQuestion,
  lines: linesQuestion,
  factors: factorsQuestion,
  people: peopleQuestion,
  carried: carriedQuestion,
}
export const isAskedPage = (page: string): page is AskedPage => Object.hasOwn(QUESTIONS, page)

/** @returns the answer, or why there is none, in words */
export async function ask<P extends AskedPage>(
  db: Connection,
  page: P,
  query: AskedQuery,
): Promise<Answers[P] | string> {
  const url = urlOf(db)
  if (isMainThread && url !== null && (await isLong(db, page, query)))
    return inThread('overDatabase', { url, page, query }, { name: 'question' })
  return QUESTIONS[page](db, query)
}

/** More set-ups are not ranked where others wait for their answers, each pair taking some 30 µs. */
const MOST_SETUPS = 50
/** Nor are more runs reduced there. */
const MOST_RUNS = 300

async function isLong(db: Connection, page: AskedPage, query: AskedQuery): Promise<boolean> {
  if (page === 'ranking' && (await comparedMeans(db)).length > MOST_SETUPS) return true
  return (page === 'lines' || isOtherView(query)) && (await countMeasured(db)) > MOST_RUNS
}

/** What is kept of an answer. */
export function keptOf(page: AskedPage, answer: Answers[AskedPage]): KeptAnswer {
  const { sentence, line } = answer
  const effect: FoundQuestion['effect'] = 'effect' in answer ? answer.effect : null
  const runs = 'arms' in answer ? answer.arms.reduce((sum, { n }) => sum + n, 0) : rowsOf(answer)
  return { sentence, line, effect, runs, ...(page === 'ranking' ? { ranking: answer as RankingAnswer } : {}) }
}

const rowsOf = (answer: Answers[AskedPage]): number => {
  if ('notRanked' in answer) return answer.rows.reduce((sum, { n }) => sum + n, 0)
  return 'runs' in answer && typeof answer.runs === 'number' ? answer.runs : 0
}
