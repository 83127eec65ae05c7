<script setup lang="ts">
/** The keys of this screen; each can be changed or switched off. */
const emit = defineEmits<{ close: [] }>()
const keys = useKeys()
const actions = Object.keys(KEY_ACTIONS) as KeyAction[]

function change(action: KeyAction, text: string) {
  keys.changed.value = {
    ...keys.changed.value,
    [action]: text.trim() === '' ? '' : text.trim().replace(/^[a-z]$/, (letter) => letter.toUpperCase()),
  }
}
</script>

<template>
  <BaseDialog open title="Keys" width="narrow" @close="emit('close')">
    <p class="mb-3 text-ink-2">Clear a box to switch its key off. Keys are ignored while you type.</p>
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
      <BaseButton kind="main" @click="emit('close')">Close</BaseButton>
      <BaseButton @click="keys.changed.value = {}">As shipped</BaseButton>
    </div>
  </BaseDialog>
</template>
