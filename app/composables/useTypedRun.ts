import type { FieldProblem } from '#shared/readProblems'
import type { readTypedRun as ReadTypedRun } from '#shared/readTypedRun'
import type { TypedRun } from '#shared/typedRun'

/**
 * The state of the typed form: what is wrong, shown where the tester has been; and saving.
 * A field's problem appears once it was left; all of them on saving.
 */
export function useTypedRun(typed: Ref<TypedRun>) {
  const visited = ref(new Set<string>())
  const refused = ref<FieldProblem[]>([])
  const tried = ref(false)
  const saving = ref(false)

  const check = useCheck(typed)
  const found = check.problems
  const problems = computed(() =>
    tried.value ? [...found.value, ...refused.value] : found.value.filter((problem) => visited.value.has(problem.path)),
  )
  const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text
  const leave = (path: string) => {
    void check.load()
    afterPress(() => {
      visited.value = new Set([...visited.value, path])
    })
  }

  async function save(): Promise<string | null> {
    await check.load()
    tried.value = true
    refused.value = []
    if (found.value.length > 0) return null
    saving.value = true
    const outcome = await saveRun(typed.value)
    saving.value = false
    if (outcome.ok) return outcome.value.id
    refused.value = outcome.problems
    return null
  }

  watch(typed, () => void (refused.value = []), { deep: true })
  return { problems, problemAt, leave, save, saving }
}

/** The check of a typed run, which comes when something was typed: until then there is nothing to check. */
function useCheck(typed: Ref<TypedRun>) {
  const check = shallowRef<typeof ReadTypedRun | null>(null)
  const load = async () => {
    check.value ??= (await import('#shared/readTypedRun')).readTypedRun
  }
  const problems = computed(() => {
    const read = check.value?.({ ...typed.value, startedAt: withOffset(typed.value.startedAt) }, Date.now())
    return !read || read.ok ? [] : read.problems
  })
  return { problems, load }
}
