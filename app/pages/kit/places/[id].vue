<script setup lang="ts">
import type { PlacePage } from '#shared/kitRecords'
import { PLACE_FIELDS, PLACE_HEAT } from '#shared/place'

/** A place: how high, under which pressure, in which time. */
const { isNew, page, refresh } = await useRecordPage<PlacePage>('/api/kit/places')
const name = computed(() => page.value?.line.name ?? 'A new place')
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useRecordForm<PlacePage>({
  url: (id) => `/api/kit/places/${id}`,
  start: () => page.value?.record ?? newRecord(blankFields(PLACE_FIELDS)),
  saved: async (saved) => {
    if (isNew) return navigateTo(`/kit/places/${saved.record.id}`)
    await refresh()
    form.restart()
  },
})
const { record, problems, theirs, runs, saving } = form
onMounted(() => {
  if (isNew && !record.value.fields.zone)
    record.value.fields.zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
})
const versions = computed(() =>
  (page.value?.versions ?? []).map((version) => ({
    n: version.n,
    reason: '',
    createdAt: version.createdAt,
    runs: version.runs,
    values: { ...version } as Record<string, unknown>,
  })),
)
const heat = PLACE_FIELDS.filter((spec) => (PLACE_HEAT as readonly string[]).includes(spec.key))
</script>

<template>
  <div>
    <KitNav />
    <h1 class="mb-3" dir="auto">
      {{ name }}
    </h1>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <BasePanel as="div">
        <RecordForm
          v-model="record"
          label="Place"
          :specs="PLACE_FIELDS"
          :problems="problems"
          :theirs="theirs"
          :runs="runs"
          :saving="saving"
          :deletable="!isNew"
          @save="form.save"
          @remove="form.remove(() => navigateTo('/kit/places'))"
          @mine="form.keepMine"
          @theirs="form.takeTheirs"
        />
      </BasePanel>
      <div v-if="page" class="space-y-3">
        <BasePanel as="p" tight>
          <NuxtLink :to="{ path: '/kit/wind', query: { place: page.record.id } }">Wind survey</NuxtLink>: m/s at the pot
          for each step of a fan, before a wind series.
        </BasePanel>
        <KitHistory v-if="versions.length > 1" :versions="versions" :specs="heat" />
        <KitRuns :use="page.use" none="Nothing was burned here yet." />
      </div>
    </div>
  </div>
</template>
