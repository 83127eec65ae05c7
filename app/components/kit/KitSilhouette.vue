<script setup lang="ts">
import type { ThingKind, ThingProperties } from '#shared/thing'

/** A thing of the kit as a silhouette, at the scale of its neighbours; dashed where a dimension was not measured. */
const props = defineProps<{ kind: ThingKind; properties: ThingProperties; pxPerMm: number; name: string }>()
const drawn = computed(() => silhouetteOf(props.kind, props.properties))
const PAD = 6
const size = computed(() => ({ w: drawn.value.widthMm + 2 * PAD, h: drawn.value.heightMm + PAD + 1 }))
</script>

<template>
  <svg
    :width="size.w * pxPerMm"
    :height="size.h * pxPerMm"
    :viewBox="`${-size.w / 2} ${-size.h + 1} ${size.w} ${size.h}`"
    role="img"
    :aria-label="`${name}, to scale${drawn.assumed ? ', some dimensions assumed' : ''}`"
    class="h-auto max-w-full overflow-visible"
  >
    <g transform="scale(1,-1)">
      <path
        v-for="(shape, i) in drawn.shapes"
        :key="i"
        :d="shape.d"
        :class="`kit-${shape.look}`"
        :stroke-dasharray="drawn.assumed ? '5 4' : undefined"
      />
    </g>
  </svg>
</template>
