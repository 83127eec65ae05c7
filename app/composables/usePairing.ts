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
    code.value = secretInAddress()
    byPicture.value = code.value !== ''
  })
  onBeforeUnmount(() => {
    over = true
  })

  async function ask() {
    problems.value = []
    try {
      const claim = await claimFor({ code: code.value, name: name.value })
      waiting.value = true
      const answer = await answerTo(claim, () => over)
      if (answer?.as === 'refused') refused(NOT_LET_IN)
      else if (answer?.as === 'granted') await enter(answer)
    } catch (error) {
      refused(problemsOf(error))
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

const claimFor = (body: { code: string; name: string }) => $fetch<PairingClaim>('/api/pair', { method: 'POST', body })

/** What the picture carried; '': the page was opened by hand. */
function secretInAddress(): string {
  const secret = window.location.hash.slice(1)
  // Out of the history and of whatever is copied from the address.
  if (secret !== '') history.replaceState(history.state, '', window.location.pathname)
  return secret
}

const NOT_LET_IN: FieldProblem[] = [
  { path: '', text: 'The other screen did not let this device in. Take the code that stands there now.' },
]

/** Waits for the other screen's yes or no; null: this page went before it came. */
async function answerTo(claim: PairingClaim, isOver: () => boolean): Promise<ClaimAnswer | null> {
  while (!isOver()) {
    const answer = await $fetch<ClaimAnswer>('/api/pair/claim', { method: 'POST', body: claim })
    if (answer.as !== 'waiting') return answer
    await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS))
  }
  return null
}

/** Anew, as a device that is known. */
async function enter({ id, name }: { id: string; name: string }): Promise<void> {
  await keep('device', { id, name })
  window.location.assign('/bench')
}
