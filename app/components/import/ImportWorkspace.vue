<script setup lang="ts">
import { ask, problemOf } from '~/api/send'

/** A whole workspace out of the house, or into an empty one. */
const { data: state, refresh } = await useFetch<{ full: string | null }>('/api/package/state')
const problem = ref('')
const saying = ref('')
const file = ref<File | null>(null)
const choose = (event: Event) => {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
}

async function bringIn() {
  problem.value = ''
  saying.value = 'Reading it, and working out every figure.'
  const sent = await ask<{ value: { runs: number } }>('/api/package', {
    method: 'POST',
    body: file.value!,
    type: 'application/zip',
    away: 'The package did not arrive. Nothing was changed; send it again when the server is back.',
  })
  problem.value = problemOf(sent)
  saying.value = sent.ok ? `${sent.value.value.runs.toLocaleString('en')} runs came in, with their kit.` : ''
  if (sent.ok) await refreshNuxtData()
  await refresh()
}
</script>

<template>
  <BasePanel title="A whole workspace" class="grid grid-cols-1 gap-2">
    <p>
      Everything that was measured, the kit, methods, places and photos, as an open tabular data package: one CSV a
      table with a descriptor, in a zip. Packed, brought into an empty workspace and packed again it is the same, but
      for its date.
    </p>
    <p><BaseButton href="/api/package" download>Pack this workspace</BaseButton></p>
    <p v-if="state?.full" class="text-ink-2">
      {{ state.full }}
    </p>
    <form v-else class="grid grid-cols-1 gap-2" aria-label="Bring a workspace in" @submit.prevent="bringIn">
      <label class="grid gap-1"
        >A packed workspace <input type="file" accept=".zip,application/zip" @change="choose"
      /></label>
      <BaseButton v-if="file" kind="main" type="submit" class="justify-self-start">Bring it in</BaseButton>
    </form>
    <p role="status">
      {{ saying }}
    </p>
    <BaseAlert v-if="problem">
      {{ problem }}
    </BaseAlert>
  </BasePanel>
</template>
