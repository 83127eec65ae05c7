<script setup lang="ts">
import type { RunList } from '#shared/runList'
import { type TraceMapping, TIME_FORMATS } from '#shared/tableImport/traceMapping'

/** Which run a logger's file belongs to, and when its first sample was. */
const props = defineProps<{ asksOrder: boolean }>()
const mapping = defineModel<TraceMapping>({ required: true })
const words = ref('')
const { data } = useFetch<RunList>('/api/runs', {
  query: computed(() => ({ words: words.value, origin: 'all', voided: 'shown' })),
})
const { data: own } = useFetch<{ record: { setup: string; startedAt: string; zone: string } }>(
  () => `/api/runs/${mapping.value.runId}`,
  { immediate: mapping.value.runId !== '', watch: false },
)
const runs = computed(() => {
  const found = (data.value?.lines ?? []).slice(0, 100).map((line) => ({
    value: line.id,
    label: `${dateInZone(line.startedAt, line.zone)} ${line.setup}, ${line.place ?? 'elsewhere'}`,
  }))
  const { runId } = mapping.value
  if (runId === '' || found.some((one) => one.value === runId) || !own.value) return found
  return [
    {
      value: runId,
      label: `${dateInZone(own.value.record.startedAt, own.value.record.zone)} ${own.value.record.setup}`,
    },
    ...found,
  ]
})
const TIMES = {
  seconds: 'seconds',
  milliseconds: 'milliseconds',
  minutes: 'minutes',
  clock: 'm:ss',
  stamp: 'date and time',
}
const formats = TIME_FORMATS.map((value) => ({ value, label: TIMES[value] }))
const ORDERS = [
  { value: 'dmy', label: 'day first: 14/3/2026' },
  { value: 'mdy', label: 'month first: 3/14/2026' },
  { value: 'ymd', label: 'year first: 26/3/14' },
]
const asks = computed(() => props.asksOrder || mapping.value.dateOrder !== '')
</script>

<template>
  <div class="grid grid-cols-1 gap-2">
    <TextBox v-model="words" label="Find the run" example="words of its set-up, place or notes" />
    <ChoiceBox
      v-model="mapping.runId"
      label="It belongs to"
      :choices="runs"
      :problem="mapping.runId ? undefined : 'Choose the run.'"
    />
    <ChoiceBox v-model="mapping.time" label="Times are" :choices="formats" />
    <ChoiceBox
      v-if="asks"
      v-model="mapping.dateOrder"
      label="Dates have"
      :choices="ORDERS"
      :problem="mapping.dateOrder ? undefined : 'Dates here can be read in more than one order. Say which.'"
    />
    <TextBox
      v-model="mapping.firstAt"
      label="First sample at"
      figures
      hint="On the run’s clock: 0:00 where the logger was started with it, −0:30 where half a minute before."
    />
  </div>
</template>
