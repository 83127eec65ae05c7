<script setup lang="ts">
/** Asked before something is done that others will read: why, and who says so. */
withDefaults(
  defineProps<{
    /** What it does, on its button. */
    words: string
    label?: string
    example?: string
    people: { value: string; label: string }[]
    problem: string
  }>(),
  { label: 'Reason', example: undefined },
)
const reason = defineModel<string>('reason', { required: true })
const personId = defineModel<string>('personId', { required: true })
const emit = defineEmits<{ send: []; leave: [] }>()
</script>

<template>
  <form class="no-print mt-2 grid gap-2" :aria-label="words" novalidate @submit.prevent="emit('send')">
    <slot />
    <TextBox v-model="reason" :label="label" :example="example" />
    <ChoiceBox v-model="personId" label="Who" :choices="people" />
    <BaseAlert v-if="problem">{{ problem }}</BaseAlert>
    <p class="flex gap-2">
      <BaseButton kind="main" type="submit">{{ words }}</BaseButton>
      <BaseButton @click="emit('leave')">Back</BaseButton>
    </p>
  </form>
</template>
