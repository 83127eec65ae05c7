<script setup lang="ts">
/** From across the room: the clock, the water, the next thing. */
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const root = useTemplateRef<HTMLElement>('root')
onMounted(() => root.value?.focus())
</script>

<template>
  <section
    ref="root"
    class="bench-glance"
    :data-lanes="bench.lanes.length"
    aria-label="Glance"
    tabindex="-1"
    @click="emit('done')"
    @keydown.esc.prevent.stop="emit('done')"
  >
    <BenchGlanceLane v-for="lane in bench.lanes" :key="lane.runId" :lane="lane" />
  </section>
</template>
