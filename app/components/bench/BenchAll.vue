<script setup lang="ts">
import { isBurning } from '#core/run/benchStep'
import type { EventKind } from '#core/run/events'

/** One press for every lane it concerns: lighting, a change of wind, a stop. */
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const unlit = computed(() =>
  bench.lanes.filter((lane) => lane.state.marks.length === 0 && lane.order.marks[0] === 'lit'),
)
const lit = computed(() => bench.lanes.filter((lane) => isBurning(lane.state)))
const root = useTemplateRef<HTMLElement>('root')
onMounted(() => root.value?.querySelector('button')?.focus())
async function mark(lanes: typeof bench.lanes, kind: EventKind, payload = {}) {
  for (const lane of lanes) await bench.mark(lane, kind, payload)
  bench.said = `${lanes.length} lanes marked together`
  emit('done')
}
</script>

<template>
  <div ref="root" class="bench-all" role="group" aria-label="All lanes" @keydown.esc.prevent.stop="emit('done')">
    <button v-if="unlit.length" type="button" class="bench-bar-act" @click="mark(unlit, 'lit')">
      Light {{ unlit.map((lane) => lane.lane).join(' ') }}
    </button>
    <button v-if="lit.length" type="button" class="bench-bar-act" @click="mark(lit, 'windChanged')">
      Wind changed {{ lit.map((lane) => lane.lane).join(' ') }}
    </button>
    <button
      v-if="lit.length"
      type="button"
      class="bench-bar-act"
      @click="mark(lit, 'stopped', { reason: 'all lanes stopped' })"
    >
      Stopped from outside {{ lit.map((lane) => lane.lane).join(' ') }}
    </button>
    <p v-if="!unlit.length && !lit.length">No lane waits to be lit, and none burns.</p>
    <button type="button" class="bench-bar-act" @click="emit('done')">Back</button>
  </div>
</template>
