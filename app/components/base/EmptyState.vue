<script setup lang="ts">
/** Nothing is here yet: said so, with what to do first. */
defineProps<{ title?: string; words: string }>()
</script>

<template>
  <div>
    <h1 v-if="title" class="mb-3">{{ title }}</h1>
    <BasePanel as="div" class="max-w-3xl">
      <p class="mb-4 text-base">{{ words }}</p>
      <p class="flex flex-wrap gap-3"><slot /></p>
      <slot name="more" />
    </BasePanel>
  </div>
</template>
