<script setup lang="ts">
import type { LaneNext } from '#core/bench/laneNext'
import type { Lane } from '#shared/bench'
import { cautionsFor } from '#shared/cautions'

/** The next thing to press, and while it burns the flame's end beside it. */
defineProps<{
  lane: Lane
  next: LaneNext
  layout: BenchLayout
  skip: string | null
  burning: boolean
  /** The fuel's safety card is due on Light. */ card: boolean
}>()
const emit = defineEmits<{ next: []; skip: []; flameOut: []; again: [] }>()
/** A held key is one press. */
const once = (event: KeyboardEvent) => {
  if (event.repeat) event.preventDefault()
}
</script>

<template>
  <div class="lane-next">
    <button
      type="button"
      class="lane-next-button"
      :class="next.type === 'mark' && next.kind === 'flameOut' ? 'lane-next-out' : ''"
      data-next
      aria-keyshortcuts="Enter Space"
      @click="emit('next')"
      @keydown="once"
    >
      <span class="lane-next-words">{{ next.words }}</span>
      <span
        v-if="next.type === 'read' && next.quantity === lane.order.weighOut && lane.order.weighOut"
        class="lane-next-hint"
        >let it cool first</span
      >
      <span v-if="card" class="lane-next-card" data-cautions
        ><span v-for="caution in cautionsFor(lane.fuelKind)" :key="caution">{{ caution }}</span></span
      >
    </button>
    <button v-if="skip" type="button" class="lane-side" @click="emit('skip')">Skip</button>
    <button v-if="next.type === 'finish'" type="button" class="lane-side" @click="emit('again')">
      Finish, and again
    </button>
    <button
      v-if="burning && !(next.type === 'mark' && next.kind === 'flameOut')"
      type="button"
      class="lane-side lane-side-flame"
      aria-keyshortcuts="O"
      @click="emit('flameOut')"
    >
      Flame out <kbd>O</kbd>
    </button>
  </div>
</template>
