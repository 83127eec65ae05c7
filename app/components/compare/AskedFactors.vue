<script setup lang="ts">
import { ratioRange } from '#core/statistics/verdictText'
import type { FactorsAnswer } from '#shared/answers'

/** What each part of the kit does to the fuel: bars under one another. */
const { answer: data, error } = await useAsked<FactorsAnswer>('/api/compare/factors')
const percent = (ratio: number) => 100 * (ratio - 1)
const rows = computed(() =>
  (data.value?.factors ?? []).map(({ what, ratio, ci95, aliasedWith }) => ({
    key: what,
    label: what,
    mark: percent(ratio),
    interval: [percent(ci95[0]), percent(ci95[1])] as const,
    effect: { ratio, low: ci95[0], high: ci95[1] },
    words: ratioRange(ci95),
    beside: aliasedWith.length === 0 ? '' : `tied to ${aliasedWith.join(', ')}`,
  })),
)
const axis = computed(() => differenceAxis(rows.value.map(({ effect }) => effect)))
const groups = computed(() => [{ rows: rows.value, unit: '%, less | more', nought: 0, axis: axis.value }])
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <CompareAnswer :line="data.line">
        <p class="text-ink-2">
          From {{ data.runs }} runs of {{ data.setups }} set-ups, {{ data.of }}: each part with all others as they are.
        </p>
        <CompareAsks :asked="data" />
      </CompareAnswer>
      <CompareIntervals
        title="What each part saves"
        file="what-each-part-saves"
        :groups="groups"
        :notes="[data.sentence]"
      >
        <ul>
          <li class="factor-row" aria-hidden="true"><span /><DifferenceAxis :axis="axis" /><span /></li>
          <li v-for="row in rows" :key="row.key" class="factor-row">
            <span>{{ row.label }}</span>
            <DifferenceBar :axis="axis" :effect="row.effect" :words="`${row.label}: ${row.words}`" />
            <span class="figures">{{ row.words }}{{ row.beside ? ` · ${row.beside}` : '' }}</span>
          </li>
        </ul>
      </CompareIntervals>
      <CompareKeep page="factors" :sentence="data.sentence" />
    </template>
  </ComparePage>
</template>
