<script setup lang="ts">
/** The work rail: only what works is in it. */
const entries = [{ to: '/runs/new', label: 'Log a run' }, { to: '/runs', label: 'Runs' }]
const route = useRoute()
const isHere = (to: string) => (to === '/runs' ? route.path.startsWith('/runs') && route.path !== '/runs/new' : route.path === to)
</script>

<template>
  <nav aria-label="Work" class="flex shrink-0 items-center gap-1 border-b-4 border-rim bg-sheet px-3 py-2 md:w-36 md:flex-col md:items-stretch md:border-r-4 md:border-b-0 md:px-0 md:py-4">
    <NuxtLink to="/runs" class="mr-4 px-3 text-base font-bold text-ink no-underline md:mr-0 md:mb-4">
      Vulcanum
    </NuxtLink>
    <NuxtLink
      v-for="entry in entries" :key="entry.to" :to="entry.to" :aria-current="isHere(entry.to) ? 'page' : undefined"
      class="rounded-sm px-3 py-2 no-underline md:rounded-none"
      :class="isHere(entry.to) ? 'bg-rim font-bold text-on-rim' : 'text-ink'"
    >
      {{ entry.label }}
    </NuxtLink>
  </nav>
</template>
