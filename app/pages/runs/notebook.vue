<script setup lang="ts">
/** Old runs from a notebook, many at a time. */
useHead({ title: 'A notebook page · Vulcanum' })
const { data: kit, error } = await useKit()
</script>

<template>
  <div>
    <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
      <h1>A notebook page</h1>
      <NuxtLink to="/runs/new">One run alone</NuxtLink>
      <NuxtLink to="/runs/import">From a file instead</NuxtLink>
    </div>
    <BaseAlert v-if="error || !kit">
      The kit could not be read. Check that Vulcanum is running, then reload.
    </BaseAlert>
    <p v-else-if="!kit.setups.length">
      There is no kit yet. <BaseButton kind="main" to="/kit/setups/new">Put a set-up together</BaseButton>
    </p>
    <ClientOnly v-else>
      <NotebookDraft :kit="kit" />
      <template #fallback><p>Opening the page.</p></template>
    </ClientOnly>
  </div>
</template>
