import type { H3Event } from 'h3'
import { isUuid } from '#shared/uuid'
import { findRun } from '#server/runs/repository/findRuns'

/** The run the route names, or an error in words. */
export async function requireRun(event: H3Event) {
  const id = getRouterParam(event, 'id') ?? ''
  if (!isUuid(id))
    throw createError({
      statusCode: 400,
      message: `"${id.slice(0, 40)}" is not a run’s id. Open the run from the list.`,
    })
  const found = await findRun(contextOf(event).db, id)
  if (!found)
    throw createError({
      statusCode: 404,
      message: 'There is no run of this id here. It may be in another workspace; open it from the list.',
    })
  if (found.record.state === 'draft' || found.record.state === 'live')
    throw createError({
      statusCode: 409,
      message: 'This run stands on the bench. It has its page once it is finished there.',
    })
  return found
}
