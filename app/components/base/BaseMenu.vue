<script setup lang="ts">
/** A button with a few things to do behind it; what lists them comes when it is pressed first. */
export interface MenuEntry {
  words: string
  /** A second line: what it is for. */
  about?: string
  act: () => unknown
}
defineProps<{ label: string; entries: readonly MenuEntry[] }>()
const list = shallowRef<typeof import('./MenuList.vue').default | null>(null)
const open = async () => {
  list.value = (await import('./MenuList.vue')).default
}
</script>

<template>
  <component :is="list" v-if="list" :label="label" :entries="entries" />
  <BaseButton v-else aria-haspopup="menu" aria-expanded="false" @click="open()"
    >{{ label }}<span class="opens" aria-hidden="true"
  /></BaseButton>
</template>
