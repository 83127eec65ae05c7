<script setup lang="ts">
/** A labelled line or paragraph of text; what stands in it may run from right to left. */
defineProps<{
  label: string
  problem?: string
  hint?: string
  example?: string
  lines?: number
  figures?: boolean
  type?: 'text' | 'date' | 'datetime-local'
  taken?: boolean
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ left: [] }>()
</script>

<template>
  <BaseField v-slot="{ box }" :label="label" :problem="problem" :hint="hint" :taken="taken" @clear="text = ''">
    <textarea v-if="lines" v-bind="box" v-model="text" :rows="lines" dir="auto" class="w-full" @blur="emit('left')" />
    <div v-else class="flex flex-wrap items-center gap-x-2">
      <input
        v-bind="box"
        v-model="text"
        :type="type ?? 'text'"
        dir="auto"
        class="max-w-full"
        :class="type === 'datetime-local' ? 'figures w-64' : figures ? 'figures w-44' : 'w-full max-w-md'"
        autocomplete="off"
        @blur="emit('left')"
      />
      <span v-if="example && !text.trim()" class="text-ink-2">{{ example }}</span>
    </div>
  </BaseField>
</template>
