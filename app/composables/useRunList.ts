import {
  NONE,
  writeRunList,
  type RunChoices,
  type RunGroupLine,
  type RunList,
  type RunListQuery,
} from '#shared/runList'
import type { RunLine } from '#shared/runRecord'

/** The logbook as it is asked for: the first lines with the page, the next as one comes to them. */
export async function useRunList(query: Ref<RunListQuery>) {
  const asked = computed(() => writeRunList(query.value))
  // All asked at once, and waited for at the end: what comes after an await has no page any more.
  const list = useFetch<RunList>('/api/runs', { query: asked })
  const all = useFetch<RunChoices>('/api/runs/choices')
  const grouped = useFetch<RunGroupLine[]>('/api/runs/groups', { query: asked })
  const { data, error, refresh } = list
  const { data: choices, refresh: refreshChoices } = all
  const { data: groups } = grouped
  const read = (after: string) => $fetch<RunList>('/api/runs', { query: { ...asked.value, after } })
  const later = useLaterLines({ first: data, query, read })
  const lines = computed<RunLine[]>(() => [...(data.value?.lines ?? []), ...later.lines.value])
  const again = async () => void (await Promise.all([refresh(), refreshChoices()]))
  const count = computed(() => data.value?.count ?? 0)
  await Promise.all([list, all, grouped])
  return { ...later, lines, count, again, choices, groups, error }
}

/** Runs of one set-up, newest first: what a new one of it may be held against. */
export function useRunsAlike(setupId: Ref<string>) {
  const { data } = useFetch<RunList>('/api/runs', { query: computed(() => ({ setup: setupId.value || NONE })) })
  return computed<RunLine[]>(() => data.value?.lines ?? [])
}

/** How many figures the server still works out anew; asked again while there are some, then once more by `settled`. */
export function useFiguresLeft(settled: () => unknown) {
  const left = ref(0)
  let timer: ReturnType<typeof setTimeout> | undefined
  async function ask() {
    const answer = await $fetch<{ stale: number }>('/api/figures').catch(() => null)
    const before = left.value
    if (answer) left.value = answer.stale
    if (left.value > 0) timer = setTimeout(() => void ask(), 1500)
    else if (before > 0) settled()
  }
  onMounted(() => void ask())
  onUnmounted(() => clearTimeout(timer))
  return { left, ask }
}
