<script setup lang="ts">
import { ratioRange } from '#core/statistics/verdictText'
import type { TwoAnswer } from '#shared/comparison'

/** Two set-ups held against each other; all of it stands in the address. */
const route = useRoute()
const router = useRouter()
const { answer: data, error } = await useAsked<TwoAnswer>('/api/compare/two')
useHead({ title: () => `${data.value?.sentence ?? 'Compare'} · Vulcanum` })

/** Runs that are not counted stand in the address. */
const out = computed(() => new Set(typeof route.query.out === 'string' ? route.query.out.split(',') : []))
async function count(id: string, isCounted: boolean) {
  const left = new Set(out.value)
  if (isCounted) left.delete(id)
  else left.add(id)
  await router.replace({ query: { ...route.query, out: left.size === 0 ? undefined : [...left].join(',') } })
}
/** "2 left out by hand. 3 left out by themselves." */
const leftOut = computed(() =>
  [
    [out.value.size, 'by hand'],
    [data.value?.notCounted.length ?? 0, 'by themselves'],
  ]
    .flatMap(([n, how]) => (n === 0 ? [] : [`${n} left out ${how}.`]))
    .join(' '),
)
const windy = computed(() => (data.value?.runs ?? []).filter((one) => one.note !== '' && !out.value.has(one.id)))
function leaveWindyOut() {
  const left = new Set([...out.value, ...windy.value.map(({ id }) => id)])
  void router.replace({ query: { ...route.query, out: [...left].join(',') } })
}
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <div class="flex flex-wrap items-start gap-4">
        <div class="min-w-0 flex-1 basis-xl space-y-3">
          <BasePanel label="Answer">
            <p class="text-lg font-bold" data-answer>{{ data.line }}</p>
            <p>{{ data.asMeasured }}</p>
            <p class="text-ink-2">
              Corrected to 20 °C start, sea level, calm, by heat balance; {{ data.of }}. {{ leftOut }}
            </p>
          </BasePanel>
          <CompareTwoDrawing :answer="data" />
          <CompareRuns :answer="data" :out="out" @count="count" />
        </div>
        <aside class="w-full shrink-0 space-y-3 xl:w-margin" aria-label="What it rests on">
          <h2>What else differed</h2>
          <ul class="space-y-2">
            <li v-for="one in data.differences" :key="one.text">
              {{ one.text }}
            </li>
            <li v-if="data.differences.length === 0">Nothing that was written down.</li>
          </ul>
          <p v-if="windy.length" class="text-ink-2">
            {{ windy.length }} {{ windy.length === 1 ? 'run' : 'runs' }} in wind rest on their own wind tests.
            <BaseButton kind="plain" @click="leaveWindyOut()">Leave these out</BaseButton>
          </p>
          <p v-if="out.size">
            <BaseButton kind="plain" @click="router.replace({ query: { ...route.query, out: undefined } })"
              >Count all again</BaseButton
            >
          </p>
          <h2>What it rests on</h2>
          <p class="text-ink-2">
            <template v-if="data.withoutOne"> Without any one run: {{ ratioRange(data.withoutOne) }}. </template>
            {{ data.by }} What both share (scale, heat loss) cancels.
          </p>
          <p class="text-ink-2">These are figures of one bench, not a promise for the field.</p>
        </aside>
      </div>
    </template>
  </ComparePage>
</template>
