import { useDatabase } from '#server/database/connection'
import { requestFor } from '#server/runs/answerRun'
import { optionsFor, runViewFrom } from '#shared/runOptions'

/** The run as the contract's JSON, with its set-up's series behind it: put through `reduce` it gives the figures of the page. */
export default defineEventHandler(async (event) => {
  const { stored } = await requireRun(event)
  setHeader(event, 'content-disposition', `attachment; filename="vulcanum-run-${stored.id.slice(-8)}.json"`)
  return requestFor(useDatabase(), stored, optionsFor(runViewFrom(getQuery(event))))
})
