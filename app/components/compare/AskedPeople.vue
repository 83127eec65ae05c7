<script setup lang="ts">
import { formatNumber, signed } from '#core/quantity/format'
import type { PeopleAnswer } from '#shared/answers'

/** One set-up burned by several: how far each is from the rest. */
const { answer: data, error } = await useAsked<PeopleAnswer>('/api/compare/people')
const scores = computed(() =>
  (data.value?.arms ?? []).flatMap(({ name, n, z, zU }) =>
    z === null
      ? []
      : [
          {
            key: name,
            label: `${name}, ${n}`,
            mark: z,
            interval: zU === null ? null : ([z - 2 * zU, z + 2 * zU] as const),
            words: `z ${signed(z, 1)}${zU === null ? '' : ` ± ${formatNumber(2 * zU, 1)}`}`,
          },
        ],
  ),
)
const boils = computed(() =>
  (data.value?.arms ?? []).map((arm) => ({
    key: arm.name,
    label: `${arm.name}, ${arm.n}`,
    mark: arm.boilG,
    interval: [arm.low, arm.high] as const,
    words: rangeOfBoil(data.value!, arm),
  })),
)
const groups = computed(() => [
  { rows: boils.value, unit: 'g a boil, 95 %' },
  { rows: scores.value, unit: 'z', nought: 0 },
])
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <CompareAnswer :line="data.line">
        <p class="text-ink-2">
          {{ data.of }}. Each from the robust mean of all, in robust standard deviations (z): beyond 2 is worth a look,
          beyond 3 is another way to read. With two people z says no more than that they differ.
        </p>
        <CompareAsks :asked="data" />
      </CompareAnswer>
      <CompareIntervals title="Who is how far off" file="people" :groups="groups" :notes="[data.sentence]">
        <IntervalBars :rows="boils" unit="g a boil, 95 %" />
        <IntervalBars v-if="scores.length" class="mt-4" :rows="scores" unit="z" />
      </CompareIntervals>
      <CompareKeep page="people" :sentence="data.sentence" />
    </template>
  </ComparePage>
</template>
