<script setup lang="ts">
/** The shape by which an arm's points are told in a chart. */
const props = defineProps<{ at: number }>()
const SHAPES = [
  'M2 7a5 5 0 1 0 10 0a5 5 0 1 0 -10 0',
  'M2 2h10v10h-10z',
  'M7 2L12 12H2z',
  'M7 1L13 7L7 13L1 7z',
  'M2 2l10 10m0 -10l-10 10',
]
const path = computed(() => SHAPES[props.at % SHAPES.length])
</script>

<template>
  <svg class="inline-block align-[-2px]" width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
    <path :d="path" fill="none" :stroke="at === 0 ? 'var(--water)' : 'var(--ink)'" stroke-width="2" />
  </svg>
</template>
