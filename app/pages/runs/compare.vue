<script setup lang="ts">
/** Where addresses lead that were kept before picked runs stood in Compare. */
definePageMeta({ redirect: (to) => ({ path: '/compare/picked', query: to.query }) })
</script>

<template>
  <div />
</template>
