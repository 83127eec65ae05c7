<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { RunPage } from '#shared/runRecord'

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
const chart = useTemplateRef<{ drawing: () => string }>('chart')
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
    :drawing="() => chart?.drawing() ?? null"
  >
    <WhenSeen :class="page.answer.traceFit ? 'h-72' : 'h-56'" soon>
      <LazyRunTrace
        ref="chart"
        :trace="page.trace"
        :marks="page.ribbon.marks"
        :boiling-c="page.answer.boilingPointC"
        :fit="page.answer.traceFit"
        :found-s="page.answer.boilFound?.atS ?? null"
        :read-s="read?.s ?? null"
      />
    </WhenSeen>
    <template #below><RunTraceSays :answer="page.answer" /></template>
  </ChartFrame>
</template>
