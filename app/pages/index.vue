<script setup lang="ts">
import type { Today } from '#shared/today'

/**
 * Today: the test day as a sheet. What was burned, what wants a decision, what moved; on an empty workspace, the first
 * burn.
 */
useHead({ title: 'Today · Vulcanum' })
const { data, error, refresh } = await useFetch<Today>('/api/today')
const clock = useClock()
const day = computed(() => {
  const { day: newest } = data.value ?? {}
  const first = newest?.runs[0]
  if (!newest || !first) return null
  const isToday =
    new Intl.DateTimeFormat('en-CA', { timeZone: first.zone }).format(new Date(clock.value)) === newest.date
  const words = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(
    new Date(`${newest.date}T12:00:00Z`),
  )
  return { runs: newest.runs, words, isToday, spanS: sharedSpan(newest.runs.map((run) => run.ribbon.endS)) }
})
</script>

<template>
  <div class="max-w-5xl">
    <h1 class="mb-3">Today</h1>
    <BaseAlert v-if="error"> The runs could not be read. Check that Vulcanum is running, then reload. </BaseAlert>
    <BasePanel v-else-if="!day" label="Nothing yet">
      <p class="mb-4 text-base">Nothing burned here yet.</p>
      <div class="flex flex-wrap gap-3">
        <BaseButton kind="main" to="/burn">Burn one now</BaseButton>{{ ' ' }}
        <BaseButton to="/runs/import">Bring runs in from a file</BaseButton>{{ ' ' }}
        <BaseButton to="/bench/prepare?rehearse">Rehearse without a flame</BaseButton>
      </div>
      <p class="mt-4 max-w-xl text-ink-2">
        Burner, fuel, water, start temperature and altitude are enough to begin; the rest can be asked while it burns.
        No thermometer? Stir ice in the water for five minutes and take it out: start 0–1 °C, assumed.
      </p>
    </BasePanel>
    <template v-else>
      <BasePanel label="The day">
        <template #title>
          {{ day.isToday ? 'Burned today' : `Nothing burned today. The last test day, ${day.words}` }}
        </template>
        <ol>
          <li
            v-for="run in day.runs"
            :key="run.id"
            class="grid grid-cols-[minmax(0,14rem)_minmax(0,1fr)_auto] items-center gap-3 border-b border-edge py-1 last:border-b-0"
          >
            <NuxtLink :to="`/runs/${run.id}`">{{ run.setup }}</NuxtLink>
            <RunRibbon :ribbon="run.ribbon" :span-s="day.spanS" :width="420" :height="20" class="max-w-full" />
            <span class="figures text-right"
              ><template v-if="run.normalisedGPerL !== null"
                >{{ fuelWithU(run.normalisedGPerL, run.normalisedU) }}<span class="text-ink-2"> g/L</span></template
              ><template v-else>{{ run.says ?? 'no figure' }}</template></span
            >
          </li>
        </ol>
        <p class="mt-3">
          <BaseButton kind="main" to="/runs/new">Log a run</BaseButton>
        </p>
      </BasePanel>
      <section v-if="data?.settle.length" class="mt-4" aria-label="To settle">
        <h2 class="mb-1">
          To settle<span v-if="data.unsettled > data.settle.length" class="font-normal text-ink-2">
            · the newest {{ data.settle.length }} of {{ data.unsettled }}</span
          >
        </h2>
        <ul>
          <TodaySettle v-for="one in data.settle" :key="one.run.id" :one="one" @settled="refresh()" />
        </ul>
      </section>
      <TodayMoved v-if="data?.moved.length" :moved="data.moved" />
    </template>
  </div>
</template>
