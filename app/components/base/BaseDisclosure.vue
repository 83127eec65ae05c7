<script setup lang="ts">
/** More of it, when asked for: a heading that opens. What is in it is made when it is first opened. */
defineProps<{ label: string }>()
const open = defineModel<boolean>('open', { default: false })
const wasOpen = ref(open.value)
watch(open, (is) => {
  if (is) wasOpen.value = true
})
const toggled = (event: Event) => {
  open.value = (event.target as HTMLDetailsElement).open
}
</script>

<template>
  <details :open="open" @toggle="toggled">
    <summary class="cursor-pointer">{{ label }}</summary>
    <slot v-if="wasOpen" />
  </details>
</template>
