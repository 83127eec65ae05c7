<script setup lang="ts">
/** A labelled line or paragraph of text; what stands in it may run from right to left. */
defineProps<{
  label: string
  problem?: string
  hint?: string
  example?: string
  lines?: number
  figures?: boolean
  taken?: boolean
  /** Its label above it. */
  above?: boolean
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ left: [] }>()
</script>

<template>
  <BaseField
    v-slot="{ box }"
    :label="label"
    :problem="problem"
    :hint="hint"
    :taken="taken"
    :above="above"
    @clear="text = ''"
  >
    <textarea v-if="lines" v-bind="box" v-model="text" :rows="lines" dir="auto" class="w-full" @blur="emit('left')" />
    <div v-else class="flex flex-wrap items-center gap-x-2">
      <input
        v-bind="box"
        v-model="text"
        dir="auto"
        class="max-w-full"
        :class="[figures ? 'figures' : '', above ? 'w-full' : figures ? 'w-44' : 'w-full max-w-md']"
        autocomplete="off"
        @blur="emit('left')"
      />
      <span v-if="example && !text.trim()" class="text-ink-2">{{ example }}</span>
    </div>
  </BaseField>
</template>
