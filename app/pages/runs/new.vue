<script setup lang="ts">
/** A boil test typed from the notebook. */
useHead({ title: 'Log a run · Vulcanum' })
const { data: kit, error } = await useKit()
</script>

<template>
  <div>
    <h1 class="mb-1">Log a run</h1>
    <p class="mb-4 max-w-3xl text-ink-2">
      Type quantities the way you say them. An empty box means not measured. The draft is kept as you type, here and on
      the server.
    </p>
    <BaseAlert v-if="error || !kit">
      The kit could not be read. Check that Vulcanum is running, then reload.
    </BaseAlert>
    <p v-else-if="!kit.setups.length">
      There is no kit yet. <BaseButton kind="main" to="/burn">Burn one now</BaseButton>
    </p>
    <ClientOnly v-else>
      <LogDraft :kit="kit" />
      <template #fallback>
        <p>Opening the draft.</p>
      </template>
    </ClientOnly>
  </div>
</template>
