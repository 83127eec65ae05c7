<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { Moved } from '#shared/today'

/** What the newest day changed among the set-ups. A mean that moved is no difference shown: comparing says that. */
defineProps<{ moved: Moved[] }>()
const { units } = usePreferences()
const ordinal = (rank: number) =>
  `${rank}${['th', 'st', 'nd', 'rd'][rank % 100 > 10 && rank % 100 < 14 ? 0 : rank % 10] ?? 'th'}`
function words({ was, now, n, among }: Moved): string {
  const runs = n === 1 ? 'one run' : `${n} runs`
  const figure = (gPerL: number) => formatNumber(gPerL, 1)
  const place = (rank: number) => (among === 1 ? 'none to hold it against' : `${ordinal(rank)} of ${among}`)
  if (was === null) return `new, ${figure(now.gPerL)} g/L over ${runs}: ${place(now.rank)}`
  const places =
    among === 1 || was.rank === now.rank ? `still ${place(now.rank)}` : `${ordinal(was.rank)} → ${place(now.rank)}`
  return `${figure(was.gPerL)} → ${figure(now.gPerL)} g/L over ${runs}: ${among === 1 ? place(1) : places}`
}
</script>

<template>
  <section class="mt-4" aria-label="What moved">
    <h2 class="mb-1">What moved</h2>
    <ul>
      <li v-for="one in moved" :key="`${one.setupId}${meanWords(one.of, units)}`">
        <NuxtLink :to="{ path: '/runs', query: { setup: one.setupId } }" dir="auto">{{ one.setup }}</NuxtLink>
        <span class="text-ink-2"> ({{ meanWords(one.of, units) }})</span>:
        <span class="figures">{{ words(one) }}</span>
      </li>
    </ul>
    <p class="text-ink-2">
      Means of the wholly normalised runs of a set-up; places are among those of the same fuel, test and volume,
      thriftiest first. Whether two differ, comparing says.
    </p>
  </section>
</template>
