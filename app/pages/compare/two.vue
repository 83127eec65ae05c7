<script setup lang="ts">
import { ratioRange } from '#core/statistics/verdictText'
import type { TwoAnswer } from '#shared/comparison'

/** Two set-ups held against each other; all of it stands in the address. */
const { say, said } = useAsking()
const { answer: data, error } = await useAsked<TwoAnswer>('/api/compare/two')

/** Runs that are not counted stand in the address. */
const out = computed(() => new Set((said('out') ?? '').split(',').filter((id) => id !== '')))
const sayOut = (left: ReadonlySet<string>) => say({ out: left.size === 0 ? undefined : [...left].join(',') })
async function count(id: string, isCounted: boolean) {
  const left = new Set(out.value)
  if (isCounted) left.delete(id)
  else left.add(id)
  await sayOut(left)
}
/** "2 left out by hand; with them 34 % less. 3 left out by themselves." */
const leftOut = computed(() => {
  const withAll = data.value?.withAll
  const byHand =
    out.value.size === 0
      ? []
      : [
          `${out.value.size} left out by hand${withAll ? `; with ${out.value.size === 1 ? 'it' : 'them'} ${ratioRange([withAll.low, withAll.high])}` : ''}.`,
        ]
  const bySelf = data.value?.notCounted.length ?? 0
  return [
    ...byHand,
    ...(bySelf === 0 ? [] : [`${bySelf} left out by ${bySelf === 1 ? 'itself' : 'themselves'}.`]),
  ].join(' ')
})
const route = useRoute()
const asked = computed(() => new URLSearchParams(route.query as Record<string, string>).toString())
const windy = computed(() => (data.value?.runs ?? []).filter((one) => one.note !== '' && !out.value.has(one.id)))
const isMedian = computed(() => said('quote') === 'medians')
/** Which of the two stands where: the versions of the address. */
const places = computed(() => {
  const [a, b] = data.value?.versions ?? ['', '']
  return said('a') === b ? ({ a: b, b: a } as const) : ({ a, b } as const)
})
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <p class="text-ink-2">
        <WordChoice
          label="Held against"
          :model-value="places.a"
          :choices="data.choices"
          @update:model-value="say({ a: $event ?? undefined, out: undefined })"
        />
        against
        <WordChoice
          label="Asked of"
          :model-value="places.b"
          :choices="data.choices"
          @update:model-value="say({ b: $event ?? undefined, out: undefined })"
        />, {{ data.of
        }}<template v-if="data.mayBeAlone"
          >,
          <WordChoice
            label="As what"
            :model-value="data.isAlone ? 'alone' : 'used'"
            :choices="[
              { value: 'used', label: 'as used, with all they bring' },
              { value: 'alone', label: 'the burner alone' },
            ]"
            @update:model-value="say({ as: $event === 'alone' ? 'alone' : undefined })" /></template
        >.
      </p>
      <CompareAnswer :line="data.line">
        <p v-if="data.timeLine" data-time>{{ data.timeLine }}</p>
        <p>
          {{ data.asMeasured }}
          <BaseButton kind="plain" @click="say({ quote: isMedian ? undefined : 'medians' })">{{
            isMedian ? 'Medians; show averages' : 'Averages; show medians'
          }}</BaseButton>
        </p>
        <CompareAsks :asked="data" :units="['g', 'MJ', 'money', 's']" />
        <p class="text-ink-2" data-left-out>{{ leftOut }}</p>
      </CompareAnswer>
      <CompareTwoDrawing :answer="data" />
      <CompareRuns :answer="data" :out="out" @count="count" />
    </template>
    <template v-if="data" #margin>
      <h2>What else differed</h2>
      <ul class="space-y-2">
        <li v-for="one in data.differences" :key="one.text">
          {{ one.text }}
        </li>
        <li v-if="data.differences.length === 0">Nothing that was written down.</li>
      </ul>
      <p v-if="windy.length" class="text-ink-2">
        {{ windy.length }} {{ windy.length === 1 ? 'run' : 'runs' }} in wind rest on their own wind tests.
        <BaseButton kind="plain" @click="sayOut(new Set([...out, ...windy.map(({ id }) => id)]))"
          >Leave these out</BaseButton
        >
      </p>
      <p v-if="out.size"><BaseButton kind="plain" @click="sayOut(new Set())">Count all again</BaseButton></p>
      <h2>What it rests on</h2>
      <p class="text-ink-2">
        <template v-if="data.withoutOne"> Without any one run: {{ ratioRange(data.withoutOne) }}. </template>
        {{ data.by }} What both share (scale, heat loss) cancels.
      </p>
      <p class="text-ink-2">
        <a :href="`/api/compare/document?${asked}`" download="compare.json">As a document</a> that
        <code>npm run --silent compare</code> answers alike.
      </p>
      <CompareKeep page="two" :sentence="data.sentence" />
    </template>
  </ComparePage>
</template>
