<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { RankingAnswer } from '#shared/comparison'

/** Set-ups of one fuel by what a boil takes: places as ranges, ties told in the row. */
const { answer: data, error } = await useAsked<RankingAnswer>('/api/compare/ranking')
useHead({ title: () => `${data.value?.sentence ?? 'Ranking'} · Vulcanum` })
const axis = computed(() => intervalAxis((data.value?.rows ?? []).flatMap(({ low, high }) => [low, high])))
const placeText = ({ from, to }: RankingAnswer['rows'][number]) => (from === to ? String(from) : `${from}–${to}`)
const words = (row: RankingAnswer['rows'][number]) =>
  `${formatNumber(row.boilG, 1)} (${formatNumber(row.low, 1)} to ${formatNumber(row.high, 1)})`
const cautions = computed(() => (data.value?.rows ?? []).filter(({ caution }) => caution !== null))
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <div class="space-y-3">
        <BasePanel label="Answer">
          <p class="text-lg font-bold" data-answer>{{ data.line }}</p>
          <p class="text-ink-2">
            Grams of {{ data.fuel.toLowerCase() }} a boil, corrected to 20 °C start, sea level, calm, by heat balance.
          </p>
          <p v-if="data.others.length" class="flex flex-wrap gap-x-4">
            <span class="text-ink-2">Also ranked:</span>
            <NuxtLink v-for="one in data.others" :key="one.words" :to="{ query: one.query }">{{ one.words }}</NuxtLink>
          </p>
        </BasePanel>
        <BasePanel label="Ranking">
          <ol class="ranking">
            <li v-for="row in data.rows" :key="row.name" class="ranking-row" :data-place="placeText(row)">
              <span class="figures">{{ placeText(row) }}</span>
              <NuxtLink :to="`/kit/setups/${row.setupId}`">{{ row.name }}</NuxtLink>
              <IntervalBar
                :axis="axis"
                :mark="row.boilG"
                :interval="[row.low, row.high]"
                :words="`${row.name}: ${words(row)} g a boil`"
              />
              <span class="figures whitespace-nowrap">{{ words(row) }}</span>
              <span class="text-sm text-ink-2"
                >{{ row.n }} {{ row.n === 1 ? 'run' : 'runs'
                }}<template v-if="row.tiedWith.length">
                  · too close to call with {{ row.tiedWith.join(', ') }}</template
                ></span
              >
            </li>
          </ol>
          <p v-if="data.notRanked.length" class="mt-3 border-t border-edge pt-2">
            <strong>Not ranked, and why</strong>
            <span v-for="(one, i) in data.notRanked" :key="one.setupId" class="text-ink-2">
              <NuxtLink :to="`/kit/setups/${one.setupId}`">{{ one.name }}</NuxtLink>: {{ one.why
              }}{{ i === data.notRanked.length - 1 ? '.' : ' ·' }}
            </span>
          </p>
        </BasePanel>
        <CautionBox v-for="row in cautions" :key="row.name">
          <strong>{{ row.name }}.</strong> {{ row.caution }}
        </CautionBox>
        <p class="text-ink-2">These are figures of one bench, not a promise for the field.</p>
      </div>
    </template>
  </ComparePage>
</template>
