<script setup lang="ts">
/** What may be said, first of all; below it what it is of. */
defineProps<{ line: string }>()
</script>

<template>
  <BasePanel label="Answer">
    <p class="text-lg font-bold" data-answer>{{ line }}</p>
    <slot />
  </BasePanel>
</template>
