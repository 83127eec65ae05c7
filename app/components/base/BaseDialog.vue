<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** Something asked or shown before one goes on: over the page, closed by Escape or a press beside it. */
withDefaults(
  defineProps<{
    open: boolean
    title?: string
    /** What it is called where it has no heading. */
    label?: string
    width?: 'narrow' | 'usual' | 'wide'
    /** In the middle, for what is looked at; else near the top, where eyes are. */
    middle?: boolean
  }>(),
  { title: undefined, label: undefined, width: 'usual' },
)
const emit = defineEmits<{ close: [] }>()
useFocusBack()
const WIDTHS = { narrow: 'w-full max-w-md', usual: 'w-full max-w-xl', wide: 'max-w-full' }
</script>

<template>
  <Dialog :open="open" class="relative z-20" :aria-label="label" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 flex justify-center p-4" :class="middle ? 'items-center' : 'items-start md:pt-[12vh]'">
      <DialogPanel class="panel max-h-full overflow-auto p-4" :class="WIDTHS[width]">
        <DialogTitle v-if="title !== undefined" as="h2" class="mb-2">{{ title }}</DialogTitle>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
