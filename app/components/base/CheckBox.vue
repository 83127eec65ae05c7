<script setup lang="ts">
/** One thing that is so or not. */
defineProps<{ label: string; disabled?: boolean }>()
const checked = defineModel<boolean>({ required: true })
</script>

<template>
  <label class="flex items-start gap-2"
    ><input v-model="checked" type="checkbox" :disabled="disabled" /> <span>{{ label }}</span></label
  >
</template>
