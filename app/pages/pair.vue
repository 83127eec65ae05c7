<script setup lang="ts">
import type { FieldProblem } from '#shared/readProblems'
import { FetchError } from 'ofetch'

/** On the second device: the code that stands on the first one's screen. */
definePageMeta({ layout: false })
useHead({ title: 'Pair this device · Vulcanum' })
const { light } = usePreferences()
useHead({ htmlAttrs: { 'data-light': light } })
const code = ref('')
const name = ref('')
const problems = ref<FieldProblem[]>([])
const problemAt = (path: string) => problems.value.find(problem => problem.path === path)?.text

async function pair() {
  try {
    const card = await $fetch<{ id: string, name: string }>('/api/pair', { method: 'POST', body: { code: code.value, name: name.value } })
    await keep('device', card)
    // Anew, as a device that is known.
    window.location.assign('/bench')
  } catch (error) {
    problems.value = (error instanceof FetchError ? (error.data as { problems?: FieldProblem[] } | undefined)?.problems : undefined) ?? [{ path: '', text: 'The other machine did not answer. Try again.' }]
  }
}
</script>

<template>
  <main class="mx-auto max-w-sm p-6">
    <h1 class="mb-3">
      Pair this device
    </h1>
    <form class="enamel grid gap-3 p-4" novalidate @submit.prevent="pair">
      <label class="grid">Code on the other screen <input v-model="code" class="figures text-2xl" inputmode="numeric" autocomplete="one-time-code" :aria-invalid="problemAt('code') ? 'true' : undefined"></label>
      <p v-if="problemAt('code')" role="alert" class="font-bold">
        {{ problemAt('code') }}
      </p>
      <label class="grid">What to call this device <input v-model="name" placeholder="my phone" autocomplete="off" :aria-invalid="problemAt('name') ? 'true' : undefined"></label>
      <p v-if="problemAt('name') || problemAt('')" role="alert" class="font-bold">
        {{ problemAt('name') ?? problemAt('') }}
      </p>
      <button type="submit" class="act min-h-16 justify-center text-lg">
        Pair
      </button>
    </form>
    <p class="mt-4 text-ink-2">
      The code stands on the machine that runs Vulcanum: Bench, <em>A second device</em>. Without trusting its certificate the Bench does not open here while that machine cannot be reached, and the screen may go dark by itself; nothing that is pressed is lost.
    </p>
  </main>
</template>
