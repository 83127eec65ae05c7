import { readCursor } from '#server/runs/repository/listOrder'
import { listRuns } from '#server/runs/repository/listRuns'
import { PAGE_OF_RUNS } from '#shared/limits'
import { readRunList } from '#shared/runList'

/** A page of the logbook. */
export default defineEventHandler((event) => {
  const query = readQuery(event)
  const asked = readRunList(query)
  const after = typeof query.after === 'string' ? readCursor(query.after, asked) : null
  if (query.after !== undefined && after === null)
    throw createError({ statusCode: 400, message: 'This is not where a page of the list begins. Reload the list.' })
  return answerInCommon(event, () => listRuns(contextOf(event).db, asked, { after, limit: PAGE_OF_RUNS }))
})
