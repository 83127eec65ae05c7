import { problemOf, send } from '~/api/send'
import { useDebounceFn } from '@vueuse/core'
import type { ImportPage, ImportPreview, StoredMapping } from '#shared/tableImport/imports'

/** One import: as the server has it, followed while it is stored. */
export async function useImport(id: string) {
  const request = useFetch<ImportPage>(`/api/imports/${id}`)
  const { data, error, refresh } = request
  let timer: ReturnType<typeof setTimeout> | undefined
  const follow = () => {
    clearTimeout(timer)
    if (data.value?.state === 'storing') timer = setTimeout(() => void refresh().then(follow), 300)
  }
  onMounted(follow)
  onUnmounted(() => clearTimeout(timer))
  // At the end: what comes after an await has no page any more.
  await request
  return {
    page: data,
    error,
    again: async () => {
      await refresh()
      follow()
    },
  }
}

/** What a mapping would store, asked anew a moment after each change. */
export function useImportPreview(id: string, mapping: Ref<StoredMapping | null>) {
  const preview = ref<ImportPreview | null>(null)
  const problem = ref('')
  const asking = ref(false)
  let asked = 0
  const ask = useDebounceFn(async () => {
    if (mapping.value === null) return
    const mine = ++asked
    asking.value = true
    const sent = await send<ImportPreview>(`/api/imports/${id}/preview`, 'POST', mapping.value)
    if (mine !== asked) return
    asking.value = false
    problem.value = problemOf(sent)
    if (sent.ok) preview.value = sent.value
  }, 350)
  watch(mapping, ask, { deep: true })
  onMounted(ask)
  return { preview, problem, asking }
}
