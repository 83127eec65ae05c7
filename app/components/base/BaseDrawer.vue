<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** What a page has more of, beside it: from the right, on a phone from below. The page stays in sight. */
defineProps<{ open: boolean; title: string }>()
const emit = defineEmits<{ close: [] }>()
useFocusBack()
</script>

<template>
  <Dialog :open="open" class="relative z-20" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel class="drawer">
      <DialogTitle as="h2" class="mb-4 leading-10">{{ title }}</DialogTitle>
      <slot />
      <!-- Last, so that what the drawer is for has the focus first. -->
      <BaseButton class="absolute top-4 right-4" @click="emit('close')">Close</BaseButton>
    </DialogPanel>
  </Dialog>
</template>
