<script setup lang="ts">
/** A labelled list to choose one from. */
defineProps<{
  label: string
  choices: readonly { value: string; label: string }[]
  problem?: string
  empty?: string
  above?: boolean
}>()
const chosen = defineModel<string | null>({ required: true })
</script>

<template>
  <BaseField v-slot="{ box }" :label="label" :problem="problem" :above="above">
    <ChoiceList
      v-model="chosen"
      v-bind="box"
      :class="above ? 'w-44' : 'w-full max-w-md'"
      :choices="choices"
      :empty="empty"
    />
  </BaseField>
</template>
