<script setup lang="ts">
/** A boil test typed from the notebook. */
useHead({ title: 'Log a run · Vulcanum' })
const { data: kit, error } = await useKit()
</script>

<template>
  <div>
    <h1 v-if="!kit?.setups.length" class="mb-2">Log a run</h1>
    <BaseAlert v-if="error || !kit">
      The kit could not be read. Check that Vulcanum is running, then reload.
    </BaseAlert>
    <p v-else-if="!kit.setups.length">
      There is no kit yet. <BaseButton kind="main" to="/burn">Burn one now</BaseButton>
    </p>
    <ClientOnly v-else>
      <LogDraft :kit="kit"
        ><h1>Log a run</h1>
        <NuxtLink to="/runs/notebook">Many at once: a notebook page</NuxtLink></LogDraft
      >
      <template #fallback>
        <h1>Log a run</h1>
        <p>Opening the draft.</p>
      </template>
    </ClientOnly>
  </div>
</template>
