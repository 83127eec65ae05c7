<script setup lang="ts">
import type { RunLike } from '#shared/likeRun'

/** Where a form's values come from, when they were not typed. */
defineProps<{ like: RunLike }>()
const emit = defineEmits<{ clear: [] }>()
</script>

<template>
  <p class="text-ink-2" data-taken-from>
    As in
    <NuxtLink :to="`/runs/${like.run.id}`" dir="auto"
      >{{ like.run.setup }}, {{ shortDateInZone(like.run.startedAt, like.run.zone) }}</NuxtLink
    >; only readings are empty. What was taken is marked: × or the Delete key clears it.
    <BaseButton kind="plain" @click="emit('clear')">Begin empty</BaseButton>
  </p>
</template>
