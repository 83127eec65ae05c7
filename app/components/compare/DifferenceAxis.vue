<script setup lang="ts">
import { signed } from '#core/quantity/format'

/** The ticks of differences in per cent, and which side is which. */
defineProps<{ axis: IntervalAxis }>()
</script>

<template>
  <div aria-hidden="true">
    <div class="flex justify-between text-sm text-ink-2"><span>less</span><span>more</span></div>
    <div class="difference-axis">
      <span v-for="tick in axis.ticks" :key="tick" class="figures" :style="{ left: `${placeOn(axis, tick)}%` }">{{
        `${signed(tick, axis.decimals)}${tick === axis.from ? ' %' : ''}`
      }}</span>
    </div>
  </div>
</template>
