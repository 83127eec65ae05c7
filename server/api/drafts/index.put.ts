import { keepDraft } from '#server/database/repositories/drafts'
import { readSentDraft } from '#shared/draft'

export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readSentDraft(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const outcome = await keepDraft(contextOf(event).db, read.sent)
  if (outcome.status === 'kept') return outcome
  setResponseStatus(event, 409)
  return {
    ...outcome,
    problems: [
      {
        path: '',
        text:
          outcome.status === 'logged'
            ? 'This draft was logged already: it is a run now.'
            : 'This draft was changed on another page. Choose which one stays.',
      },
    ],
  }
})
