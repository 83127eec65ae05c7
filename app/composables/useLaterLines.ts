import { computed, shallowRef, watch, type Ref } from 'vue'
import type { RunList, RunListQuery } from '#shared/runList'
import type { RunLine } from '#shared/runRecord'

interface Lists {
  /** The first lines; undefined: not read yet. */
  first: Ref<RunList | undefined>
  query: Ref<RunListQuery>
  /** Reads what comes after. */
  read: (after: string) => Promise<RunList>
}
interface Later {
  lines: RunLine[]
  next: string | null
}

/** What comes after the first lines of a list, until another list is asked for. */
export function useLaterLines({ first, query, read }: Lists) {
  const later = shallowRef<Later | null>(null)
  // Of the first lines as they are: a server draws a page without watching what changes.
  const next = computed(() => (later.value === null ? (first.value?.next ?? null) : later.value.next))
  const lines = computed(() => later.value?.lines ?? [])
  const failed = shallowRef(false)
  /** What the lines that are here were asked by: another order is no order of theirs. */
  const shown = shallowRef(query.value)
  let loading = false
  watch(first, () => {
    later.value = null
    failed.value = false
    shown.value = query.value
  })

  async function more() {
    const after = next.value
    if (loading || after === null) return
    loading = true
    const asked = first.value
    try {
      const page = await read(after)
      // Another list was asked for meanwhile.
      if (first.value !== asked) return
      later.value = { lines: [...lines.value, ...page.lines], next: page.next }
      failed.value = false
    } catch {
      failed.value = true
    } finally {
      loading = false
    }
  }
  return { lines, next, failed, shown, more }
}
