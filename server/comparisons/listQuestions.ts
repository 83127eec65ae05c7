/** The questions that were found, sorted into what is shown and what is worth a test. */
import { shownAmong } from '../../core/compare/falseDiscovery'
import type { FoundQuestion } from '../../core/compare/found'
import { QUESTION_GROUPS, type FoundQuestions, type ListedQuestion, type QuestionGroup } from '../../shared/comparison'
import type { Connection } from '../database/connection'
import { keptLines } from './kept'
import { foundQuestions, isWaiting } from './repository/comparisons'

/** A list of more is not read. */
const MOST = 40

export async function listQuestions(db: Connection): Promise<FoundQuestions> {
  const found = await foundQuestions(db)
  const shown = shownOf(found)
  const groupOf = (one: Found): QuestionGroup => {
    const { kind } = one.question
    if (kind === 'together') return 'together'
    if (kind === 'ranking' || kind === 'volumes') return 'rankings'
    if (kind === 'wind') return 'wind'
    if (kind === 'claim') return 'claims'
    if (shown.has(one.key)) return 'shown'
    return kind === 'people' ? 'people' : 'worthATest'
  }
  const groups = QUESTION_GROUPS.map((group) => {
    const of = found.filter((one) => groupOf(one) === group).sort(byWeight)
    return { group, questions: of.slice(0, MOST).map(listed), more: Math.max(0, of.length - MOST) }
  })
  return {
    kept: await keptLines(db),
    groups: groups.filter(({ questions }) => questions.length > 0),
    looked: found.filter(({ question }) => question.p !== null).length,
    isWaiting: await isWaiting(db),
  }
}

interface Found {
  key: string
  question: FoundQuestion
}

/** Of each kind by itself, by a false discovery rate. */
function shownOf(found: readonly Found[]): Set<string> {
  const shown = new Set<string>()
  for (const kind of new Set(found.map(({ question }) => question.kind))) {
    const tested = found.filter(({ question }) => question.kind === kind && question.p !== null)
    const isShown = shownAmong(tested.map(({ question }) => question.p!))
    tested.forEach(({ key }, i) => {
      if (isShown[i]) shown.add(key)
    })
  }
  return shown
}

/** The largest difference first; what is none, by its words. */
const byWeight = (a: Found, b: Found): number =>
  sizeOf(b.question) - sizeOf(a.question) || a.question.sentence.localeCompare(b.question.sentence, 'en')
/** Where no difference is asked for, what rests on the most. */
const sizeOf = ({ effect, means }: FoundQuestion): number =>
  effect === null ? means.length : Math.abs(Math.log(effect.ratio))

function listed({ key, question }: Found): ListedQuestion {
  const { means: _means, p: _p, testKind: _kind, priorSd: _sd, ...shown } = question
  return { ...shown, key }
}
