<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'

/** A button with a few things to do behind it. */
interface Entry {
  words: string
  /** A second line: what it is for. */
  about?: string
  act: () => unknown
}
defineProps<{ label: string; entries: readonly Entry[] }>()
</script>

<template>
  <Menu as="div" class="relative inline-block">
    <MenuButton class="button-quiet">{{ label }}<span class="opens" aria-hidden="true" /></MenuButton>
    <MenuItems class="menu">
      <MenuItem v-for="entry in entries" :key="entry.words" v-slot="{ active }">
        <button type="button" class="menu-entry" :class="active ? 'bg-rim text-on-rim' : ''" @click="entry.act()">
          {{ entry.words
          }}<span v-if="entry.about" class="block" :class="active ? '' : 'text-ink-2'">{{ entry.about }}</span>
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
