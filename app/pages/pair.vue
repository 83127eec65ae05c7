<script setup lang="ts">
/** On the second device: the code that stands on the first one's screen, then the wait until that screen lets it in. */
definePageMeta({ layout: false })
useHead({ title: 'Pair this device · Vulcanum' })
const { light } = usePreferences()
useHead({ htmlAttrs: { 'data-light': light } })
const { code, name, byPicture, waiting, problemAt, ask } = usePairing()
</script>

<template>
  <main class="mx-auto max-w-sm p-6">
    <h1 class="mb-3">Pair this device</h1>
    <BasePanel v-if="waiting" as="p" role="status" class="text-lg">
      Look at the other screen: it asks whether to let “{{ name }}” in.
    </BasePanel>
    <BasePanel v-else as="form" class="grid grid-cols-1 gap-3" novalidate @submit.prevent="ask">
      <label v-if="!byPicture" class="grid grid-cols-1"
        >Code on the other screen
        <input
          v-model="code"
          class="figures text-2xl"
          inputmode="numeric"
          autocomplete="one-time-code"
          :aria-invalid="problemAt('code') ? 'true' : undefined"
      /></label>
      <BaseAlert v-if="problemAt('code')">
        {{ problemAt('code') }}
      </BaseAlert>
      <label class="grid grid-cols-1"
        >What to call this device
        <input
          v-model="name"
          placeholder="my phone"
          autocomplete="off"
          :aria-invalid="problemAt('name') ? 'true' : undefined"
      /></label>
      <BaseAlert v-if="problemAt('name') || problemAt('')">
        {{ problemAt('name') ?? problemAt('') }}
      </BaseAlert>
      <BaseButton kind="main" glove type="submit" class="justify-center text-lg">Pair</BaseButton>
    </BasePanel>
    <p class="mt-4 text-ink-2">
      The code stands on the machine that runs Vulcanum: Bench, <em>A second device</em>; it is good while that page is
      open. Without trusting its certificate the Bench does not open here while that machine cannot be reached, and the
      screen may go dark by itself; nothing that is pressed is lost.
    </p>
  </main>
</template>
