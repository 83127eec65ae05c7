<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** The keys of this screen; each can be changed or switched off. */
const open = ref(false)
const keys = useKeys()
keys.on('keys', () => {
  open.value = true
})
const actions = Object.keys(KEY_ACTIONS) as KeyAction[]

function change(action: KeyAction, text: string) {
  keys.changed.value = {
    ...keys.changed.value,
    [action]: text.trim() === '' ? '' : text.trim().replace(/^[a-z]$/, (letter) => letter.toUpperCase()),
  }
}
</script>

<template>
  <Dialog :open="open" class="relative z-20" @close="open = false">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-4 pt-24">
      <DialogPanel class="enamel max-h-[80vh] w-full max-w-md overflow-auto p-4">
        <DialogTitle as="h2"> Keys </DialogTitle>
        <p class="mt-1 mb-3 text-ink-2">Clear a box to switch its key off. Keys are ignored while you type.</p>
        <div v-for="action in actions" :key="action" class="flex items-center justify-between gap-3 py-1">
          <label :for="`key-${action}`">{{ KEY_ACTIONS[action].words }}</label>
          <span v-if="action === 'find'" class="figures">Ctrl/⌘ K</span>
          <input
            v-else
            :id="`key-${action}`"
            class="figures w-24"
            :value="keys.keyOf(action)"
            @change="change(action, ($event.target as HTMLInputElement).value)"
          />
        </div>
        <div class="mt-3 flex gap-3">
          <button type="button" class="act" @click="open = false">Close</button>
          <button type="button" class="act-quiet" @click="keys.changed.value = {}">As shipped</button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
