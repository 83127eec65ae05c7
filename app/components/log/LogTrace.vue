<script setup lang="ts">
import type { TraceMapping } from '#core/formats/parseTrace'
import { problemText } from '#core/result'
import { formatClock } from '#core/quantity/format'

/** A logger's trace, by file or paste: its columns are guessed, shown and can be changed before it is taken. */
const trace = defineModel<[number, number][]>({ required: true })
const rows = ref<string[][]>([])
const mapping = ref<TraceMapping | null>(null)
const problem = ref('')
const pasted = ref('')
const id = useId()

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
/** They come with the first table. */
const reader = () => import('#shared/readTraceText')
const columnsOf = () => import('#core/formats/parseTrace')

async function take(text: string) {
  problem.value = ''
  const [{ readTraceText }, { guessTraceMapping }] = await Promise.all([reader(), columnsOf()])
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
function use(samples: [number, number][]) {
  undo.forget()
  trace.value = samples
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
    <LazyLogTraceColumns v-if="mapping" v-model="mapping" :rows="rows" @use="use" />
  </section>
</template>
