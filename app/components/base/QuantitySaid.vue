<script setup lang="ts">
/** Beside a quantity: what was read of it; or, while it is empty, what may stand there by one press. */
defineProps<{ readAs: string | null; isEmpty: boolean; offer?: { text: string; why: string } }>()
const emit = defineEmits<{ take: [text: string] }>()
</script>

<template>
  <span v-if="readAs" class="figures text-ink-2" data-read>= {{ readAs }}</span>
  <BaseButton v-else-if="offer && isEmpty" kind="plain" @click="emit('take', offer.text)"
    ><span class="figures">{{ offer.text }}</span
    >, {{ offer.why }}</BaseButton
  >
</template>
