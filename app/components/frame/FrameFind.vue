<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { useDebounceFn } from '@vueuse/core'
import type { Found } from '#shared/found'
import { KIND_NAMES, THING_KINDS } from '#shared/thing'

/** Find runs, kit, methods, places, or do something, from anywhere. */
const props = defineProps<{ typedAhead: () => TypedAhead }>()
const emit = defineEmits<{ close: [] }>()
const input = useTemplateRef<{ $el: HTMLInputElement }>('input')
const query = ref('')
const steadyEnter = useSteadyEnter()
const { nextLight, switchUnits } = usePreferences()
const keys = useKeys()
const here = ref<Found[]>([])

/** The newest question alone is answered. */
let asked = 0
const ask = useDebounceFn(async (mine: number) => {
  if (mine !== asked) return
  const answer = await $fetch<Found[]>('/api/find', { query: { words: query.value } }).catch(() => [])
  if (mine === asked) here.value = answer
}, 120)
watch(query, (words) => {
  asked++
  if (words.trim() === '') here.value = []
  else void ask(asked)
})

const MOST_FOUND = 20
interface Entry {
  id: string
  words: string
  kind: string
  go: () => unknown
}
const page = (words: string, to: string): Entry => ({ id: to, words, kind: 'page', go: () => navigateTo(to) })
const fixed: Entry[] = [
  page('Today', '/'),
  page('Log a run', '/runs/new'),
  page('Compare: what your runs can answer', '/compare'),
  page('A notebook page: many old runs at once', '/runs/notebook'),
  page('Burn one now, with a new burner', '/burn'),
  page('Bench', '/bench'),
  page('Prepare a lane', '/bench/prepare'),
  page('Runs', '/runs'),
  page('Bring runs in: a table, a logger’s file, a whole workspace', '/runs/import'),
  page('Kit', '/kit'),
  page('Set-ups', '/kit/setups'),
  page('Fuels', '/kit/fuels'),
  page('Containers', '/kit/containers'),
  page('Places', '/kit/places'),
  page('Wind survey', '/kit/wind'),
  page('Methods', '/methods'),
  ...THING_KINDS.map((kind) => page(`Add a ${KIND_NAMES[kind][0].toLowerCase()}`, `/kit/things/new?kind=${kind}`)),
  page('Put a set-up together', '/kit/setups/new'),
  page('Add a batch of fuel', '/kit/fuels/new'),
  page('Add a canister or bottle', '/kit/containers/new'),
  page('Add a place', '/kit/places/new'),
  page('Rehearse on a lane', '/bench/prepare?rehearse'),
  page('A second device', '/share'),
  page('Instruments that send, and simulated ones', '/bench/instruments'),
  page('How the numbers are made', '/numbers'),
  { id: 'units', words: 'Switch units', kind: 'do', go: switchUnits },
  { id: 'light', words: 'Switch light', kind: 'do', go: nextLight },
]
/** What this page can do: its own acts, then what its keys do. */
const own: Entry[] = [
  ...actsHere().map(({ words, act }) => ({ id: `do ${words}`, words, kind: 'here', go: act })),
  ...keys.here().map((action) => ({
    id: action,
    words: KEY_ACTIONS[action].words,
    kind: keys.keyOf(action) ? `key ${keys.keyOf(action)}` : 'do',
    go: () => keys.act(action),
  })),
]
const found = computed<Entry[]>(() => {
  const things = here.value.map((one) => ({ ...one, id: one.to, go: () => navigateTo(one.to) }))
  // Before a word is typed the pages stand first.
  const all = query.value.trim() === '' ? [...fixed, ...own] : [...own, ...fixed]
  return [...narrowed(all, query.value, (entry) => entry.words), ...things].slice(0, MOST_FOUND)
})

onMounted(async () => {
  await nextTick()
  const ahead = props.typedAhead()
  if (ahead.text === '' || !input.value) return
  typeInto(input.value.$el, ahead)
  await nextTick()
  if (ahead.isEntered) choose(found.value[0] ?? null)
})
function choose(entry: Entry | null) {
  emit('close')
  entry?.go()
}
</script>

<template>
  <BaseDialog open label="Find or do" @close="emit('close')" @keydown.capture="steadyEnter">
    <Combobox v-slot="{ activeOption }" :model-value="null" @update:model-value="choose">
      <ComboboxInput
        ref="input"
        class="w-full"
        aria-label="Find or do"
        autocomplete="off"
        placeholder="A run, kit, a method, a place, a page, something to do"
        @change="query = $event.target.value"
        @keydown.enter="activeOption === null && choose(found[0] ?? null)"
      />
      <ComboboxOptions static class="mt-2 max-h-96 overflow-auto">
        <ComboboxOption v-for="entry in found" :key="entry.id" v-slot="{ active }" :value="entry" as="template">
          <li class="flex justify-between gap-3 px-2 py-1.5" :class="active ? 'bg-rim text-on-rim' : ''">
            <span>{{ entry.words }}</span><span :class="active ? '' : 'text-ink-2'">{{ entry.kind }}</span>
          </li>
        </ComboboxOption>
      </ComboboxOptions>
      <p v-if="found.length === 0" class="p-2">Nothing of these words here.</p>
    </Combobox>
  </BaseDialog>
</template>
