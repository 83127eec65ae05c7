/** What a run changed: the questions that moved with it, before and after. */
import { ratioRange } from '../../core/statistics/verdictText'
import type { ChangedQuestion } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { movedBy } from './repository/foundQuestions'

export async function changedBy(db: Connection, runId: string): Promise<ChangedQuestion[]> {
  const moved = await movedBy(db, runId)
  return moved.flatMap(({ question: { sentence, asks, kind, effect, line }, before }) => {
    if (before === null) return []
    const [was, now] = [before.effect, effect].map((one) => (one === null ? null : ratioRange([one.low, one.high])))
    const [from, to] = [was ?? before.line, now ?? line]
    return from === to ? [] : [{ sentence, asks, kind, before: from!, now: to! }]
  })
}
