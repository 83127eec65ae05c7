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
    <p v-if="error" role="alert" class="font-bold">
      The runs could not be read. Check that Vulcanum is running, then reload.
    </p>
    <section v-else-if="!day" class="enamel p-6" aria-label="Nothing yet">
      <p class="mb-4 text-base">Nothing burned here yet.</p>
      <div class="flex flex-wrap gap-3">
        <NuxtLink to="/burn" class="act">Burn one now</NuxtLink>{{ ' ' }}
        <NuxtLink to="/runs/import" class="act-quiet">Bring runs in from a file</NuxtLink>{{ ' ' }}
        <NuxtLink to="/bench/prepare?rehearse" class="act-quiet">Rehearse without a flame</NuxtLink>
      </div>
      <p class="mt-4 max-w-xl text-ink-2">
        Burner, fuel, water, start temperature and altitude are enough to begin; the rest can be asked while it burns.
        No thermometer? Stir ice in the water for five minutes and take it out: start 0–1 °C, assumed.
      </p>
    </section>
    <template v-else>
      <section class="enamel p-4" aria-label="The day">
        <h2 class="mb-2">
          {{ day.isToday ? 'Burned today' : `Nothing burned today. The last test day, ${day.words}` }}
        </h2>
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
                >{{ withExpandedU(run.normalisedGPerL, run.normalisedU) }}<span class="text-ink-2"> g/L</span></template
              ><template v-else>{{ run.says ?? 'no figure' }}</template></span
            >
          </li>
        </ol>
        <p class="mt-3">
          <NuxtLink to="/runs/new" class="act">Log a run</NuxtLink>
        </p>
      </section>
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
