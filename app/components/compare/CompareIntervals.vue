<script setup lang="ts">
import { intervalRowsSvg, type DrawnRows } from '~/charts/intervalRowsSvg'

/** Estimates in their frame: what stands in the slot is drawn from the same rows as its files and its table. */
const props = defineProps<{
  title: string
  file: string
  groups: readonly DrawnRows[]
  /** What must go with the picture. */
  notes?: readonly string[]
}>()
interface Row {
  key: string
  label: string
  value: number
  low: number | null
  high: number | null
  unit: string
  words: string
}
const rows = computed<Row[]>(() =>
  props.groups.flatMap(({ rows: own, unit }, group) =>
    own.map(({ label, mark, interval, words, beside }, i) => ({
      key: `${group}-${i}`,
      label,
      value: mark,
      low: interval?.[0] ?? null,
      high: interval?.[1] ?? null,
      unit,
      words: beside ? `${words} · ${beside}` : words,
    })),
  ),
)
const columns: DataColumn<Row>[] = [
  { key: 'label', words: 'What', of: ({ label }) => label },
  { key: 'value', words: 'Value', figure: true, of: ({ value }) => value },
  { key: 'low', words: '95 % from', figure: true, of: ({ low }) => low },
  { key: 'high', words: 'to', figure: true, of: ({ high }) => high },
  { key: 'unit', words: 'Unit', of: ({ unit }) => unit },
  { key: 'words', words: 'As shown', of: ({ words }) => words },
]
</script>

<template>
  <ChartFrame
    :title="title"
    :file="file"
    :rows="rows"
    :columns="columns"
    :id-of="({ key }) => key"
    :words-of="({ label, words }) => `${label}: ${words}`"
    table-words="As a table"
    :drawing="() => intervalRowsSvg(groups, notes)"
  >
    <slot />
    <template #below><slot name="below" /></template>
  </ChartFrame>
</template>
