<script setup lang="ts">
import type { FeedLine } from '#shared/feed'
import type { ReplayLine, SimulatedLine } from '#shared/simulated'

/** Instruments that send by themselves: real ones with a token each, and simulated ones. */
useHead({ title: 'Instruments that send · Vulcanum' })
const { data: feeds, refresh, error } = await useFetch<FeedLine[]>('/api/instruments/feeds')
const { data: simulated, refresh: refreshSimulated } = await useFetch<SimulatedLine[]>('/api/instruments/simulated')
const { data: replays, refresh: refreshReplays } = await useFetch<ReplayLine[]>('/api/instruments/replays')
const own = computed(() =>
  (feeds.value ?? []).filter(
    (feed) => ![...(simulated.value ?? []), ...(replays.value ?? [])].some((one) => one.id === feed.id),
  ),
)
async function changed() {
  await Promise.all([refresh(), refreshSimulated(), refreshReplays()])
}
</script>

<template>
  <div class="grid max-w-4xl grid-cols-1 gap-4">
    <div>
      <h1>Instruments that send</h1>
      <p class="text-ink-2">
        A thermometer, a scale or a wind meter that sends its readings itself is followed on its lanes while something
        burns there. <NuxtLink to="/bench">To the Bench</NuxtLink>
      </p>
    </div>
    <BaseAlert v-if="error">
      The instruments could not be read. Check that Vulcanum is running, then reload.
    </BaseAlert>
    <InstrumentFeeds :feeds="own" @changed="changed" />
    <InstrumentReplay :running="replays ?? []" @changed="changed" />
    <InstrumentSimulated :running="simulated ?? []" @changed="changed" />
  </div>
</template>
