<script setup lang="ts">
/** A computed number: a press opens its working in the margin. */
defineProps<{ path: string }>()
const margin = useMargin()
</script>

<template>
  <button type="button" class="says-who" :aria-pressed="margin.open === path" @click="margin.show(path)">
    <slot />
  </button>
</template>
