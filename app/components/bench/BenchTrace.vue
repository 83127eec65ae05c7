<script setup lang="ts">
import type { Lane } from '#shared/bench'

/** The water so far: readings as dots on a line, marks as posts, the boiling point above. */
const props = defineProps<{ lane: Lane, layout: BenchLayout, nowMs: number }>()
const SIZES: Record<BenchLayout, [number, number]> = { one: [796, 200], column: [400, 128], cell: [384, 40], phone: [358, 72] }
const PAD = 8
/** Past the flame bar. */
const LEFT = 20
const zero = computed(() => props.lane.state.marks.find(mark => mark.kind === 'potOn')?.atMs ?? props.lane.state.marks[0]?.atMs ?? null)
const water = computed(() => laneWater(props.lane))
const size = computed(() => ({ w: SIZES[props.layout][0], h: SIZES[props.layout][1] }))
/** Steps of a minute, so that the drawing stands still between. */
const spanS = computed(() => Math.max(300, zero.value === null ? 0 : Math.ceil((props.nowMs - zero.value) / 60_000) * 60 + 60))
const topC = computed(() => Math.max(props.lane.boilingC ?? 100, ...water.value.map(([, c]) => c)) + 4)
const bottomC = computed(() => Math.min(0, ...water.value.map(([, c]) => c)))
const x = (s: number) => LEFT + (Math.min(s, spanS.value) / spanS.value) * (size.value.w - LEFT - PAD)
const y = (c: number) => size.value.h - PAD - ((c - bottomC.value) / (topC.value - bottomC.value)) * (size.value.h - 2 * PAD)
const line = computed(() => water.value.map(([s, c]) => `${x(s).toFixed(1)},${y(c).toFixed(1)}`).join(' '))
const posts = computed(() => props.lane.state.marks.filter(mark => mark.kind !== 'reading' && zero.value !== null && mark.atMs >= zero.value - 1000).map(mark => ({ id: mark.id, kind: mark.kind, x: x(Math.max(0, (mark.atMs - zero.value!) / 1000)), twins: mark.twins.map(twin => x((twin.atMs - zero.value!) / 1000)) })))
</script>

<template>
  <svg class="lane-trace" :viewBox="`0 0 ${size.w} ${size.h}`" preserveAspectRatio="none" role="img" :aria-label="water.length ? `Water, ${water.length} readings, last ${water.at(-1)![1].toFixed(1)} °C` : 'No reading yet'">
    <line v-if="lane.boilingC !== null" :x1="PAD" :x2="size.w - PAD" :y1="y(lane.boilingC)" :y2="y(lane.boilingC)" class="stroke-edge" stroke-dasharray="6 4" vector-effect="non-scaling-stroke" />
    <line v-for="post in posts" :key="post.id" :x1="post.x" :x2="post.x" :y1="PAD" :y2="size.h - PAD" :class="post.kind === 'rollingBoil' ? 'stroke-ink' : 'stroke-flame'" :stroke-width="post.kind === 'rollingBoil' ? 4 : 2" vector-effect="non-scaling-stroke" />
    <template v-for="post in posts" :key="`${post.id}-twins`">
      <line v-for="twin in post.twins" :key="twin" :x1="twin" :x2="twin" :y1="PAD" :y2="size.h - PAD" class="stroke-ink" stroke-width="2" stroke-dasharray="3 3" vector-effect="non-scaling-stroke" />
    </template>
    <polyline v-if="water.length" :points="line" fill="none" class="stroke-water" stroke-width="3" vector-effect="non-scaling-stroke" />
    <circle v-for="([s, c], i) in water" :key="i" :cx="x(s)" :cy="y(c)" :r="layout === 'cell' ? 2.5 : 4" class="fill-water" />
  </svg>
</template>
