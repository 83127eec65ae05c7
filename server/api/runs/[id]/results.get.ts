import { answerRun } from '#server/runs/answerRun'
import { optionsFor } from '#shared/reduceOptions'
import { conventionsOf, runViewFrom } from '#shared/runOptions'
import { answerCsv } from '#shared/answerCsv'

/** The run's results as CSV, from the same answer as the page. */
export default defineEventHandler(async (event) => {
  const run = await requireRun(event)
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="vulcanum-run-${run.stored.id.slice(-8)}.csv"`)
  return answerCsv(
    await answerRun(contextOf(event).db, run, optionsFor(runViewFrom(readQuery(event), conventionsOf(run.method)))),
  )
})
