import { logRun } from '#server/runs/logRun'

const STATUS = { created: 201, known: 200, invalid: 422, unknownId: 422, conflict: 409 } as const

export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const outcome = await logRun(contextOf(event).db, body.value, Date.now())
  if ('problems' in outcome) return answerProblems(event, STATUS[outcome.status], outcome.problems)
  setResponseStatus(event, STATUS[outcome.status])
  return { id: outcome.id }
})
