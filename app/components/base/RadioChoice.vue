<script setup lang="ts" generic="V extends string">
/** One of a few, all in sight. */
defineProps<{ label: string; choices: readonly { value: V; label: string }[] }>()
const chosen = defineModel<V>({ required: true })
const name = useId()
</script>

<template>
  <fieldset class="flex flex-wrap items-center gap-x-4 gap-y-1">
    <legend class="float-left mr-4">{{ label }}</legend>
    <label v-for="choice in choices" :key="choice.value" class="flex min-h-8 items-center gap-2"
      ><input v-model="chosen" type="radio" :name="name" :value="choice.value" /> <span>{{ choice.label }}</span></label
    >
  </fieldset>
</template>
