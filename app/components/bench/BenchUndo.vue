<script setup lang="ts">
import type { Lane } from '#shared/bench'
import { lastPressed } from '#core/run/benchStep'

/** Back, a second either way, and the end that was not wanted. */
const props = defineProps<{ lane: Lane }>()
const emit = defineEmits<{ act: [name: BenchActName] }>()
const last = computed(() => lastPressed(props.lane.state))
</script>

<template>
  <div class="lane-undo">
    <button
      type="button"
      class="lane-act min-w-0 flex-1 truncate"
      :disabled="!last"
      aria-keyshortcuts="Z"
      @click="emit('act', 'undo')"
    >
      {{ last ? `Undo ${lastMarkWords(lane)}` : 'Undo' }} <kbd>Z</kbd>
    </button>
    <button
      type="button"
      class="lane-act"
      :disabled="!last"
      aria-label="Last mark a second earlier"
      aria-keyshortcuts=","
      @click="emit('act', 'earlier')"
    >
      − 1 s
    </button>
    <button
      type="button"
      class="lane-act"
      :disabled="!last"
      aria-label="Last mark a second later"
      aria-keyshortcuts="."
      @click="emit('act', 'later')"
    >
      + 1 s
    </button>
    <button type="button" class="lane-act" aria-keyshortcuts="X" @click="emit('act', 'giveUp')">
      {{ last ? 'Give up' : 'Clear' }} <kbd>X</kbd>
    </button>
  </div>
</template>
