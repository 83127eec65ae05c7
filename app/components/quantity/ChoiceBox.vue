<script setup lang="ts">
/** A list to choose one from. */
defineProps<{ label: string; choices: { value: string; label: string }[]; problem?: string; empty?: string }>()
const chosen = defineModel<string | null>({ required: true })
const id = useId()
</script>

<template>
  <div class="grid grid-cols-[6.5rem_minmax(0,1fr)] sm:grid-cols-[9rem_minmax(0,1fr)] items-start gap-x-3 gap-y-1">
    <label :for="id" class="pt-1.5">{{ label }}</label>
    <div>
      <select
        :id="id"
        v-model="chosen"
        class="w-full max-w-md"
        :aria-invalid="problem ? 'true' : undefined"
        :aria-describedby="problem ? `${id}-problem` : undefined"
      >
        <option v-if="empty" :value="null">
          {{ empty }}
        </option>
        <option v-else value="" disabled>Choose</option>
        <option v-for="choice in choices" :key="choice.value" :value="choice.value">
          {{ choice.label }}
        </option>
      </select>
      <p v-if="problem" :id="`${id}-problem`" class="mt-1 font-bold" role="alert">
        {{ problem }}
      </p>
    </div>
  </div>
</template>
