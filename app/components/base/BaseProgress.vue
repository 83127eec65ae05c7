<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'

/** How far something is that takes a while, and about how long it still takes. */
const props = defineProps<{
  label: string
  /** Of 1. */
  done: number
}>()
const left = useTimeLeft(() => props.done)
</script>

<template>
  <p class="flex flex-wrap items-center gap-x-3 gap-y-1">
    <progress class="min-w-40 flex-1" :value="done" max="1" :aria-label="label" />
    <span class="figures">{{ formatNumber(done * 100, 0) }} %</span>
    <span v-if="left" class="text-ink-2">{{ left }}</span>
  </p>
</template>
