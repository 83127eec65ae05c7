<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { Moved } from '#shared/today'

/** What the newest day changed among the set-ups. A mean that moved is no difference shown: comparing says that. */
defineProps<{ moved: Moved[] }>()
const ordinal = (rank: number) =>
  `${rank}${['th', 'st', 'nd', 'rd'][rank % 100 > 10 && rank % 100 < 14 ? 0 : rank % 10] ?? 'th'}`
function words({ was, now, n }: Moved): string {
  const runs = n === 1 ? 'one run' : `${n} runs`
  const figure = (gPerL: number) => formatNumber(gPerL, 1)
  if (was === null) return `new, ${figure(now.gPerL)} g/L over ${runs}: ${ordinal(now.rank)}`
  return `${figure(was.gPerL)} → ${figure(now.gPerL)} g/L over ${runs}: ${was.rank === now.rank ? `still ${ordinal(now.rank)}` : `${ordinal(was.rank)} → ${ordinal(now.rank)}`}`
}
</script>

<template>
  <section class="mt-4" aria-label="What moved">
    <h2 class="mb-1">What moved</h2>
    <ul>
      <li v-for="one in moved" :key="one.setup">
        <NuxtLink :to="{ path: '/runs', query: { setup: one.setup } }" dir="auto">{{ one.setup }}</NuxtLink>:
        <span class="figures">{{ words(one) }}</span>
      </li>
    </ul>
    <p class="text-ink-2">
      Means of all normalised runs of a set-up, thriftiest first. Whether two differ, comparing says.
    </p>
  </section>
</template>
