<script setup lang="ts">
/** The plain list of runs, newest first. */
useHead({ title: 'Runs · Vulcanum' })
const { data: runs, error } = await useRunList()
</script>

<template>
  <div>
    <div class="mb-4 flex flex-wrap items-baseline gap-4">
      <h1>Runs</h1>
      <NuxtLink to="/runs/new" class="act">Log a run</NuxtLink>
    </div>
    <p v-if="error" role="alert" class="font-bold">
      The runs could not be read. Check that Vulcanum is running, then reload.
    </p>
    <p v-else-if="!runs?.length">
      Nothing burned here yet. <NuxtLink to="/runs/new">Log the first run</NuxtLink>.
    </p>
    <RunTable v-else :runs="runs" />
  </div>
</template>
