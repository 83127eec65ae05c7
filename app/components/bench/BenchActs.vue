<script setup lang="ts">
import type { Lane } from '#shared/bench'

/** The six acts of a lane, each with its key. */
defineProps<{ lane: Lane; lidOff: boolean }>()
const emit = defineEmits<{ act: [name: BenchActName] }>()
const keys = useKeys()
</script>

<template>
  <div class="lane-acts" role="group" :aria-label="`Acts of lane ${lane.lane}`">
    <button
      v-for="one in BENCH_ACTS"
      :key="one.name"
      type="button"
      class="lane-act"
      :data-act="one.name"
      :aria-keyshortcuts="keys.keyOf(one.key) || undefined"
      @click="emit('act', one.name)"
    >
      {{ one.name === 'lid' ? (lidOff ? 'Lid on' : 'Lid off') : one.words }} <kbd>{{ keys.keyOf(one.key) }}</kbd>
    </button>
  </div>
</template>
