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
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ left: [] }>()
const id = useId()
</script>

<template>
  <div class="grid grid-cols-[6.5rem_minmax(0,1fr)] sm:grid-cols-[9rem_minmax(0,1fr)] items-start gap-x-3 gap-y-1">
    <label :for="id" class="pt-1.5">{{ label }}</label>
    <div>
      <textarea
        v-if="lines"
        :id="id"
        v-model="text"
        :rows="lines"
        dir="auto"
        class="w-full"
        :aria-invalid="problem ? 'true' : undefined"
        @blur="emit('left')"
      />
      <div v-else class="flex flex-wrap items-center gap-x-2">
        <input
          :id="id"
          v-model="text"
          :type="type ?? 'text'"
          dir="auto"
          class="max-w-full"
          :class="type === 'datetime-local' ? 'figures w-64' : figures ? 'figures w-44' : 'w-full max-w-md'"
          autocomplete="off"
          :aria-invalid="problem ? 'true' : undefined"
          @blur="emit('left')"
        />
        <span v-if="example && !text.trim()" class="text-ink-2">{{ example }}</span>
      </div>
      <p v-if="problem" class="mt-1 font-bold" role="alert">
        {{ problem }}
      </p>
      <p v-else-if="hint" class="mt-1 text-ink-2">
        {{ hint }}
      </p>
    </div>
  </div>
</template>
