<script setup lang="ts">
import type { LaneState } from '#core/bench/laneNext'
/** The clock by the method's convention; the others small beside it. Not live: a reader of screens asks for it. */
defineProps<{ clock: string; name: string; others: string; state: LaneState; cool: string }>()
</script>

<template>
  <div class="lane-clock">
    <p class="figures lane-clock-figure" role="timer" aria-live="off">
      {{ clock }}
    </p>
    <p class="lane-clock-words">
      <span>{{ name }}</span> <span v-if="others" class="tabular-nums">{{ others }}</span>{{ ' ' }}
      <strong v-if="cool">{{ cool }}</strong>
    </p>
  </div>
</template>
