<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Dialog, DialogPanel } from '@headlessui/vue'
import type { RunLine } from '#shared/runRecord'

/** Find a run or a page, or do something, from anywhere. */
const open = ref(false)
const query = ref('')
const runs = ref<RunLine[]>([])
const keys = useKeys()
const { nextLight, switchUnits } = usePreferences()

keys.on('find', async () => {
  query.value = ''
  open.value = true
  runs.value = await $fetch<RunLine[]>('/api/runs').catch(() => [])
})

interface Entry { id: string, words: string, kind: string, go: () => unknown }
const fixed: Entry[] = [
  { id: 'today', words: 'Today', kind: 'page', go: () => navigateTo('/') },
  { id: 'log', words: 'Log a run', kind: 'page', go: () => navigateTo('/runs/new') },
  { id: 'burn', words: 'Burn one now, with a new burner', kind: 'page', go: () => navigateTo('/burn') },
  { id: 'runs', words: 'Runs', kind: 'page', go: () => navigateTo('/runs') },
  { id: 'kit', words: 'Kit', kind: 'page', go: () => navigateTo('/kit') },
  { id: 'setups', words: 'Set-ups', kind: 'page', go: () => navigateTo('/kit/setups') },
  { id: 'methods', words: 'Methods', kind: 'page', go: () => navigateTo('/methods') },
  { id: 'units', words: 'Switch units', kind: 'do', go: switchUnits },
  { id: 'light', words: 'Switch light', kind: 'do', go: nextLight },
]
const found = computed(() => {
  const words = query.value.toLowerCase().split(/\s+/).filter(Boolean)
  const ofRuns = runs.value.map(run => ({ id: run.id, words: `${run.setup}, ${run.place ?? 'elsewhere'}, ${dateInZone(run.startedAt, run.zone)}`, kind: 'run', go: () => navigateTo(`/runs/${run.id}`) }))
  return [...fixed, ...ofRuns].filter(entry => words.every(word => entry.words.toLowerCase().includes(word))).slice(0, 12)
})

function choose(entry: Entry | null) {
  open.value = false
  entry?.go()
}
</script>

<template>
  <Dialog :open="open" class="relative z-20" aria-label="Find or do" @close="open = false">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-4 pt-24">
      <DialogPanel class="enamel w-full max-w-xl p-3">
        <Combobox v-slot="{ activeOption }" :model-value="null" @update:model-value="choose">
          <ComboboxInput class="w-full" aria-label="Find or do" autocomplete="off" placeholder="A run, a page, something to do" @change="query = $event.target.value" @keydown.enter="activeOption === null && choose(found[0] ?? null)" />
          <ComboboxOptions static class="mt-2 max-h-96 overflow-auto">
            <ComboboxOption v-for="entry in found" :key="entry.id" v-slot="{ active }" :value="entry" as="template">
              <li class="flex justify-between gap-3 px-2 py-1.5" :class="active ? 'bg-rim text-on-rim' : ''">
                <span>{{ entry.words }}</span><span :class="active ? '' : 'text-ink-2'">{{ entry.kind }}</span>
              </li>
            </ComboboxOption>
          </ComboboxOptions>
          <p v-if="found.length === 0" class="p-2">
            Nothing of these words here.
          </p>
        </Combobox>
      </DialogPanel>
    </div>
  </Dialog>
</template>
