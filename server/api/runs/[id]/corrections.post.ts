import { correctRun } from '#server/runs/correctRun'
import { isUuid } from '#shared/uuid'

const STATUS = { invalid: 422, conflict: 409, notFound: 404 } as const

export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  if (!isUuid(id))
    return answerProblems(event, 400, [{ path: '', text: 'This is not a run’s id. Open the run from the list.' }])
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const outcome = await correctRun(contextOf(event).db, id, body.value)
  if ('problems' in outcome) return answerProblems(event, STATUS[outcome.status], outcome.problems)
  return { status: outcome.status }
})
