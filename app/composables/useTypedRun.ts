import type { KitChoices } from '#shared/kitChoices'
import type { FieldProblem } from '#shared/readProblems'
import type { TypedRun } from '#shared/typedRun'
import { readTypedRun } from '#shared/readTypedRun'

/**
 * The state of the typed form: what is wrong, shown where the tester has been; and saving.
 * A field's problem appears once it was left; all of them on saving.
 */
export function useTypedRun(typed: Ref<TypedRun>) {
  const visited = ref(new Set<string>())
  const refused = ref<FieldProblem[]>([])
  const tried = ref(false)
  const saving = ref(false)

  const found = computed(() => {
    const read = readTypedRun({ ...typed.value, startedAt: withOffset(typed.value.startedAt) }, Date.now())
    return read.ok ? [] : read.problems
  })
  const problems = computed(() =>
    tried.value ? [...found.value, ...refused.value] : found.value.filter((problem) => visited.value.has(problem.path)),
  )
  const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text
  const leave = (path: string) => {
    visited.value = new Set([...visited.value, path])
  }

  async function save(): Promise<string | null> {
    tried.value = true
    refused.value = []
    if (found.value.length > 0) return null
    saving.value = true
    const outcome = await saveRun(typed.value)
    saving.value = false
    if (outcome.ok) return outcome.id
    refused.value = outcome.problems
    return null
  }

  watch(
    typed,
    () => {
      refused.value = []
    },
    { deep: true },
  )
  return { problems, problemAt, leave, save, saving }
}

/** The kit to choose from. */
export const useKit = () => useFetch<KitChoices>('/api/kit')
