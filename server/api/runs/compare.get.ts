import { compareRuns } from '#server/runs/compareRuns'
import { MOST_COMPARED } from '#shared/runComparison'
import { isUuid } from '#shared/uuid'

export default defineEventHandler((event) => {
  const { runs: asked, mixed } = readQuery(event)
  const ids = typeof asked === 'string' ? asked.split(',') : []
  if (ids.length === 0 || ids.length > MOST_COMPARED || !ids.every(isUuid))
    throw createError({
      statusCode: 400,
      message: `Runs: expected one to ${MOST_COMPARED} ids. Pick them in the logbook.`,
    })
  return compareRuns(contextOf(event).db, ids, mixed === 'yes')
})
