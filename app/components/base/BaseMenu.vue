<script setup lang="ts">
/** A button with a few things to do behind it; what lists them comes when it is pressed first. */
export interface MenuEntry {
  words: string
  /** A second line: what it is for. */
  about?: string
  act: () => unknown
}
defineProps<{ label: string; entries: readonly MenuEntry[] }>()
const wanted = ref(false)
</script>

<template>
  <LazyMenuList v-if="wanted" :label="label" :entries="entries" />
  <BaseButton v-else aria-haspopup="menu" aria-expanded="false" @click="wanted = true"
    >{{ label }}<span class="opens" aria-hidden="true"
  /></BaseButton>
</template>
