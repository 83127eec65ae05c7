<script setup lang="ts">
/** The work rail, in the order of the work: only what works is in it. Below it, how the screen looks. */
/** 40 px wide while something burns: names stand upright. */
defineProps<{ narrow?: boolean }>()
const entries = [
  { to: '/', label: 'Today' },
  { to: '/kit', label: 'Kit' },
  { to: '/methods', label: 'Methods' },
  { to: '/plan', label: 'Plan' },
  { to: '/bench', label: 'Bench' },
  { to: '/runs/new', label: 'Log a run' },
  { to: '/runs', label: 'Runs' },
  { to: '/compare', label: 'Compare' },
]
const route = useRoute()
const { light, units, leavingDark, nextLight, switchUnits } = usePreferences()
const keys = useKeys()
function isHere(to: string): boolean {
  if (to === '/runs') return route.path.startsWith('/runs') && route.path !== '/runs/new'
  if (['/kit', '/methods', '/plan', '/bench', '/compare'].includes(to)) return route.path.startsWith(to)
  return route.path === to
}
</script>

<template>
  <nav
    aria-label="Work"
    class="no-print shrink-0 border-b-4 border-rim bg-sheet md:w-24 md:border-r-4 md:border-b-0"
    :class="narrow ? 'rail-narrow' : ''"
  >
    <div class="rail">
      <NuxtLink
        v-for="entry in entries"
        :key="entry.to"
        :to="entry.to"
        :aria-current="isHere(entry.to) ? 'page' : undefined"
        class="px-3 py-2 no-underline"
        :class="isHere(entry.to) ? 'bg-rim font-bold text-on-rim' : 'text-ink'"
      >
        {{ entry.label }}
      </NuxtLink>
      <div class="ml-auto flex gap-1 md:mt-auto md:ml-0 md:flex-col">
        <button
          type="button"
          class="px-3 py-1 text-left text-ink-2"
          aria-keyshortcuts="Control+K"
          @click="keys.act('find')"
        >
          Find
        </button>
        <button
          type="button"
          class="px-3 py-1 text-left text-ink-2"
          aria-keyshortcuts="U"
          data-units
          @click="switchUnits"
        >
          {{ units === 'metric' ? 'Metric' : 'Trail' }}<span class="hidden md:inline"> units</span>
        </button>
        <button
          type="button"
          class="px-3 py-1 text-left text-ink-2"
          aria-keyshortcuts="Shift+L"
          data-light-switch
          @click="nextLight"
        >
          {{ leavingDark ? 'Again to leave the dark' : LIGHT_NAMES[light] }}
        </button>
        <button
          type="button"
          class="hidden px-3 py-1 text-left text-ink-2 md:block"
          aria-keyshortcuts="?"
          @click="keys.act('keys')"
        >
          Keys
        </button>
      </div>
    </div>
  </nav>
</template>
