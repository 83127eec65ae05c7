<script setup lang="ts">
import type { Lane } from '#shared/bench'

/** From across the room: the clock, the water, the next thing. */
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const nowOf = (lane: Lane) => laneClocks(lane, bench.nowMs).main
const lastC = (lane: Lane) => laneWater(lane).at(-1)?.[1] ?? null
const { units } = usePreferences()
const root = useTemplateRef<HTMLElement>('root')
onMounted(() => root.value?.focus())
</script>

<template>
  <section ref="root" class="bench-glance" :data-lanes="bench.lanes.length" aria-label="Glance" tabindex="-1" @click="emit('done')" @keydown.esc.prevent.stop="emit('done')">
    <div v-for="lane in bench.lanes" :key="lane.runId" class="bench-glance-lane" :class="laneState(lane) === 'burning' ? 'bench-glance-lit' : ''">
      <span class="bench-glance-capital">{{ lane.lane }}</span>
      <span class="figures bench-glance-capital" role="timer" aria-live="off">{{ nowOf(lane) }}</span>
      <span class="bench-glance-words"><span class="figures">{{ lastC(lane) === null ? '' : degrees(lastC(lane)!, units).figure + degrees(lastC(lane)!, units).unit }}</span> {{ laneNext(lane, [], false).words }}</span>
    </div>
  </section>
</template>
