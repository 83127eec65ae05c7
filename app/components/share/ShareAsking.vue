<script setup lang="ts">
/** Devices that said the code and wait: nobody is let in whom nobody here knows. */
defineProps<{ asking: { id: string; name: string }[] }>()
defineEmits<{ answer: [id: string, yes: boolean] }>()
</script>

<template>
  <BasePanel v-for="one in asking" :key="one.id" role="alert" class="mb-3 flex flex-wrap items-center gap-3">
    <p class="min-w-0 flex-1">
      <strong class="text-lg" dir="auto">{{ one.name }}</strong> asks to be let in. Is it the device in your hand?
    </p>
    <BaseButton kind="main" glove @click="$emit('answer', one.id, true)">Let it in</BaseButton>
    <BaseButton glove @click="$emit('answer', one.id, false)">Refuse</BaseButton>
  </BasePanel>
</template>
