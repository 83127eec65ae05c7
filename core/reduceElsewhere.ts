/** Runs answered in other conditions than those of their request. */
import type { RunAnswer } from './formats/answer'
import type { ReduceRequest } from './formats/document'
import { LadderTimes } from './normalise/normalise'
import type { Reference } from './normalise/reference'
import { seriesOf } from './reduce'
import { answerRun } from './reduce/answerRun'
import { figureRun } from './reduce/figureRun'

/**
 * Answers of the runs of a request in other conditions than its reference's, with the same series behind them: the
 * series is read once, however many conditions are asked for. Null: the run is not in the request.
 */
export function reduceElsewhere(request: ReduceRequest): (runId: string, reference: Reference) => RunAnswer | null {
  const of = new Map(
    seriesOf(request, false).groups.flatMap(({ members, series }) =>
      members.map((taken) => [taken.input.id, { taken, series }] as const),
    ),
  )
  const ladders = new Map<Reference, LadderTimes>()
  const ladderOf = (reference: Reference): LadderTimes => {
    const ladder = ladders.get(reference) ?? new LadderTimes(reference, request.model)
    ladders.set(reference, ladder)
    return ladder
  }
  return (runId, reference) => {
    const found = of.get(runId)
    if (found === undefined) return null
    const options = { ...request, reference }
    const series = { ...found.series, movedTimes: ladderOf(reference) }
    return answerRun(found.taken, figureRun(found.taken, options, series), options, series)
  }
}
