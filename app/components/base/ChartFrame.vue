<script setup lang="ts" generic="T extends object">
/**
 * A chart in its frame: its title, what it says at a place that the arrow keys go to, the table behind it, and the ways
 * to take it along. On paper it is drawn as lines.
 */
const props = defineProps<{
  title: string
  label?: string
  /** What its files are called. */
  file: string
  /** What it draws, a row a place. */
  rows: readonly T[]
  columns: readonly DataColumn<T>[]
  idOf: (row: T) => string
  wordsOf: (row: T) => string
  /** What the table behind it is called. */
  tableWords: string
  /** It as SVG text, black on white. */
  drawing: () => string
}>()
/** The row that is read. */
const read = defineModel<T | null>('read', { default: null })
const { said, files } = useChartFiles(props)
const paper = useTemplateRef<HTMLElement>('paper')
useOnPaper(paper, () => props.drawing())

const STEPS: Record<string, (at: number, last: number) => number> = {
  ArrowRight: (at) => at + 1,
  ArrowLeft: (at) => at - 1,
  PageDown: (at) => at + 10,
  PageUp: (at) => at - 10,
  Home: () => 0,
  End: (_, last) => last,
}
function walk(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (step === undefined) return
  event.preventDefault()
  const last = props.rows.length - 1
  const { value: standing } = read
  const at = standing === null ? -1 : props.rows.findIndex((row) => props.idOf(row) === props.idOf(standing))
  read.value = props.rows[Math.min(last, Math.max(0, step(at, last)))] ?? null
}
/** Made when it is looked at: hundreds of rows that stay shut would hold the page up. */
const open = ref(false)
</script>

<template>
  <BasePanel tight :title="title" :label="label">
    <template #beside>
      <span role="status" class="figures" data-chart-read>{{ read ? wordsOf(read) : said }}</span>
      <BaseMenu class="no-print ml-auto" label="Take it along" :entries="files" />
    </template>
    <div
      class="chart-screen"
      tabindex="0"
      role="group"
      :aria-label="`${title}: arrow keys read it`"
      @keydown="walk"
      @blur="read = null"
    >
      <slot />
    </div>
    <div ref="paper" class="chart-paper" />
    <slot name="below" />
    <details class="no-print mt-2" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>{{ tableWords }}</summary>
      <LazyDataTable v-if="open" class="mt-1 max-w-96" :caption="title" :rows="rows" :columns="columns" :id-of="idOf" />
    </details>
  </BasePanel>
</template>
