<script setup lang="ts">
import type { RunPage } from '#shared/runRecord'

/** What stands further down a run's page, each a link. */
const props = defineProps<{ page: RunPage }>()
const route = useRoute()
const sections = computed(() => {
  const { page } = props
  const counted = (id: string, words: string, n: number) => ({ id, words: n > 0 ? `${words} (${n})` : words })
  return [
    { id: 'readings', words: 'Readings' },
    counted('seen', 'What was seen', page.observations.length),
    counted('photos', 'Photos', page.photos.length),
    { id: 'figures', words: 'Other figures' },
    ...(page.findings ? [{ id: 'method', words: 'Its method' }] : []),
    ...(page.setup ? [{ id: 'setup', words: 'Its set-up' }] : []),
    counted('decisions', 'Decisions', page.decisions.length + page.voids.length),
    ...(page.record.history.length ? [counted('history', 'History', page.record.history.length)] : []),
  ]
})
</script>

<template>
  <nav class="no-print mt-1 flex flex-wrap gap-x-4 gap-y-1" aria-label="On this page">
    <NuxtLink v-for="one in sections" :key="one.id" :to="{ query: route.query, hash: `#${one.id}` }">{{
      one.words
    }}</NuxtLink>
  </nav>
</template>
