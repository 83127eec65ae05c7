<script setup lang="ts">
/** Estimates under one another on one axis, each with its words beside it: below it, on a phone. */
interface IntervalRow {
  key: string
  label: string
  mark: number
  interval: readonly [number, number] | null
  words: string
}
const props = defineProps<{ rows: readonly IntervalRow[]; /** What the axis counts. */ unit: string }>()
const axis = computed(() => intervalAxis(props.rows.flatMap((row) => [row.mark, ...(row.interval ?? [])])))
</script>

<template>
  <div v-if="rows.length" class="grid gap-x-4 gap-y-1 sm:grid-cols-[minmax(8rem,14rem)_minmax(0,1fr)_max-content]">
    <template v-for="row in rows" :key="row.key">
      <span dir="auto">{{ row.label }}</span>
      <IntervalBar
        class="max-sm:mx-4"
        :axis="axis"
        :mark="row.mark"
        :interval="row.interval"
        :words="`${row.label}: ${row.words}`"
      />
      <span class="figures max-sm:mb-2" :data-interval="row.key">{{ row.words }}</span>
    </template>
    <IntervalTicks class="max-sm:mx-4 sm:col-start-2" :axis="axis" />
    <span class="self-start text-ink-2">{{ unit }}</span>
  </div>
</template>
