<script setup lang="ts">
/** A list to choose one from, as the browser has it; of more than seven, searched by words. It has no label of its own. */
const props = defineProps<{ choices: readonly { value: string; label: string }[]; empty?: string }>()
const chosen = defineModel<string | null>({ required: true })
const isMany = computed(() => props.choices.length > MOST_AT_A_LOOK)
</script>

<template>
  <SearchLater v-if="isMany" v-model="chosen" :choices="choices" :empty="empty" />
  <select v-else v-model="chosen">
    <option v-if="empty" :value="null">
      {{ empty }}
    </option>
    <option v-else value="" disabled>Choose</option>
    <option v-for="choice in choices" :key="choice.value" :value="choice.value">
      {{ choice.label }}
    </option>
  </select>
</template>
