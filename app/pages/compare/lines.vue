<script setup lang="ts">
import type { LinesAnswer } from '#shared/answers'

/** Fuel against a flame, wind, cold, height or volume: one set-up, or several laid over each other. */
const { say, said } = useAsking()
const { answer: data, error } = await useAsked<LinesAnswer>('/api/compare/lines')
const kinds = (Object.keys(LINE_KIND_WORDS) as LinesAnswer['kind'][]).map((value) => ({
  value,
  label: LINE_KIND_WORDS[value],
}))
const drawn = computed(() => (data.value ? lineDrawing(data.value) : null))
/** By the reason that they share. */
const leftOut = computed(() => {
  const reasons = new Map<string, LinesAnswer['leftOut']>()
  for (const one of data.value?.leftOut ?? []) reasons.set(one.why, [...(reasons.get(one.why) ?? []), one])
  return [...reasons]
})
const setups = computed(() => (said('setups') ?? '').split(',').filter((id) => id !== ''))
const beside = (id: string | null) => (id === null ? undefined : say({ setups: [...setups.value, id].join(',') }))
const without = (id: string) => say({ setups: setups.value.filter((one) => one !== id).join(',') })
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data && drawn">
      <CompareAnswer :line="data.line">
        <p v-for="words in crossingWords(data)" :key="words" data-crossing>{{ words }}</p>
        <p v-if="neverBoiledWords(data)" data-never>{{ neverBoiledWords(data) }}</p>
        <p class="text-ink-2">
          Fuel against
          <WordChoice
            label="Against"
            :model-value="data.kind"
            :choices="kinds"
            @update:model-value="say({ kind: $event ?? undefined })"
          />, corrected for all else<template v-if="data.litres !== null">; {{ data.of }}</template
          >.
        </p>
        <CompareAsks :asked="data" />
      </CompareAnswer>
      <CompareChart
        :title="`Fuel against ${LINE_KIND_WORDS[data.kind]}`"
        :file="`fuel-against-${data.kind}`"
        :drawn="drawn"
        :x-words="LINE_AXES[data.kind].table"
        :y-words="`Fuel [${lineUnit(data)}]`"
        :decimals="[LINE_AXES[data.kind].decimals, 1]"
      >
        <template #below>
          <p class="mt-1 text-ink-2">
            Points with their 95 %; the curve is what the runs say together, between the edges of its band; dotted where
            nothing was tested: there it is a model.
          </p>
        </template>
      </CompareChart>
    </template>
    <template v-if="data" #margin>
      <h2>Drawn</h2>
      <ul class="space-y-1">
        <li v-for="(arm, i) in data.arms" :key="arm.setupId">
          <ArmShape :at="i" /> <NuxtLink :to="`/kit/setups/${arm.setupId}`">{{ arm.name }}</NuxtLink>,
          {{ arm.n === 1 ? '1 run' : `${arm.n} runs` }}
          <BaseButton
            v-if="data.arms.length > 1"
            kind="plain"
            :aria-label="`Take out ${arm.name}`"
            @click="without(arm.setupId)"
            >Take out</BaseButton
          >
        </li>
      </ul>
      <ChoiceBox
        v-if="data.others.length"
        label="Beside it"
        :model-value="null"
        :choices="data.others.map(({ id, name }) => ({ value: id, label: name }))"
        empty="nothing more"
        @update:model-value="beside"
      />
      <template v-if="data.leftOut.length">
        <h2>Left out</h2>
        <ul class="space-y-1 text-ink-2">
          <li v-for="[why, runs] in leftOut" :key="why">
            <template v-for="(one, i) in runs.slice(0, 6)" :key="one.id"
              >{{ i > 0 ? ', ' : ''
              }}<NuxtLink :to="`/runs/${one.id}`">{{ shortDateInZone(one.startedAt, one.zone) }}</NuxtLink></template
            >{{ runs.length > 6 ? ` and ${runs.length - 6} more` : '' }}: {{ why }}.
          </li>
        </ul>
      </template>
      <CompareKeep page="lines" :sentence="data.sentence" />
    </template>
  </ComparePage>
</template>
