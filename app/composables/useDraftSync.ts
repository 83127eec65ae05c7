import { useDebounceFn } from '@vueuse/core'
import { FetchError } from 'ofetch'
import { isPristine, type Draft } from '#shared/draft'

export type DraftState = 'empty' | 'sending' | 'kept' | 'away' | 'changedElsewhere'

/** Keeps the draft on the server too, within a second of the last key; says so, and says when it cannot. */
export function useDraftSync() {
  const draft = useDraft()
  const state = ref<DraftState>('empty')
  const theirs = ref<Draft | null>(null)
  let retry: ReturnType<typeof setTimeout> | undefined

  async function send(force = false) {
    if (isPristine(draft.body)) return
    clearTimeout(retry)
    state.value = 'sending'
    try {
      const { revision } = await $fetch<{ revision: number }>('/api/drafts', {
        method: 'PUT',
        body: { body: draft.body, revision: theirs.value && force ? theirs.value.revision : draft.revision, force },
      })
      draft.revision = revision
      theirs.value = null
      state.value = 'kept'
    } catch (error) {
      failed(error)
    }
  }

  function failed(error: unknown) {
    const answer =
      error instanceof FetchError && error.status === 409 ? (error.data as { status: string; theirs?: Draft }) : null
    if (answer?.status === 'logged') return draft.begin()
    if (answer?.theirs) {
      theirs.value = answer.theirs
      state.value = 'changedElsewhere'
      return
    }
    state.value = 'away'
    retry = setTimeout(() => void send(), 3000)
  }

  const soon = useDebounceFn(
    () => {
      if (state.value !== 'changedElsewhere') void send()
    },
    400,
    { maxWait: 900 },
  )
  watch(() => draft.body, soon, { deep: true })
  onMounted(() => void send())
  onUnmounted(() => clearTimeout(retry))

  /** Settles two versions: mine over theirs, or theirs over mine. */
  const keepMine = () => send(true)
  function takeTheirs() {
    if (theirs.value) draft.take(theirs.value)
    theirs.value = null
    state.value = 'kept'
  }
  return { state, theirs, keepMine, takeTheirs }
}
