<script setup lang="ts">
/** What may hurt, or wants another look before one goes on. */
withDefaults(defineProps<{ as?: 'div' | 'p' | 'section' | 'li' | 'ul' }>(), { as: 'div' })
</script>

<template>
  <component :is="as" class="caution-box"><slot /></component>
</template>
