<script setup lang="ts">
/** One thing that is so or not. */
defineProps<{
  label: string
  disabled?: boolean
  /** Said to who does not see what stands beside it. */ hideLabel?: boolean
}>()
const checked = defineModel<boolean>({ required: true })
</script>

<template>
  <label class="flex items-start gap-2"
    ><input v-model="checked" type="checkbox" :disabled="disabled" />
    <span :class="hideLabel ? 'sr-only' : ''">{{ label }}</span></label
  >
</template>
