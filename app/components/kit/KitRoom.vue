<script setup lang="ts">
/** The top of a room of the kit: its name, the way to the others, and what adds to it. */
defineProps<{ title: string; add?: string; to?: string }>()
</script>

<template>
  <div class="flex flex-wrap items-center justify-between gap-x-4">
    <h1 class="mb-2">{{ title }}</h1>
    <BaseButton v-if="add" kind="main" class="mb-2" :to="to">{{ add }}</BaseButton>
  </div>
  <KitNav />
</template>
