import { useDatabase } from '#server/database/connection'
import { requestFor } from '#server/runs/answerRun'
import { conventionsOf, optionsFor, runViewFrom } from '#shared/runOptions'

/** The run as the contract's JSON, with its set-up's series behind it: put through `reduce` it gives the figures of the page. */
export default defineEventHandler(async (event) => {
  const run = await requireRun(event)
  setHeader(event, 'content-disposition', `attachment; filename="vulcanum-run-${run.stored.id.slice(-8)}.json"`)
  return requestFor(useDatabase(), run, optionsFor(runViewFrom(readQuery(event), conventionsOf(run.method))))
})
