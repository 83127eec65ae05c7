<script setup lang="ts">
import type { Undo } from '~/composables/useUndo'

/** What was thrown away, and the way back. */
const props = defineProps<{ undo: Undo }>()
const { offered } = props.undo
</script>

<template>
  <span role="status" data-undo
    ><template v-if="offered"
      >{{ offered.words }} <BaseButton kind="plain" @click="undo.take()">Undo</BaseButton></template
    ></span
  >
</template>
