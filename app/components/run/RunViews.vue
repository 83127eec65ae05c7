<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'

/**
 * Views of the logbook that this browser keeps: each is an address, so it can be sent to another as well. Beside them,
 * which columns show.
 */
const props = defineProps<{ columns: RunColumnKey[] }>()
const emit = defineEmits<{ column: [key: RunColumnKey] }>()
const route = useRoute()
const kept = useLocalStorage<{ name: string; address: string }[]>('vulcanum.run-views', [], { initOnMounted: true })
const name = ref('')
const here = computed(() => route.fullPath)
const isPlain = computed(() => Object.keys(route.query).length === 0)
function keep() {
  const called = name.value.trim()
  if (!called) return
  kept.value = [...kept.value.filter((one) => one.name !== called), { name: called, address: here.value }]
  name.value = ''
}
const drop = (called: string) => {
  kept.value = kept.value.filter((one) => one.name !== called)
}
const has = (key: RunColumnKey) => props.columns.includes(key)
</script>

<template>
  <div class="no-print mb-2 flex flex-wrap items-start gap-x-6 gap-y-1">
    <details>
      <summary>Columns</summary>
      <fieldset class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        <legend class="sr-only">Columns</legend>
        <label v-for="key in RUN_COLUMNS" :key="key" class="flex items-center gap-1.5"
          ><input type="checkbox" :checked="has(key)" :disabled="key === 'when'" @change="emit('column', key)" />
          {{ RUN_COLUMN[key].words }}</label
        >
      </fieldset>
    </details>
    <details>
      <summary>
        Views<span v-if="kept.length"> ({{ kept.length }})</span>
      </summary>
      <ul v-if="kept.length" class="mt-1">
        <li v-for="one in kept" :key="one.name" class="flex items-center gap-3">
          <NuxtLink :to="one.address" dir="auto">{{ one.name }}</NuxtLink>
          <button type="button" class="underline" :aria-label="`Forget the view ${one.name}`" @click="drop(one.name)">
            Forget
          </button>
        </li>
      </ul>
      <form class="mt-1 flex items-end gap-2" aria-label="Keep this view" @submit.prevent="keep">
        <label class="grid text-ink-2"
          >This view, named <input v-model="name" maxlength="60" autocomplete="off"
        /></label>
        <button type="submit" class="act-quiet" :disabled="!name.trim()">Keep it</button>
      </form>
    </details>
    <NuxtLink v-if="!isPlain" to="/runs">Show all, newest first</NuxtLink>
  </div>
</template>
