<script setup lang="ts">
import type { BenchMark } from '#core/run/benchStep'
import type { Lane } from '#shared/bench'

/** The water so far: readings as dots on a line, marks as posts, the boiling point above. */
const props = defineProps<{ lane: Lane, layout: BenchLayout, nowMs: number }>()
const SIZES: Record<BenchLayout, [number, number]> = { one: [796, 200], column: [400, 128], cell: [384, 40], phone: [358, 72] }
const PAD = 8
/** Past the flame bar. */
const LEFT = 20
const zero = computed(() => props.lane.state.marks.find(mark => mark.kind === 'potOn')?.atMs ?? props.lane.state.marks[0]?.atMs ?? null)
/** Anew with each press, and each second where an instrument sends. */
const second = computed(() => (liveTrace(props.lane.runId, 'water') === null && props.nowMs > 0 ? 0 : Math.floor(props.nowMs / 1000)))
const size = computed(() => ({ w: SIZES[props.layout][0], h: SIZES[props.layout][1] }))
/** Steps of a minute, so that the drawing stands still between. */
const spanS = computed(() => Math.max(300, zero.value === null ? 0 : Math.ceil(laneSeconds(props.lane, props.nowMs - zero.value) / 60) * 60 + 60))
/** In a box: the list itself stays the same while it grows. */
const water = computed(() => ({ points: second.value >= 0 ? laneWater(props.lane) : [] }))
const count = computed(() => water.value.points.length)
/** No more points than the drawing has room for. */
const drawn = computed(() => {
  const { points } = water.value
  const every = Math.max(1, Math.floor(points.length / size.value.w))
  return points.filter((_, i) => i % every === 0 || i === points.length - 1)
})
const lastC = computed(() => drawn.value.at(-1)?.[1] ?? null)
const topC = computed(() => drawn.value.reduce((top, [, c]) => Math.max(top, c), props.lane.boilingC ?? 100) + 4)
const bottomC = computed(() => drawn.value.reduce((bottom, [, c]) => Math.min(bottom, c), 0))
const x = (s: number) => LEFT + (Math.min(s, spanS.value) / spanS.value) * (size.value.w - LEFT - PAD)
const y = (c: number) => size.value.h - PAD - ((c - bottomC.value) / (topC.value - bottomC.value)) * (size.value.h - 2 * PAD)
const line = computed(() => drawn.value.map(([s, c]) => `${x(s).toFixed(1)},${y(c).toFixed(1)}`).join(' '))
/** Each kind of post as one path: a lane that was pressed three hundred times draws as fast as a new one. */
const xs = (of: (mark: BenchMark) => number[]) => props.lane.state.marks.filter(mark => zero.value !== null && mark.kind !== 'reading' && mark.atMs >= zero.value - 1000).flatMap(of).map(ms => x(Math.max(0, laneSeconds(props.lane, ms - zero.value!))))
const posts = (at: number[]) => at.map(one => `M${one.toFixed(1)},${PAD}V${size.value.h - PAD}`).join('')
const boils = computed(() => posts(xs(mark => (mark.kind === 'rollingBoil' ? [mark.atMs] : []))))
const others = computed(() => posts(xs(mark => (mark.kind === 'rollingBoil' ? [] : [mark.atMs]))))
const twins = computed(() => posts(xs(mark => mark.twins.map(twin => twin.atMs))))
/** A round dot is a line of no length with round ends. */
const DOTS_AT_MOST = 120
const dots = computed(() => (count.value > DOTS_AT_MOST ? [] : drawn.value).map(([s, c]) => `M${x(s).toFixed(1)},${y(c).toFixed(1)}h0`).join(''))
</script>

<template>
  <svg class="lane-trace" :viewBox="`0 0 ${size.w} ${size.h}`" preserveAspectRatio="none" role="img" :aria-label="lastC === null ? 'No reading yet' : `Water, ${count} readings, last ${lastC.toFixed(1)} °C`">
    <line v-if="lane.boilingC !== null" :x1="PAD" :x2="size.w - PAD" :y1="y(lane.boilingC)" :y2="y(lane.boilingC)" class="stroke-edge" stroke-dasharray="6 4" vector-effect="non-scaling-stroke" />
    <path :d="others" class="stroke-flame" stroke-width="2" vector-effect="non-scaling-stroke" />
    <path :d="boils" class="stroke-ink" stroke-width="4" vector-effect="non-scaling-stroke" />
    <path :d="twins" class="stroke-ink" stroke-width="2" stroke-dasharray="3 3" vector-effect="non-scaling-stroke" />
    <polyline v-if="lastC !== null" :points="line" fill="none" class="stroke-water" stroke-width="3" vector-effect="non-scaling-stroke" />
    <path :d="dots" class="stroke-water" fill="none" stroke-linecap="round" :stroke-width="layout === 'cell' ? 5 : 8" vector-effect="non-scaling-stroke" />
  </svg>
</template>
