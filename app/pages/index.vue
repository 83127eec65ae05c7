<script setup lang="ts">
await navigateTo('/runs', { redirectCode: 302, replace: true })
</script>

<template>
  <p>
    <NuxtLink to="/runs">Runs</NuxtLink>
  </p>
</template>
