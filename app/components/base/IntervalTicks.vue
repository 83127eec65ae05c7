<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'

/** The axis under estimates. */
defineProps<{ axis: IntervalAxis }>()
</script>

<template>
  <div class="interval-axis" aria-hidden="true">
    <span
      v-for="tick in axis.ticks"
      :key="tick"
      class="interval-tick figures"
      :style="{ left: `${placeOn(axis, tick)}%` }"
      >{{ formatNumber(tick, axis.decimals) }}</span
    >
  </div>
</template>
