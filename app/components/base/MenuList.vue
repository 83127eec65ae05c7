<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import type { MenuEntry } from './BaseMenu.vue'

/** A menu that was asked for: open from the beginning, then by its own button. */
defineProps<{ label: string; entries: readonly MenuEntry[] }>()
const button = useTemplateRef<{ $el: HTMLElement }>('button')
onMounted(() => {
  button.value?.$el.focus()
  button.value?.$el.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }))
})
</script>

<template>
  <Menu as="div" class="relative inline-block">
    <MenuButton ref="button" class="button-quiet">{{ label }}<span class="opens" aria-hidden="true" /></MenuButton>
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
