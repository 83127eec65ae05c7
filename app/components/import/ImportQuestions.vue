<script setup lang="ts">
import type { ImportPreview } from '#shared/tableImport/imports'
import type { TableMapping } from '#shared/tableImport/mapping'
import { NAME_TARGETS, targetOf, type NameTarget } from '#shared/tableImport/targets'

/** What a table of runs does not tell by itself: asked, never guessed. */
const props = defineProps<{
  preview: ImportPreview | null
  choices: Record<NameTarget, { value: string; label: string }[]>
  documents: boolean
}>()
const mapping = defineModel<TableMapping>({ required: true })
const has = (to: string) => mapping.value.columns.some((column) => column.to === to)
const usual = computed(() =>
  props.documents ? [] : NAME_TARGETS.filter((target) => target !== 'method' || has('method') === false),
)
const usualOf = (target: NameTarget) => ({
  get: () => mapping.value.usual[target] || null,
  set: (value: string | null) => {
    mapping.value.usual[target] = value ?? ''
  },
})
const boxes = Object.fromEntries(NAME_TARGETS.map((target) => [target, computed(usualOf(target))])) as Record<
  NameTarget,
  WritableComputedRef<string | null>
>
const ORIGINS = [
  { value: 'measured', label: 'measured here' },
  { value: 'published', label: 'published elsewhere: never mixed with ours unless asked' },
]
const ORDERS = [
  { value: 'dmy', label: 'day first: 14/3/2026' },
  { value: 'mdy', label: 'month first: 3/14/2026' },
  { value: 'ymd', label: 'year first: 26/3/14' },
]
const MARKS = [
  { value: 'point', label: 'a point: 1,234.5' },
  { value: 'comma', label: 'a comma: 1.234,5' },
]
const CLOCKS = [
  { value: 'potOn', label: 'pot-on' },
  { value: 'lit', label: 'lighting' },
]
</script>

<template>
  <div class="grid grid-cols-1 gap-2">
    <ChoiceBox v-if="!documents" v-model="mapping.origin" label="They were" :choices="ORIGINS" />
    <ChoiceBox
      v-if="preview?.asks.dateOrder || mapping.dateOrder"
      v-model="mapping.dateOrder"
      label="Dates have"
      :choices="ORDERS"
      :problem="mapping.dateOrder ? undefined : 'Dates here can be read in more than one order. Say which.'"
    />
    <ChoiceBox
      v-if="preview?.asks.decimal || mapping.decimal"
      v-model="mapping.decimal"
      label="Decimals have"
      :choices="MARKS"
      :problem="mapping.decimal ? undefined : 'A thousand, or three decimals? Say which.'"
    />
    <TextBox
      v-if="documents || (!has('startedAt') && !has('day'))"
      v-model="mapping.day"
      label="Day of all"
      figures
      example="2026-03-14"
    />
    <TextBox v-if="!has('zone')" v-model="mapping.zone" label="Time zone" example="Atlantic/Azores" />
    <ChoiceBox
      v-if="!documents && !has('times.potOn') && !has('times.lit')"
      v-model="mapping.clock"
      label="Times are from"
      :choices="CLOCKS"
    />
    <ChoiceBox
      v-for="target in usual"
      :key="target"
      v-model="boxes[target].value"
      :label="has(target) ? `${targetOf(target)!.name}, if empty` : targetOf(target)!.name"
      :choices="choices[target]"
      empty="none"
    />
  </div>
</template>
