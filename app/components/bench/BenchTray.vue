<script setup lang="ts">
import type { Lane } from '#shared/bench'

/** With many lanes the acts stand once, for the one that is selected. */
const props = defineProps<{ lane: Lane }>()
const emit = defineEmits<{ act: [name: BenchActName] }>()
const { lidOff } = useLaneView(toRef(props, 'lane'))
</script>

<template>
  <div class="bench-tray" :aria-label="`Acts of lane ${lane.lane}`" role="group">
    <strong class="lane-letter">{{ lane.lane }}</strong>
    <BenchActs :lane="lane" :lid-off="lidOff" @act="(name) => emit('act', name)" />
    <BenchUndo :lane="lane" @act="(name) => emit('act', name)" />
  </div>
</template>
