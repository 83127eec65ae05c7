import { problemOf, send } from '~/api/send'
import { v7 as uuidv7 } from 'uuid'
import type { TypedCare } from '#shared/runCare'

/** Says something of a run: void, a decision, an observation. Who said it last is who says it next, until changed. */
export function useCare(runId: string, done: () => unknown) {
  const { people, personId } = usePeople()
  const problem = ref('')
  async function say(what: Partial<TypedCare> & Pick<TypedCare, 'what'>): Promise<boolean> {
    const sent = await send<null>(`/api/runs/${runId}/care`, 'POST', {
      id: uuidv7(),
      personId: personId.value,
      reason: '',
      question: '',
      answer: '',
      scale: null,
      step: '',
      note: '',
      atMs: null,
      ...what,
    })
    problem.value = problemOf(sent)
    if (sent.ok) await done()
    return sent.ok
  }
  return { personId, people, problem, say }
}
