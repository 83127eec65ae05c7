<script setup lang="ts">
import { liveTrace } from '~/bench/samples'
import { laneSeconds } from '#core/bench/laneTimes'
import type { Lane } from '#shared/bench'

/** The water so far: readings as dots on a line, marks as posts, the boiling point above. */
const props = defineProps<{ lane: Lane; layout: BenchLayout; nowMs: number }>()
const SIZES: Record<BenchLayout, [number, number]> = {
  one: [796, 200],
  column: [400, 128],
  cell: [384, 40],
  phone: [358, 72],
}
const PAD = 8
/** Past the flame bar. */
const LEFT = 20
const zero = computed(
  () => props.lane.state.marks.find((mark) => mark.kind === 'potOn')?.atMs ?? props.lane.state.marks[0]?.atMs ?? null,
)
/** Anew with each press, and each second where an instrument sends. */
const second = computed(() =>
  liveTrace(props.lane.runId, 'water') === null && props.nowMs > 0 ? 0 : Math.floor(props.nowMs / 1000),
)
const size = computed(() => ({ w: SIZES[props.layout][0], h: SIZES[props.layout][1] }))
/** Steps of a minute, so that the drawing stands still between. */
const spanS = computed(() =>
  Math.max(300, zero.value === null ? 0 : Math.ceil(laneSeconds(props.lane, props.nowMs - zero.value) / 60) * 60 + 60),
)
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
/**
 * Worked out before the points are walked: a reactive value asked for at each of them would cost more than the drawing.
 */
const x = computed(() => {
  const [span, room] = [spanS.value, size.value.w - LEFT - PAD]
  return (s: number) => LEFT + (Math.min(s, span) / span) * room
})
const y = computed(() => {
  const [bottom, perK, foot] = [
    bottomC.value,
    (size.value.h - 2 * PAD) / (topC.value - bottomC.value),
    size.value.h - PAD,
  ]
  return (c: number) => foot - (c - bottom) * perK
})
const points = computed(() => {
  const [atX, atY] = [x.value, y.value]
  return drawn.value.map(([s, c]) => `${atX(s).toFixed(1)},${atY(c).toFixed(1)}`)
})
const line = computed(() => points.value.join(' '))
/** A round dot is a line of no length with round ends. */
const DOTS_AT_MOST = 120
const dots = computed(() => (count.value > DOTS_AT_MOST ? [] : points.value).map((point) => `M${point}h0`).join(''))
/** Each kind of post as one path: a lane that was pressed three hundred times draws as fast as a new one. */
const posts = computed(() => {
  const [lane, atX, zeroMs, foot] = [props.lane, x.value, zero.value, size.value.h - PAD]
  const paths = { boils: '', others: '', twins: '' }
  if (zeroMs === null) return paths
  const post = (ms: number) => `M${atX(Math.max(0, laneSeconds(lane, ms - zeroMs))).toFixed(1)},${PAD}V${foot}`
  for (const mark of lane.state.marks) {
    if (mark.kind === 'reading' || mark.atMs < zeroMs - 1000) continue
    paths[mark.kind === 'rollingBoil' ? 'boils' : 'others'] += post(mark.atMs)
    for (const twin of mark.twins) paths.twins += post(twin.atMs)
  }
  return paths
})
</script>

<template>
  <svg
    class="lane-trace"
    :viewBox="`0 0 ${size.w} ${size.h}`"
    preserveAspectRatio="none"
    role="img"
    :aria-label="lastC === null ? 'No reading yet' : `Water, ${count} readings, last ${lastC.toFixed(1)} °C`"
  >
    <line
      v-if="lane.boilingC !== null"
      :x1="PAD"
      :x2="size.w - PAD"
      :y1="y(lane.boilingC)"
      :y2="y(lane.boilingC)"
      class="stroke-edge"
      stroke-dasharray="6 4"
      vector-effect="non-scaling-stroke"
    />
    <path :d="posts.others" class="stroke-flame" stroke-width="2" vector-effect="non-scaling-stroke" />
    <path :d="posts.boils" class="stroke-ink" stroke-width="4" vector-effect="non-scaling-stroke" />
    <path
      :d="posts.twins"
      class="stroke-ink"
      stroke-width="2"
      stroke-dasharray="3 3"
      vector-effect="non-scaling-stroke"
    />
    <polyline
      v-if="lastC !== null"
      :points="line"
      fill="none"
      class="stroke-water"
      stroke-width="3"
      vector-effect="non-scaling-stroke"
    />
    <path
      :d="dots"
      class="stroke-water"
      fill="none"
      stroke-linecap="round"
      :stroke-width="layout === 'cell' ? 5 : 8"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
