import { useDebounceFn, useTimeoutFn } from '@vueuse/core'
import { FetchError } from 'ofetch'
import type { Draft, DraftBody } from '#shared/draft'

type DraftState = 'empty' | 'sending' | 'kept' | 'away' | 'changedElsewhere'

const SEND_AGAIN_MS = 3000
const useLater = (work: () => void, ms: number) => useTimeoutFn(work, ms, { immediate: false })

/** Keeps the draft on the server too, within a second of the last key; says so, and says when it cannot. */
export function useDraftSync() {
  const draft = useDraft()
  const { state, theirs, settle } = useSettling()
  const again = useLater(() => void send(), SEND_AGAIN_MS)

  async function send(force = false) {
    if (draft.untouched) return
    again.stop()
    state.value = 'sending'
    try {
      const revision = (force ? theirs.value?.revision : undefined) ?? draft.revision
      draft.revision = await putDraft({ body: draft.body, revision, force })
      settle(null)
    } catch (error) {
      failed(refusalIn(error))
    }
  }

  function failed(refusal: DraftRefusal | null) {
    if (refusal?.status === 'logged') return draft.begin()
    if (refusal?.theirs) return settle(refusal.theirs)
    state.value = 'away'
    again.start()
  }

  watch(
    () => draft.body,
    soon(() => state.value !== 'changedElsewhere' && void send()),
    { deep: true },
  )
  onMounted(() => void send())

  /** Settles two versions: mine over theirs, or theirs over mine. */
  const keepMine = () => send(true)
  function takeTheirs() {
    if (theirs.value) draft.take(theirs.value)
    settle(null)
  }
  return { state, theirs, keepMine, takeTheirs }
}

function useSettling() {
  const state = ref<DraftState>('empty')
  const theirs = ref<Draft | null>(null)
  function settle(other: Draft | null) {
    theirs.value = other
    state.value = other === null ? 'kept' : 'changedElsewhere'
  }
  return { state, theirs, settle }
}

const soon = (work: () => unknown) => useDebounceFn(work, 400, { maxWait: 900 })

const putDraft = async (body: { body: DraftBody; revision: number; force: boolean }): Promise<number> =>
  (await $fetch<{ revision: number }>('/api/drafts', { method: 'PUT', body })).revision

interface DraftRefusal {
  /** logged: it is a run by now. */
  status: string
  theirs?: Draft
}
/** Why the server did not take it; null: it did not answer. */
const refusalIn = (error: unknown): DraftRefusal | null =>
  error instanceof FetchError && error.status === 409 ? (error.data as DraftRefusal) : null
