<script setup lang="ts">
import { formatNumber, signed } from '#core/quantity/format'
import type { RunComparison } from '#shared/runComparison'

/** Runs that were picked in the logbook, by set-up: like with like first, then what may be said. */
// Where addresses lead that were kept before picked runs stood in Compare.
definePageMeta({ alias: ['/runs/compare'] })
const route = useRoute()
const { data, error } = await useFetch<RunComparison>('/api/runs/compare', {
  query: computed(() => ({ runs: route.query.runs, mixed: route.query.mixed })),
})
const GRADES = {
  onlyThis: 'Like with like: only this changed.',
  corrected: 'Like with like, after correction.',
  together: 'Not like with like: more changed together.',
}
type Arm = RunComparison['arms'][number]
const columns: DataColumn<Arm>[] = [
  { key: 'name', words: 'Set-up', of: (arm) => arm.name },
  { key: 'runs', words: 'Runs', figure: true, of: (arm) => arm.n },
  { key: 'figure', words: 'Mean', unit: 'g/L', figure: true, of: (arm) => formatNumber(arm.geometricMeanGPerL, 1) },
  { key: 'letters', words: 'Letters', of: (arm) => arm.letters },
]
const percent = (ratio: number) => 100 * (ratio - 1)
const differences = computed(() =>
  (data.value?.pairs ?? []).flatMap(({ arms: [first, second], ratio, ci95 }) => {
    if (ratio === null || ci95 === null) return []
    const [low, high] = [percent(ci95[0]), percent(ci95[1])] as const
    const words = `${signed(percent(ratio), 0)} %, ${signed(low, 0)} to ${signed(high, 0)}`
    const label = `${second} against ${first}`
    return [{ key: label, label, mark: percent(ratio), interval: [low, high] as const, words }]
  }),
)
</script>

<template>
  <ComparePage sentence="Picked runs compared" :error="error">
    <template v-if="data">
      <BasePanel label="Like with like">
        <template #title>{{ GRADES[data.likeWithLike.grade] }}</template>
        <ul v-if="data.likeWithLike.differences.length" class="mt-1 list-disc pl-5">
          <li
            v-for="one in data.likeWithLike.differences"
            :key="one.what"
            :class="one.grade === 'together' ? 'font-bold' : ''"
          >
            {{ one.text }}
          </li>
        </ul>
      </BasePanel>
      <BasePanel v-if="data.arms.length" label="Set-ups">
        <p class="mb-1">
          Normalised to the Standard bench, thriftiest first. Set-ups that share a letter are not shown to differ.
        </p>
        <DataTable caption="Set-ups" :rows="data.arms" :columns="columns" :id-of="(arm) => arm.name" />
        <p v-if="data.arms.length === 1" class="mt-2">All of one set-up: there is nothing to hold it against.</p>
        <IntervalBars v-if="differences.length" class="mt-4" :rows="differences" unit="% of fuel a litre" />
        <ul class="mt-3 space-y-1">
          <li v-for="pair in data.pairs" :key="pair.arms.join()">
            {{ pair.arms[1] }} against {{ pair.arms[0] }}: {{ pair.text
            }}<span v-if="pair.adjustedP !== null && data.pairs.length > 1" class="text-ink-2">
              p {{ formatNumber(pair.adjustedP, 3) }}, adjusted for {{ data.pairs.length }} pairs.</span
            >
          </li>
        </ul>
      </BasePanel>
      <p>
        <NuxtLink :to="{ path: '/compare/traces', query: { runs: route.query.runs } }"
          >Lay their traces over each other</NuxtLink
        >
      </p>
      <p v-if="data.origins > 1">
        <NuxtLink v-if="route.query.mixed !== 'yes'" :to="{ query: { ...route.query, mixed: 'yes' } }"
          >Hold measured and published ones against each other</NuxtLink
        >
        <NuxtLink v-else :to="{ query: { runs: route.query.runs } }">Keep to one origin</NuxtLink>
      </p>
      <BasePanel v-if="data.leftOut.length" title="Left out">
        <ul>
          <li v-for="one in data.leftOut" :key="one.id">
            <NuxtLink :to="`/runs/${one.id}`">{{ one.setup }}</NuxtLink>: {{ one.why }}.
          </li>
        </ul>
      </BasePanel>
    </template>
  </ComparePage>
</template>
