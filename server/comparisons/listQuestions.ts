/** The questions that were found, sorted into what is shown and what is worth a test. */
import { shownAmong } from '../../core/compare/falseDiscovery'
import type { FoundQuestion } from '../../core/compare/found'
import { groupedBy } from '../../core/compare/oneTest'
import { QUESTION_GROUPS, type FoundQuestions, type ListedQuestion, type QuestionGroup } from '../../shared/comparison'
import type { Connection } from '../database/connection'
import { keptLines } from './kept'
import { isWaiting } from './repository/comparisons'
import { questionsOf, weighedQuestions, type WeighedQuestion } from './repository/foundQuestions'

/** A list of more is not read. */
const MOST = 40

export async function listQuestions(db: Connection): Promise<FoundQuestions> {
  const weighed = await weighedQuestions(db)
  const shown = shownOf(weighed)
  const groups = QUESTION_GROUPS.map((group) => {
    const of = weighed.filter((one) => groupOf(one, shown) === group).sort(byWeight)
    return { group, keys: of.slice(0, MOST).map(({ key }) => key), more: Math.max(0, of.length - MOST) }
  }).filter(({ keys }) => keys.length > 0)
  const listed = await questionsOf(
    db,
    groups.flatMap(({ keys }) => keys),
  )
  return {
    kept: await keptLines(db),
    groups: groups.map(({ keys, ...group }) => ({ ...group, questions: keys.flatMap((key) => lineOf(key, listed)) })),
    looked: weighed.filter(({ p }) => p !== null).length,
    isWaiting: await isWaiting(db),
  }
}

function groupOf({ key, kind }: WeighedQuestion, shown: ReadonlySet<string>): QuestionGroup {
  if (kind === 'together') return 'together'
  if (kind === 'ranking' || kind === 'volumes') return 'rankings'
  if (kind === 'wind') return 'wind'
  if (kind === 'claim') return 'claims'
  if (shown.has(key)) return 'shown'
  return kind === 'people' ? 'people' : 'worthATest'
}

/** Of each kind by itself, by a false discovery rate. */
function shownOf(weighed: readonly WeighedQuestion[]): Set<string> {
  const shown = new Set<string>()
  for (const own of groupedBy(weighed, ({ kind }) => kind)) {
    const tested = own.flatMap(({ key, p }) => (p === null ? [] : [{ key, p }]))
    const isShown = shownAmong(tested.map(({ p }) => p))
    tested.forEach(({ key }, i) => {
      if (isShown[i]) shown.add(key)
    })
  }
  return shown
}

const WORDS = new Intl.Collator('en')
/** The largest difference first; what is none, by its words. */
const byWeight = (a: WeighedQuestion, b: WeighedQuestion): number =>
  sizeOf(b) - sizeOf(a) || WORDS.compare(a.sentence, b.sentence)
/** Where no difference is asked for, what rests on the most. */
const sizeOf = ({ ratio, means }: WeighedQuestion): number => (ratio === null ? means : Math.abs(Math.log(ratio)))

/** One that has gone meanwhile is none. */
function lineOf(key: string, listed: ReadonlyMap<string, FoundQuestion>): ListedQuestion[] {
  const question = listed.get(key)
  if (question === undefined) return []
  const { means: _means, p: _p, testKind: _kind, priorSd: _sd, ...shown } = question
  return [{ ...shown, key }]
}
