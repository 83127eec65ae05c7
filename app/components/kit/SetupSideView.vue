<script setup lang="ts">
import type { SetupPartLine } from '#shared/kitRecords'

/** A set-up from the side, drawn to scale from its dimensions. */
const props = defineProps<{
  parts: readonly Pick<SetupPartLine, 'role' | 'name' | 'properties'>[]
  gapM: number | null
  pxPerMm: number
  name: string
  measured?: boolean
}>()
const view = computed(() => sideViewOf(props.parts, props.gapM))
const size = computed(() => ({
  w: props.measured ? view.value.widthMm : view.value.widthMm - 180,
  h: view.value.heightMm + 12,
}))
</script>

<template>
  <svg
    :width="size.w * pxPerMm"
    :height="size.h * pxPerMm"
    :viewBox="`${-size.w / 2} ${-size.h + 4} ${size.w} ${size.h}`"
    role="img"
    class="h-auto max-w-full"
    :aria-label="`${name} from the side, to scale${view.assumed.length ? `; assumed dimensions: ${view.assumed.join(', ')}` : ''}`"
  >
    <g transform="scale(1,-1)">
      <path
        v-for="(shape, i) in view.shapes"
        :key="i"
        :d="shape.d"
        :transform="`translate(0,${shape.yMm})`"
        :class="`kit-${shape.look}`"
        :stroke-dasharray="shape.dashed ? '5 4' : undefined"
      />
      <path :d="`M${-size.w / 2},0 H${size.w / 2}`" class="kit-line" />
    </g>
    <g v-for="one in measured ? view.dimensions : []" :key="one.words" class="kit-dimension">
      <path
        :d="`M${one.xMm - 4},${-one.fromMm} h8 M${one.xMm - 4},${-one.toMm} h8 M${one.xMm},${-one.fromMm} V${-one.toMm}`"
        class="kit-line"
      />
      <text
        :x="one.xMm + (one.xMm < 0 ? -8 : 8)"
        :y="-(one.fromMm + one.toMm) / 2 + 4"
        :text-anchor="one.xMm < 0 ? 'end' : 'start'"
      >
        {{ one.words }}
      </text>
    </g>
  </svg>
</template>
