<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { formatClock } from '#core/quantity/format'
import type { RunPage } from '#shared/runRecord'
import { lineChartSvg } from '~/charts/lineChartSvg'
import { lookOf, runTraceChart, type Colours, type TraceShown } from '~/charts/runTraceChart'

/** A run's trace in its frame: the chart, what it says of the boil, and the samples it draws. */
const props = defineProps<{ page: RunPage; file: string }>()
const { units } = usePreferences()
interface Sample {
  s: number
  tempC: number
}
/** A sample each quarter of a minute: what a person reads. */
const samples = computed<Sample[]>(() => {
  let next = -Infinity
  return props.page.trace.flatMap(([s, tempC]) => {
    if (s < next) return []
    next = Math.floor(s / 15) * 15 + 15
    return [{ s, tempC }]
  })
})
const temperature = ({ tempC }: Sample) => shown(tempC, 'temperature', units.value)
const columns: DataColumn<Sample>[] = [
  { key: 'time', words: 'Time', figure: true, of: ({ s }) => formatClock(s) },
  { key: 'water', words: 'Water', figure: true, of: temperature },
]
const read = ref<Sample | null>(null)
const traced = computed<TraceShown>(() => ({
  trace: props.page.trace,
  marks: props.page.ribbon.marks,
  boilingC: props.page.answer.boilingPointC,
  fit: props.page.answer.traceFit,
  foundS: props.page.answer.boilFound?.atS ?? null,
}))
const place = useTemplateRef<HTMLElement>('place')
/** As wide as it is shown, so that its letters are as large as all others; the server draws it for a laptop. */
const { width } = useElementSize(place)
const heightPx = computed(() => (props.page.answer.traceFit ? 288 : 224))
const sheet = computed(() => ({ width: Math.round(width.value) || 780, height: heightPx.value }))
const PAPER_SHEET = { width: 720, height: 300 }
const PAPER = { ink: '#000', edge: '#555', water: '#000', sheet: '#fff' }
const SCREEN = { ink: 'var(--ink)', edge: 'var(--edge)', water: 'var(--water)', sheet: 'var(--sheet)' }
const drawnIn = (colours: Colours, size: typeof PAPER_SHEET): string =>
  lineChartSvg(runTraceChart(traced.value, lookOf(colours, units.value, size.width)), size)
/** What answers to the pointer comes when one points at it: until then the drawing stands there. */
const pointed = ref(false)
const drawn = ref(false)
</script>

<template>
  <ChartFrame
    v-model:read="read"
    title="Water temperature"
    label="Trace"
    :file="file"
    :rows="samples"
    :columns="columns"
    :id-of="({ s }) => String(s)"
    :words-of="(sample) => `${formatClock(sample.s)}, ${temperature(sample)}`"
    table-words="As a table, every quarter of a minute"
    :drawing="() => drawnIn(PAPER, PAPER_SHEET)"
    @pointerenter.once="pointed = true"
    @focusin.once="pointed = true"
  >
    <div ref="place" :style="{ height: `${heightPx}px` }">
      <LazyRunTrace v-if="pointed" v-bind="traced" :read-s="read?.s ?? null" @vue:mounted="drawn = true" />
      <!-- eslint-disable vue/no-v-html -- our own drawing: lineChartSvg escapes its words -->
      <div
        v-if="!drawn"
        class="chart-drawing"
        role="img"
        :aria-label="`Water temperature over time, ${page.trace.length} samples`"
        v-html="drawnIn(SCREEN, sheet)"
      />
    </div>
    <template #below><RunTraceSays :answer="page.answer" /></template>
  </ChartFrame>
</template>
