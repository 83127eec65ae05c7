import { keep } from '~/bench/disk'
import { FetchError } from 'ofetch'
import type { FieldProblem } from '#shared/readProblems'
import type { ClaimAnswer, PairingClaim } from '#shared/share'

const ASK_EVERY_MS = 1000
const problemsOf = (error: unknown): FieldProblem[] =>
  (error instanceof FetchError ? (error.data as { problems?: FieldProblem[] } | undefined)?.problems : undefined) ?? [
    { path: '', text: 'The other machine did not answer. Try again.' },
  ]

/** On the device that wants in: says the code, or what the picture carried, and waits for the other screen's yes. */
export function usePairing() {
  const code = ref('')
  const name = ref('')
  const byPicture = ref(false)
  const waiting = ref(false)
  const problems = ref<FieldProblem[]>([])
  const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text
  let over = false

  onMounted(() => {
    const secret = window.location.hash.slice(1)
    if (secret === '') return
    code.value = secret
    byPicture.value = true
    // Out of the history and of whatever is copied from the address.
    history.replaceState(history.state, '', window.location.pathname)
  })
  onBeforeUnmount(() => {
    over = true
  })

  async function ask() {
    problems.value = []
    try {
      const claim = await $fetch<PairingClaim>('/api/pair', {
        method: 'POST',
        body: { code: code.value, name: name.value },
      })
      waiting.value = true
      await wait(claim)
    } catch (error) {
      refused(problemsOf(error))
    }
  }

  async function wait(claim: PairingClaim) {
    while (!over) {
      const answer = await $fetch<ClaimAnswer>('/api/pair/claim', { method: 'POST', body: claim })
      if (answer.as === 'refused')
        return refused([
          { path: '', text: 'The other screen did not let this device in. Take the code that stands there now.' },
        ])
      if (answer.as === 'granted') {
        await keep('device', { id: answer.id, name: answer.name })
        // Anew, as a device that is known.
        return window.location.assign('/bench')
      }
      await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS))
    }
  }

  /** What the picture carried is good no more: the code is asked for. */
  function refused(why: FieldProblem[]) {
    problems.value = why
    waiting.value = false
    if (!byPicture.value || why.some((problem) => problem.path === 'name')) return
    byPicture.value = false
    code.value = ''
  }

  return { code, name, byPicture, waiting, problemAt, ask }
}
