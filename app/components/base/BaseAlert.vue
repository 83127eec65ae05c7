<script setup lang="ts">
/** What went wrong, said at once: what, where, and what to do. */
</script>

<template>
  <p role="alert" class="font-bold"><slot /></p>
</template>
