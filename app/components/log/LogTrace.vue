<script setup lang="ts">
import type { TimeFormat } from '#core/formats/parseChannels'
import { guessTraceMapping, parseTraceRows, type TempUnit, type TraceMapping } from '#core/formats/parseTrace'
import { problemText } from '#core/result'
import { formatClock } from '#core/quantity/format'

/** A logger's trace, by file or paste: its columns are guessed, shown and can be changed before it is taken. */
const trace = defineModel<[number, number][]>({ required: true })
const rows = ref<string[][]>([])
const mapping = ref<TraceMapping | null>(null)
const problem = ref('')
const pasted = ref('')
const id = useId()
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
  const header = mapping.value && mapping.value.headerRows > 0 ? rows.value[mapping.value.headerRows - 1]! : []
  return (rows.value[mapping.value?.headerRows ?? 0] ?? []).map((_, i) => ({
    value: `${i}`,
    label: `${i + 1}: ${header[i] ?? ''}`,
  }))
})
const boxes = computed(() => [
  { of: 'timeColumn' as const, label: 'Time is in', choices: columns.value },
  { of: 'time' as const, label: 'Times are', choices: worded(TIMES) },
  { of: 'tempColumn' as const, label: 'Water is in', choices: columns.value },
  { of: 'temp' as const, label: 'Degrees are', choices: worded(TEMPS) },
])
function set(of: (typeof boxes.value)[number]['of'], value: string) {
  const read = of === 'timeColumn' || of === 'tempColumn' ? Number(value) : value
  mapping.value = { ...mapping.value!, [of]: read }
}
const parsed = computed(() =>
  mapping.value === null || rows.value.length === 0 ? null : parseTraceRows(rows.value, mapping.value),
)

async function open(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const { MAX_TRACE_BYTES } = await reader()
  if (file.size > MAX_TRACE_BYTES) {
    const large = tooLarge(file.name, file.size, MAX_TRACE_BYTES)
    problem.value = `${large} Bring the part of this run alone. What you typed is kept.`
    return
  }
  await take(await file.text())
}
/** It comes with the first table. */
const reader = () => import('#shared/readTraceText')

async function take(text: string) {
  problem.value = ''
  const { readTraceText } = await reader()
  const read = readTraceText(text)
  rows.value = read.ok ? read.value : []
  mapping.value = read.ok ? guessTraceMapping(read.value) : null
  if (!read.ok) problem.value = problemText(read.problem)
  else if (mapping.value === null)
    problem.value = 'No column of times with a column of temperatures was found. Is the table whole?'
}

const undo = useUndo()
function takeOut() {
  const before = trace.value
  trace.value = []
  undo.offer('The trace is out.', () => {
    trace.value = before
  })
}
function use() {
  undo.forget()
  if (!parsed.value?.ok) return
  trace.value = parsed.value.value.samples
  rows.value = []
  mapping.value = null
  pasted.value = ''
}
</script>

<template>
  <section aria-label="Trace" class="grid grid-cols-1 content-start gap-2">
    <p v-if="trace.length">
      A trace of <span class="figures">{{ trace.length }}</span> samples, to
      <span class="figures">{{ formatClock(trace.at(-1)![0]) }}</span> and
      <span class="figures">{{ trace.at(-1)![1].toFixed(1) }} °C</span>.
      <BaseButton kind="plain" @click="takeOut">Take it out</BaseButton>
    </p>
    <p><UndoLine :undo="undo" /></p>
    <label :for="`${id}-file`">A logger’s file (CSV or TSV)</label>
    <input :id="`${id}-file`" type="file" accept=".csv,.tsv,.txt,text/csv,text/plain" @change="open" />
    <label :for="`${id}-paste`">or its rows, pasted</label>
    <textarea :id="`${id}-paste`" v-model="pasted" rows="2" class="figures w-full" @change="take(pasted)" />
    <BaseAlert v-if="problem">
      {{ problem }}
    </BaseAlert>
    <div v-if="mapping" class="grid gap-2 border-l-4 border-water pl-3">
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
      <BaseAlert v-if="parsed && !parsed.ok">
        {{ problemText(parsed.problem) }}
      </BaseAlert>
      <template v-else-if="parsed?.ok">
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
        <BaseButton kind="main" class="justify-self-start" @click="use">Take this trace</BaseButton>
      </template>
    </div>
  </section>
</template>
