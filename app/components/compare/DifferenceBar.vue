<script setup lang="ts">
import type { FoundQuestion } from '#core/compare/found'

/** A difference in per cent, less to the left and more to the right of nought. */
const props = defineProps<{ axis: IntervalAxis; effect: NonNullable<FoundQuestion['effect']>; words: string }>()
const percent = (ratio: number) => 100 * (ratio - 1)
const interval = computed(() => [percent(props.effect.low), percent(props.effect.high)] as const)
</script>

<template>
  <div class="relative">
    <span class="difference-nought" :style="{ left: `${placeOn(axis, 0)}%` }" />
    <IntervalBar :axis="axis" :mark="percent(effect.ratio)" :interval="interval" :words="words" />
  </div>
</template>
