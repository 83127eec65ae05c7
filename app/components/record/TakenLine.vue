<script setup lang="ts">
import type { RunLike } from '#shared/likeRun'
import type { Undo } from '~/composables/useUndo'

/** Where a form's values come from, when they were not typed. */
defineProps<{ like: RunLike; /** Whether something of it stands there. */ some: boolean; undo: Undo }>()
const emit = defineEmits<{ clear: [] }>()
</script>

<template>
  <p v-if="some" class="text-ink-2" data-taken-from>
    As in
    <NuxtLink :to="`/runs/${like.run.id}`" dir="auto"
      >{{ like.run.setup }}, {{ shortDateInZone(like.run.startedAt, like.run.zone) }}</NuxtLink
    >; only readings are empty. What was taken is marked: × or the Delete key clears it.
    <BaseButton kind="plain" @click="emit('clear')">Begin empty</BaseButton>
  </p>
  <p v-else-if="undo.offered.value"><UndoLine :undo="undo" /></p>
</template>
