<script setup lang="ts">
import type { Ribbon } from '#shared/runRecord'

/** A run at a look: flame below, water above, its marks. */
const props = defineProps<{ ribbon: Ribbon; spanS: number; width: number; height: number }>()
const shape = computed(() => ribbonGeometry(props.ribbon, props))
const base = computed(() => props.height * 0.75)
const torn = computed(() => {
  const x = shape.value.tornX ?? 0
  const step = props.height / 6
  return `M${x},0 ${[1, 2, 3, 4, 5, 6].map((i) => `L${x + (i % 2 ? 4 : -1)},${step * i}`).join(' ')}`
})
</script>

<template>
  <svg :width="width" :height="height" class="block" aria-hidden="true">
    <defs>
      <pattern id="ribbon-warm" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="2" height="5" class="fill-flame" />
      </pattern>
    </defs>
    <path v-if="shape.wedge" :d="shape.wedge" class="fill-water" opacity="0.85" />
    <rect
      v-for="(piece, i) in shape.flame"
      :key="i"
      :x="piece.x"
      :width="piece.width"
      :y="base + 1"
      :height="height - base - 1"
      :fill="piece.warmUp ? 'url(#ribbon-warm)' : 'var(--flame)'"
    />
    <line
      v-if="shape.boilX !== null"
      :x1="shape.boilX"
      :x2="shape.boilX"
      y1="0"
      :y2="height"
      class="stroke-ink"
      :stroke-width="height > 40 ? 3 : 2"
    />
    <path
      v-if="ribbon.endS > spanS"
      :d="`M${width - 9},0 v${height} h9 v${-height} Z M${width - 7},${height / 2} h5 m-3,-3 l3,3 l-3,3`"
      class="fill-sheet stroke-ink"
      stroke-width="1.5"
      data-runs-on
    />
    <path v-if="shape.tornX !== null" :d="torn" fill="none" class="stroke-ink" stroke-width="1.5" />
    <path
      v-if="shape.unweighed"
      :d="`M${shape.endX - 4},2 h4 v${height - 4} h-4`"
      fill="none"
      class="stroke-ink"
      stroke-width="1.5"
    />
  </svg>
</template>
