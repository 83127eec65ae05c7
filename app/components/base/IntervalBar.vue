<script setup lang="ts">
/** One estimate on an axis: a line that holds the truth in 95 of 100, one mark, and its words for who does not see it. */
const props = defineProps<{
  axis: IntervalAxis
  mark: number
  interval: readonly [number, number] | null
  words: string
}>()
const at = (value: number) => placeOn(props.axis, value)
</script>

<template>
  <div class="interval" role="img" :aria-label="words">
    <span
      v-if="interval"
      class="interval-line"
      :style="{ left: `${at(interval[0])}%`, width: `${at(interval[1]) - at(interval[0])}%` }"
    />
    <span class="interval-mark" :style="{ left: `${at(mark)}%` }" />
  </div>
</template>
