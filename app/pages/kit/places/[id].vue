<script setup lang="ts">
import type { PlacePage } from '#shared/kitRecords'
import { PLACE_FIELDS, PLACE_HEAT } from '#shared/place'

/** A place: how high, under which pressure, in which time. */
const at = await useRecordPage<PlacePage>('/api/kit/places')
const { isNew, page } = at
const name = computed(() => page.value?.line.name ?? 'A new place')
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useKitForm(at, { room: 'places', blank: () => blankFields(PLACE_FIELDS) })
onMounted(() => {
  const { fields } = form.record.value
  if (isNew && !fields.zone) fields.zone = zoneHere()
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
  <KitRecord :name="name" label="Place" :form="form" :specs="PLACE_FIELDS" room="/kit/places">
    <template v-if="page" #known>
      <BasePanel as="p" tight>
        <NuxtLink :to="{ path: '/kit/wind', query: { place: page.record.id } }">Wind survey</NuxtLink>: m/s at the pot
        for each step of a fan, before a wind series.
      </BasePanel>
      <KitHistory v-if="versions.length > 1" :versions="versions" :specs="heat" />
      <KitRuns :use="page.use" none="Nothing was burned here yet." />
    </template>
  </KitRecord>
</template>
