import { useWindowVirtualizer } from '@tanstack/vue-virtual'

/** Of many lines of a table in a page that scrolls, those in view, and how much stands above and below them. */
export function useRowsInView<L extends { key: string; px: number }>(
  lines: Ref<readonly L[]>,
  options: { table: () => HTMLElement | null; isWhole: () => boolean; near: () => void },
) {
  const top = ref(0)
  onMounted(() => {
    top.value = (options.table()?.getBoundingClientRect().top ?? 0) + window.scrollY
  })
  const virtual = useWindowVirtualizer(
    computed(() => ({
      count: lines.value.length,
      estimateSize: (i: number) => lines.value[i]!.px,
      overscan: 20,
      scrollMargin: top.value,
      enabled: !options.isWhole(),
      initialRect: { width: 1280, height: 1600 },
      getItemKey: (i: number) => lines.value[i]!.key,
    })),
  )
  const seen = computed(() => virtual.value.getVirtualItems())
  const shown = computed(() => (options.isWhole() ? lines.value : seen.value.map((item) => lines.value[item.index]!)))
  const above = computed(() => (options.isWhole() ? 0 : Math.max(0, (seen.value[0]?.start ?? 0) - top.value)))
  const below = computed(() =>
    options.isWhole() ? 0 : Math.max(0, virtual.value.getTotalSize() - ((seen.value.at(-1)?.end ?? 0) - top.value)),
  )
  /** The end of what is here is near: more is wanted. */
  watch(
    () => [seen.value.at(-1)?.index ?? 0, lines.value.length] as const,
    ([last, all]) => {
      if (!options.isWhole() && last > all - 60) options.near()
    },
  )
  return { shown, above, below }
}
