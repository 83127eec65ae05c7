<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { ClaimLine } from '#shared/answers'

/** What makers say, beside what was measured at the conditions that they state. */
const { data, error } = await useFetch<{ claims: ClaimLine[] }>('/api/compare/claims')
const SAYS: Record<ClaimLine['says'], string> = {
  met: 'met',
  aboutAsSaid: 'about as said',
  missed: 'missed',
  cannotSay: 'cannot say',
}
const share = (value: number, { claimed }: { claimed: number }) => (100 * value) / claimed
const drawn = computed(() =>
  (data.value?.claims ?? []).flatMap((one) => (one.drawn === null ? [] : [{ ...one, drawn: one.drawn }])),
)
const axis = computed(() =>
  intervalAxis([90, 110, ...drawn.value.flatMap(({ drawn: of }) => [share(of.low, of), share(of.high, of)])]),
)
const groups = computed(() => [
  {
    unit: '% of what is said',
    axis: axis.value,
    nought: 100,
    rows: drawn.value.map(({ sentence, drawn: of, says }) => ({
      label: sentence,
      mark: share(of.measured, of),
      interval: [share(of.low, of), share(of.high, of)] as const,
      said: 100,
      words: `${formatNumber(share(of.measured, of), 0)} %`,
      beside: SAYS[says],
    })),
  },
])
</script>

<template>
  <ComparePage sentence="What makers say" :error="error">
    <EmptyState
      v-if="!data?.claims.length"
      words="Nobody’s claim is kept here yet. A claim belongs to a set-up: open one and say what its maker says."
    >
      <BaseButton to="/kit/setups">Set-ups</BaseButton>
    </EmptyState>
    <template v-else>
      <CompareIntervals
        title="Said and measured"
        file="claims"
        :groups="groups"
        :notes="['Measured figures corrected to the stated conditions.']"
      >
        <ul>
          <li v-for="one in data.claims" :id="`claim-${one.id}`" :key="one.id" class="claim-row" :data-says="one.says">
            <div>
              <NuxtLink :to="`/kit/setups/${one.setupId}`" class="font-bold text-ink no-underline hover:underline">{{
                one.sentence
              }}</NuxtLink>
              <p class="text-ink-2">{{ [one.conditions, one.source].filter((word) => word !== '').join('; ') }}</p>
              <p>{{ one.text }}</p>
            </div>
            <div v-if="one.drawn" class="relative">
              <span class="claim-said" :style="{ left: `${placeOn(axis, 100)}%` }" />
              <IntervalBar
                :axis="axis"
                :mark="share(one.drawn.measured, one.drawn)"
                :interval="[share(one.drawn.low, one.drawn), share(one.drawn.high, one.drawn)]"
                :words="`${one.sentence} ${one.text}`"
              />
            </div>
            <span v-else class="text-ink-2">nothing measured to draw</span>
            <strong>{{ SAYS[one.says] }}</strong>
          </li>
          <li class="claim-row" aria-hidden="true">
            <span class="text-ink-2">measured, in % of what is said: the hollow mark</span
            ><IntervalTicks :axis="axis" /><span />
          </li>
        </ul>
      </CompareIntervals>
      <p class="text-ink-2">
        About as said: within 10 %. Makers measure in their own way; a claim is no safety figure.
      </p>
    </template>
  </ComparePage>
</template>
