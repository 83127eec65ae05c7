<script setup lang="ts">
import type { LaneState } from '#core/bench/laneNext'
import type { Lane } from '#shared/bench'
import { lastPressed } from '#core/run/benchStep'

/** Which lane, what is on it, how it stands. */
const props = defineProps<{ lane: Lane; state: LaneState; waiting: number; undoable: boolean }>()
const emit = defineEmits<{ undo: [] }>()
const bench = useBench()
const WORDS: Record<LaneState, string> = {
  armed: 'armed',
  burning: 'lit',
  cooling: 'waits for weigh-out',
  done: 'to finish',
}
const last = computed(() => lastPressed(props.lane.state))
</script>

<template>
  <header class="lane-head">
    <h2 class="lane-letter">
      {{ lane.lane }}
    </h2>
    <span class="min-w-0 flex-1 truncate" dir="auto"
      >{{ lane.setup }}<span class="text-ink-2"> · {{ lane.method?.name ?? 'no method' }}</span></span
    >
    <span v-if="waiting > 0" class="lane-kept-words" data-kept
      >{{ waiting === 1 ? '1 mark' : `${waiting} marks` }} kept here<template v-if="bench.online === false"
        >: {{ bench.offlineWhy ? 'not taken' : 'no server' }}</template
      ></span
    >
    <strong v-if="lane.rehearsal" data-rehearsal
      >rehearsal<template v-if="lane.rehearsal.choice.speed > 1"
        >, × {{ lane.rehearsal.choice.speed }}</template
      ></strong
    >
    <strong class="lane-state-word" :class="state === 'burning' ? 'text-flame' : ''">{{ WORDS[state] }}</strong>
    <button
      v-if="undoable && last"
      type="button"
      class="lane-undo-small"
      :aria-label="`Undo ${lastMarkWords(lane)}`"
      aria-keyshortcuts="Z"
      @click="emit('undo')"
    >
      Undo
    </button>
  </header>
</template>
