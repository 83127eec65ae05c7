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
    <p v-if="waiting" role="status" class="enamel p-4 text-lg">
      Look at the other screen: it asks whether to let “{{ name }}” in.
    </p>
    <form v-else class="enamel grid grid-cols-1 gap-3 p-4" novalidate @submit.prevent="ask">
      <label v-if="!byPicture" class="grid grid-cols-1"
        >Code on the other screen
        <input
          v-model="code"
          class="figures text-2xl"
          inputmode="numeric"
          autocomplete="one-time-code"
          :aria-invalid="problemAt('code') ? 'true' : undefined"
      /></label>
      <p v-if="problemAt('code')" role="alert" class="font-bold">
        {{ problemAt('code') }}
      </p>
      <label class="grid grid-cols-1"
        >What to call this device
        <input
          v-model="name"
          placeholder="my phone"
          autocomplete="off"
          :aria-invalid="problemAt('name') ? 'true' : undefined"
      /></label>
      <p v-if="problemAt('name') || problemAt('')" role="alert" class="font-bold">
        {{ problemAt('name') ?? problemAt('') }}
      </p>
      <button type="submit" class="act min-h-16 justify-center text-lg">Pair</button>
    </form>
    <p class="mt-4 text-ink-2">
      The code stands on the machine that runs Vulcanum: Bench, <em>A second device</em>; it is good while that page is
      open. Without trusting its certificate the Bench does not open here while that machine cannot be reached, and the
      screen may go dark by itself; nothing that is pressed is lost.
    </p>
  </main>
</template>
