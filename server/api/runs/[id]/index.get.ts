import { useDatabase } from '#server/database/connection'
import { answerRun } from '#server/runs/answerRun'
import { ribbonOf } from '#server/runs/ribbonOf'
import { optionsFor, runViewFrom } from '#shared/runOptions'
import type { RunPage } from '#shared/runRecord'

export default defineEventHandler(async (event): Promise<RunPage> => {
  const { record, stored } = await requireRun(event)
  const { runs: [answer], reference, setups } = await answerRun(useDatabase(), stored, optionsFor(runViewFrom(getQuery(event))))
  if (!answer || 'error' in answer) throw createError({ statusCode: 500, statusMessage: 'Not reduced', message: answer?.error ?? 'The run could not be reduced.' })
  return { record, answer, reference, setup: setups[0] ?? null, trace: stored.trace, ribbon: ribbonOf(stored, answer) }
})
