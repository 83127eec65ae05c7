import type { Virtualizer } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'

interface Line {
  key: string
  px: number
}
interface InView {
  table: () => HTMLElement | null
  isWhole: () => boolean
  near: () => void
}
/** As many are drawn before it is known which are in view. */
const FIRST = 60

/** Of many lines of a table in a page that scrolls, those in view, and how much stands above and below them. */
export function useRowsInView<L extends Line>(lines: Ref<readonly L[]>, options: InView) {
  const virtual = useVirtualRows(lines, options)
  const seen = computed(() => virtual()?.getVirtualItems() ?? null)
  const top = computed(() => virtual()?.options.scrollMargin ?? 0)
  const shown = computed(() => {
    if (options.isWhole()) return lines.value
    return seen.value?.map((item) => lines.value[item.index]!) ?? lines.value.slice(0, FIRST)
  })
  const above = computed(() => Math.max(0, (seen.value?.[0]?.start ?? 0) - top.value))
  const heightOf = (some: readonly L[]) => some.reduce((sum, line) => sum + line.px, 0)
  const below = computed(() => {
    if (options.isWhole()) return 0
    if (seen.value === null) return heightOf(lines.value.slice(FIRST))
    return Math.max(0, virtual()!.getTotalSize() - ((seen.value.at(-1)?.end ?? 0) - top.value))
  })
  /** The end of what is here is near: more is wanted. */
  watch(
    () => [seen.value?.at(-1)?.index ?? 0, lines.value.length] as const,
    ([last, all]) => {
      if (!options.isWhole() && seen.value !== null && last > all - FIRST) options.near()
    },
  )
  return { shown, above, below }
}

/** What knows which rows are in view: it comes with the first scroll, where there are more than are drawn whole. */
function useVirtualRows<L extends Line>(lines: Ref<readonly L[]>, { table, isWhole }: InView) {
  const virtual = shallowRef<{ of: Ref<Virtualizer<Window, Element>> } | null>(null)
  const scope = effectScope()
  onUnmounted(() => scope.stop())
  async function begin() {
    const { useWindowVirtualizer } = await import('@tanstack/vue-virtual')
    const top = (table()?.getBoundingClientRect().top ?? 0) + window.scrollY
    scope.run(() => {
      const of = useWindowVirtualizer(
        computed(() => ({
          count: lines.value.length,
          estimateSize: (i: number) => lines.value[i]!.px,
          overscan: 20,
          scrollMargin: top,
          getItemKey: (i: number) => lines.value[i]!.key,
        })),
      )
      virtual.value = { of }
    })
  }
  const isScrolled = ref(false)
  onMounted(() => {
    isScrolled.value = window.scrollY > 0
  })
  useEventListener('scroll', () => (isScrolled.value = true), { passive: true })
  const stop = watch(
    () => !isWhole() && isScrolled.value,
    (isWanted) => {
      if (!isWanted) return
      stop()
      void begin()
    },
  )
  // It stays one object and is told to have moved: a computed value of it would tell nobody.
  return () => virtual.value?.of.value ?? null
}
