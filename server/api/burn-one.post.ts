import { burnOne } from '#server/runs/burnOne'
import { readBurnOne } from '#shared/burnOne'

export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readBurnOne(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  return burnOne(contextOf(event).db, read.typed, read.altitudeM)
})
