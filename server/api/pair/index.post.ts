import { shareSettings } from '#server/share/settings'
import { readPairing } from '#shared/share'

/** A device says the code. Right: it waits until the machine's own screen lets it in by its name. */
export default defineEventHandler(async (event) => {
  if (shareSettings() === null)
    return answerProblems(event, 409, [
      { path: '', text: 'This Vulcanum is not shared. Start it with npm start -- --share.' },
    ])
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readPairing(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const tried = contextOf(event).workspace.pairing.try({ said: read.typed.code, name: read.typed.name }, Date.now())
  switch (tried.as) {
    case 'asked':
      return { id: tried.id, claim: tried.claim }
    case 'closed':
      return answerProblems(event, 409, [
        {
          path: '',
          text: 'Pairing is not open. Open “A second device” on the machine that runs Vulcanum, and take the code that stands there now.',
        },
      ])
    case 'wrong':
      return answerProblems(event, 422, [
        { path: 'code', text: 'Code: this is not the one that stands on the other screen.' },
      ])
    case 'wait': {
      const seconds = Math.ceil(tried.waitMs / 1000)
      setResponseHeader(event, 'retry-after', seconds)
      return answerProblems(event, 429, [
        { path: 'code', text: `Code: a wrong one was tried just now. Wait ${seconds} s, then try again.` },
      ])
    }
  }
})
