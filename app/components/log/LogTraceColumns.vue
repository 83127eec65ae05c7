<script setup lang="ts">
import type { TimeFormat } from '#core/formats/parseChannels'
import { parseTraceRows, type TempUnit, type TraceMapping } from '#core/formats/parseTrace'
import { problemText } from '#core/result'
import { formatClock } from '#core/quantity/format'

/** What the columns of a logger's table were guessed to be: shown, and changed before it is taken. */
const props = defineProps<{ rows: string[][] }>()
const mapping = defineModel<TraceMapping>({ required: true })
const emit = defineEmits<{ use: [samples: [number, number][]] }>()
const worded = <K extends string>(words: Record<K, string>) =>
  (Object.keys(words) as K[]).map((value) => ({ value, label: words[value] }))
const TIMES: Record<TimeFormat, string> = {
  seconds: 'seconds',
  milliseconds: 'milliseconds',
  minutes: 'minutes',
  clock: 'm:ss',
  stamp: 'date and time',
}
const TEMPS: Record<TempUnit, string> = { C: '°C', F: '°F' }
const columns = computed(() => {
  const { headerRows } = mapping.value
  const header = headerRows > 0 ? props.rows[headerRows - 1]! : []
  return (props.rows[headerRows] ?? []).map((_, i) => ({ value: `${i}`, label: `${i + 1}: ${header[i] ?? ''}` }))
})
const boxes = computed(() => [
  { of: 'timeColumn' as const, label: 'Time is in', choices: columns.value },
  { of: 'time' as const, label: 'Times are', choices: worded(TIMES) },
  { of: 'tempColumn' as const, label: 'Water is in', choices: columns.value },
  { of: 'temp' as const, label: 'Degrees are', choices: worded(TEMPS) },
])
function set(of: (typeof boxes.value)[number]['of'], value: string) {
  const read = of === 'timeColumn' || of === 'tempColumn' ? Number(value) : value
  mapping.value = { ...mapping.value, [of]: read }
}
const parsed = computed(() => parseTraceRows(props.rows, mapping.value))
</script>

<template>
  <div class="grid gap-2 border-l-4 border-water pl-3">
    <div class="flex flex-wrap gap-2">
      <ChoiceBox
        v-for="box in boxes"
        :key="box.label"
        :model-value="`${mapping[box.of]}`"
        :label="box.label"
        :choices="box.choices"
        above
        class="w-44"
        @update:model-value="set(box.of, $event!)"
      />
    </div>
    <BaseAlert v-if="!parsed.ok">
      {{ problemText(parsed.problem) }}
    </BaseAlert>
    <template v-else>
      <p>
        As it would be kept:
        <span class="figures">{{
          parsed.value.samples
            .slice(0, 4)
            .map(([s, tempC]) => `${formatClock(s)} ${tempC.toFixed(1)} °C`)
            .join(' · ')
        }}</span>
        … {{ parsed.value.samples.length }} samples. Its first sample is the clock’s 0:00.
      </p>
      <p v-for="note in parsed.value.notes" :key="note">
        {{ note }}
      </p>
      <BaseButton kind="main" class="justify-self-start" @click="parsed.ok && emit('use', parsed.value.samples)"
        >Take this trace</BaseButton
      >
    </template>
  </div>
</template>
