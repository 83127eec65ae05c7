import type { KitChoices } from '#shared/kitChoices'
import type { RunLike } from '#shared/likeRun'

/** What the last run had, of this tester where one is named, or a run that is named; null: none, or no server. */
export async function readLike(of: { run?: unknown; person?: string }): Promise<RunLike | null> {
  const query = { run: typeof of.run === 'string' ? of.run : undefined, person: of.person || undefined }
  try {
    return (await $fetch<{ like: RunLike | null }>('/api/runs/like', { query, retry: 0 })).like
  } catch {
    return null
  }
}

/** What a form began with: the run, and what was taken from it. */
export interface Begun {
  like: RunLike | null
  taken: Taken
}

/** What a form took from a run, and how it is told and let go of. */
export function useTaken<T extends Parameters<typeof takeLike>[0]>(form: Ref<T>, begun: Ref<Begun>) {
  const like = computed(() => begun.value.like)
  const has = (path: string): boolean => isTaken(form.value, begun.value.taken, path)
  const some = computed(() => Object.keys(begun.value.taken).some(has))
  function take(kit: KitChoices, from: RunLike) {
    begun.value = { like: from, taken: takeLike(form.value, kit, from) }
  }
  const undo = useUndo()
  function clear() {
    const { taken } = begun.value
    untake(form.value, taken)
    begun.value = { ...begun.value, taken: {} }
    undo.offer('Begun empty.', () => {
      retake(form.value, taken)
      begun.value = { ...begun.value, taken }
    })
  }
  return { like, has, some, take, clear, undo }
}
