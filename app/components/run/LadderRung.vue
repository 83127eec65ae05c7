<script setup lang="ts">
/** The drawing of one rung. */
const props = defineProps<{ shape: RungShape; measuredX: number | null; normalisedX: number | null }>()
const MIDDLE = 22
const FILLS = {
  measured: 'var(--rim)',
  ownSeries: 'url(#ladder-hatched)',
  classDefault: 'none',
  assumed: 'url(#ladder-dotted)',
  notInModel: 'none',
}
const left = computed(() => Math.min(props.shape.fromX ?? 0, props.shape.toX ?? 0))
const span = computed(() => Math.abs((props.shape.toX ?? 0) - (props.shape.fromX ?? 0)))
const downwards = computed(() => (props.shape.toX ?? 0) < (props.shape.fromX ?? 0))
const chevron = computed(() => {
  const x = props.shape.toX ?? 0
  const back = downwards.value ? 6 : -6
  return `M${x + back},${MIDDLE - 9} L${x},${MIDDLE} L${x + back},${MIDDLE + 9}`
})
/** Beyond what was tested the bar's far third is torn. */
const fray = computed(() => {
  const end = props.shape.toX ?? 0
  const back = (downwards.value ? 1 : -1) * Math.min(12, span.value / 3)
  return `M${end},${MIDDLE - 6} L${end + back},${MIDDLE - 3} L${end},${MIDDLE} L${end + back},${MIDDLE + 3} L${end},${MIDDLE + 6} z`
})
</script>

<template>
  <svg class="absolute inset-0 h-full w-full overflow-visible" aria-hidden="true">
    <line
      v-if="measuredX !== null"
      :x1="measuredX"
      :x2="measuredX"
      y1="0"
      y2="44"
      class="stroke-edge"
      stroke-width="1"
    />
    <line
      v-if="normalisedX !== null"
      :x1="normalisedX"
      :x2="normalisedX"
      y1="0"
      y2="44"
      class="stroke-rim"
      stroke-width="1.5"
    />
    <rect
      v-if="shape.ghost"
      :x="shape.ghost[0]"
      :width="shape.ghost[1] - shape.ghost[0]"
      :y="MIDDLE - 12"
      height="24"
      fill="none"
      class="stroke-ink-2"
      stroke-dasharray="2 4"
      data-ghost
    />
    <g v-if="shape.whisker">
      <line
        :x1="shape.whisker[0]"
        :x2="shape.whisker[1]"
        :y1="MIDDLE + 13"
        :y2="MIDDLE + 13"
        class="stroke-ink"
        stroke-width="1"
      />
      <line
        v-if="shape.core"
        :x1="shape.core[0]"
        :x2="shape.core[1]"
        :y1="MIDDLE + 13"
        :y2="MIDDLE + 13"
        class="stroke-ink"
        stroke-width="4"
      />
    </g>
    <template v-if="shape.shape === 'bar'">
      <rect
        :x="left"
        :width="span"
        :y="MIDDLE - 5"
        height="10"
        :fill="FILLS[shape.rung.basis]"
        class="stroke-rim"
        stroke-width="1"
      />
      <path :d="chevron" fill="none" class="stroke-rim" stroke-width="2.5" />
      <path v-if="shape.beyond" :d="fray" class="fill-sheet stroke-rim" stroke-width="1" data-frayed />
    </template>
    <path
      v-else-if="shape.shape === 'diamond'"
      :d="`M${shape.toX},${MIDDLE - 6} l6,6 l-6,6 l-6,-6 z`"
      :fill="FILLS[shape.rung.basis]"
      class="stroke-rim"
      stroke-width="1.5"
    />
    <line
      v-else-if="shape.shape === 'level'"
      :x1="shape.toX!"
      :x2="shape.toX!"
      :y1="MIDDLE - 8"
      :y2="MIDDLE + 8"
      class="stroke-rim"
      stroke-width="3"
    />
    <g v-else-if="shape.shape === 'open'" class="stroke-rim" stroke-width="3">
      <line :x1="shape.toX!" :x2="shape.toX!" y1="0" y2="10" />
      <line :x1="shape.toX!" :x2="shape.toX!" y1="34" y2="44" />
    </g>
    <path
      v-else-if="shape.shape === 'begins'"
      :d="`M${shape.toX},${MIDDLE - 8} l7,8 l-7,8 l-7,-8 z`"
      fill="none"
      class="stroke-rim"
      stroke-width="2"
    />
  </svg>
</template>
