<script setup lang="ts">
import type { Lane } from '#shared/bench'

/** One lane from across the room. */
const props = defineProps<{ lane: Lane }>()
const { bench, clock, next, state, temperature } = useLaneView(toRef(props, 'lane'))
const lastC = computed(() => (bench.sampled >= 0 ? lastWaterC(props.lane) : null))
</script>

<template>
  <div class="bench-glance-lane" :class="state === 'burning' ? 'bench-glance-lit' : ''">
    <span class="bench-glance-capital">{{ lane.lane }}</span>
    <span class="figures bench-glance-clock" role="timer" aria-live="off">{{ clock }}</span>
    <span class="bench-glance-words"
      ><span class="figures">{{ lastC === null ? '' : temperature(lastC).figure + temperature(lastC).unit }}</span>
      {{ next.words }}</span
    >
  </div>
</template>
