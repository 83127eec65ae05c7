import { shareState } from '#server/share/shareState'
import { readPairingAnswer } from '#shared/share'

/** The screen's yes or no to a device that waits. */
export default defineEventHandler(async (event) => {
  const id = requireId(event)
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readPairingAnswer(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  if (!contextOf(event).workspace.pairing.answer(id, read.typed.yes, Date.now()))
    return answerProblems(event, 404, [
      { path: '', text: 'This device waits no more. Have it type the code that stands here now.' },
    ])
  return shareState(contextOf(event).workspace, Date.now())
})
