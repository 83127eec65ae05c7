<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import { TRACE_ALIGNS, type TraceAlign, type TracesAnswer } from '#shared/answers'

/** Temperatures of runs laid over each other. */
const { say, said } = useAsking()
const { answer: data, error } = await useAsked<TracesAnswer>('/api/compare/traces')
const ALIGN_WORDS: Record<TraceAlign, string> = { potOn: 'pot-on', lit: 'lighting', boil: 'the boil' }
const aligns = TRACE_ALIGNS.map((value) => ({ value, label: ALIGN_WORDS[value] }))
const drawn = computed(() => ({
  arms: (data.value?.lines ?? []).map(({ name, trace }) => ({
    name,
    points: [],
    lines: [{ data: trace, kind: 'curve' as const }],
  })),
  marks: (data.value?.lines ?? []).flatMap(({ boilS, name }) =>
    boilS === null || said('align') === 'boil' ? [] : [{ x: boilS, words: `boil, ${name.split(',')[0]!}` }],
  ),
  xStep: clockStep(
    Math.max(...(data.value?.lines ?? []).map(({ trace }) => (trace.at(-1)?.[0] ?? 60) - (trace[0]?.[0] ?? 0)), 60),
  ),
  xTitle: `from ${ALIGN_WORDS[data.value?.align ?? 'potOn']}`,
  yTitle: '°C',
  xWords: (value: number) => formatClock(value),
}))
/** What is read with the keys: a moment each half minute. */
const read = computed(() => ({
  ...drawn.value,
  arms: drawn.value.arms.map((arm, i) => {
    const { trace } = data.value!.lines[i]!
    let next = -Infinity
    const points = trace.flatMap(([s, tempC]): [number, number, null][] => {
      if (s < next) return []
      next = s + 30
      return [[s, tempC, null]]
    })
    return { ...arm, points }
  }),
}))
const runs = computed(() => (said('runs') ?? '').split(','))
const without = (id: string) => say({ runs: runs.value.filter((one) => one !== id).join(',') })
</script>

<template>
  <ComparePage sentence="Traces laid over each other" :error="error">
    <template v-if="data">
      <p class="text-ink-2">
        Aligned at
        <WordChoice
          label="Aligned at"
          :model-value="data.align"
          :choices="aligns"
          @update:model-value="say({ align: $event ?? undefined })"
        />.
      </p>
      <CompareChart
        v-if="data.lines.length"
        title="Water temperature"
        file="traces"
        :drawn="read"
        x-words="Time [s]"
        y-words="Water [°C]"
      />
      <ul>
        <li v-for="(one, i) in data.lines" :key="one.id">
          <ArmShape :at="i" /> <NuxtLink :to="`/runs/${one.id}`">{{ one.name }}</NuxtLink>{{
            one.boilS === null ? '' : `, boil at ${formatClock(one.boilS)}`
          }}
          <BaseButton kind="plain" :aria-label="`Take out ${one.name}`" @click="without(one.id)">Take out</BaseButton>
        </li>
        <li v-for="one in data.left" :key="one.id" class="text-ink-2">
          <NuxtLink :to="`/runs/${one.id}`">Not drawn</NuxtLink>: {{ one.why }}.
        </li>
      </ul>
    </template>
  </ComparePage>
</template>
