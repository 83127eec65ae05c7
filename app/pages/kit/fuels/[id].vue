<script setup lang="ts">
import { FUELS } from '#core/constants/fuels'
import { SOURCES } from '#core/constants/sources'
import { BATCH_FIELDS } from '#shared/fuelBatch'
import type { BatchPage } from '#shared/kitRecords'

/** A batch of fuel: its age, storage and heat, what it cost, what it is in. */
const { isNew, page, refresh } = await useRecordPage<BatchPage>('/api/kit/fuels')
const name = computed(() =>
  page.value ? `${String(page.value.record.fields.fuel)}, ${String(page.value.record.fields.batch)}` : 'A new batch',
)
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useRecordForm<BatchPage>({
  url: (id) => `/api/kit/fuels/${id}`,
  start: () => page.value?.record ?? newRecord(blankFields(BATCH_FIELDS)),
  saved: async (saved) => {
    if (isNew) return navigateTo(`/kit/fuels/${saved.record.id}`)
    await refresh()
    form.restart()
  },
})
const { record, problems, theirs, runs, saving } = form
const builtIn = computed(() => FUELS[String(record.value.fields.kind)] ?? null)
const specs = computed(() => BATCH_FIELDS.filter((spec) => spec.key !== 'retired' || !isNew))
const FIELD_WORDS: Record<string, string> = {
  kind: 'Fuel',
  lhvJPerKg: 'Heating value, MJ/kg',
  densityKgPerM3: 'Density, g/mL',
}
watch(
  () => record.value.fields.kind,
  (kind) => {
    const fuel = FUELS[String(kind)]
    if (fuel && !record.value.fields.fuel) record.value.fields.fuel = fuel.name
  },
)
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
          label="This batch"
          :specs="specs"
          :problems="problems"
          :theirs="theirs"
          :runs="runs"
          :saving="saving"
          :asks-reason="!isNew"
          :deletable="!isNew"
          @save="form.save"
          @remove="form.remove(() => navigateTo('/kit/fuels'))"
          @mine="form.keepMine"
          @theirs="form.takeTheirs"
        >
          <p v-if="builtIn" class="text-ink-2">
            Usual of this fuel:
            <span class="figures"
              >{{ builtIn.lowerHeatingValue.value.toFixed(2) }} ±
              {{ (2 * builtIn.lowerHeatingValue.standardUncertainty).toFixed(2) }} MJ/kg</span
            ><template v-if="builtIn.density"
              >, <span class="figures">{{ (builtIn.density.value / 1000).toFixed(3) }} g/mL</span></template
            >. {{ SOURCES[builtIn.lowerHeatingValue.reference] }}.
          </p>
        </RecordForm>
      </BasePanel>
      <div v-if="page" class="space-y-3">
        <KitPrices :prices="page.prices" :url="`/api/kit/fuels/${page.record.id}/prices`" fuel @changed="refresh()" />
        <BasePanel v-if="page.amendments.length" tight title="Changed since runs used it" label="History">
          <ul>
            <li v-for="one in page.amendments" :key="one.at + one.field">
              {{ FIELD_WORDS[one.field] }}: <s class="figures">{{ one.was || 'the usual one' }}</s> →
              <span class="figures">{{ one.now || 'the usual one' }}</span>. <span dir="auto">{{ one.reason }}</span>{{
                ' '
              }}
              <span class="text-ink-2">{{ dateInZone(one.at, 'UTC') }}</span>
            </li>
          </ul>
        </BasePanel>
        <BasePanel v-if="page.containers.length" tight title="In">
          <ul>
            <li v-for="one in page.containers" :key="one.id">
              <NuxtLink :to="`/kit/containers/${one.id}`" dir="auto">{{ one.name }}</NuxtLink>
            </li>
          </ul>
        </BasePanel>
        <KitRuns :use="page.use" none="Nothing was burned of it yet." />
      </div>
    </div>
  </div>
</template>
