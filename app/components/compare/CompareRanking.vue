<script setup lang="ts">
import type { RankingAnswer } from '#shared/comparison'

/** A row a set-up, thriftiest first; below a line what is not ranked, and why. */
const props = defineProps<{ answer: RankingAnswer }>()
const scaled = (value: number) => onAxis(props.answer.unit, value)
const axis = computed(() => intervalAxis(props.answer.rows.flatMap(({ low, high }) => [scaled(low), scaled(high)])))
type Row = RankingAnswer['rows'][number]
const placeText = ({ from, to }: Row) => (from === to ? String(from) : `${from}–${to}`)
const words = (row: Row) => rangeOfBoil(props.answer, row)
const runs = ({ n }: Row) => (n === 1 ? '1 run' : `${n} runs`)
const beside = (row: Row) =>
  [
    runs(row),
    row.tiedWith.length > 0 ? `too close to call with ${row.tiedWith.join(', ')}` : '',
    row.moved,
    row.conditions,
  ]
    .filter((one) => one !== '')
    .join(' · ')
const groups = computed(() => [
  {
    unit: unitOfBoil(props.answer),
    axis: axis.value,
    rows: props.answer.rows.map((row) => ({
      label: `${placeText(row)}  ${row.name}`,
      mark: scaled(row.boilG),
      interval: [scaled(row.low), scaled(row.high)] as const,
      words: words(row),
      beside: beside(row),
    })),
  },
])
/** A row that needs its caution carries it into the picture. */
const notes = computed(() => [
  props.answer.sentence,
  ...props.answer.rows.flatMap(({ name, caution }) => (caution === null ? [] : [`${name}: ${caution}`])),
  `One bench, ${props.answer.rows.reduce((sum, { n }) => sum + n, 0)} runs. Not a field promise.`,
])
</script>

<template>
  <CompareIntervals title="Ranking" file="ranking" :groups="groups" :notes="notes">
    <ol class="ranking">
      <li v-for="row in answer.rows" :key="row.name" class="ranking-row" :data-place="placeText(row)">
        <span class="figures">{{ placeText(row) }}</span>
        <NuxtLink :to="`/kit/setups/${row.setupId}`">{{ row.name }}</NuxtLink>
        <IntervalBar
          :axis="axis"
          :mark="scaled(row.boilG)"
          :interval="[scaled(row.low), scaled(row.high)]"
          :words="`${row.name}: ${words(row)} ${unitOfBoil(answer)}`"
        />
        <span class="figures whitespace-nowrap">{{ words(row) }}</span>
        <span class="text-sm text-ink-2">{{ beside(row) }}</span>
      </li>
    </ol>
    <template #below>
      <p v-if="answer.notRanked.length" class="mt-3 border-t border-edge pt-2">
        <strong>Not ranked, and why</strong>{{ ' ' }}
        <span v-for="(one, i) in answer.notRanked" :key="one.setupId" class="text-ink-2">
          <NuxtLink :to="`/kit/setups/${one.setupId}`">{{ one.name }}</NuxtLink>: {{ one.why
          }}{{ i === answer.notRanked.length - 1 ? '.' : ' ·' }}
        </span>
      </p>
    </template>
  </CompareIntervals>
</template>
