import { useDatabase } from '#server/database/connection'
import { keepDraft } from '#server/database/repositories/drafts'
import { readSentDraft } from '#shared/draft'

export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readSentDraft(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const outcome = await keepDraft(useDatabase(), read.sent)
  if (outcome.status !== 'kept') setResponseStatus(event, 409)
  return outcome
})
