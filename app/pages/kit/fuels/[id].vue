<script setup lang="ts">
import { FUELS } from '#core/constants/fuels'
import { SOURCES } from '#core/constants/sources'
import { BATCH_FIELDS } from '#shared/fuelBatch'
import type { BatchPage } from '#shared/kitRecords'

/** A batch of fuel: its age, storage and heat, what it cost, what it is in. */
const at = await useRecordPage<BatchPage>('/api/kit/fuels')
const { page, refresh } = at
const name = computed(() =>
  page.value ? `${String(page.value.record.fields.fuel)}, ${String(page.value.record.fields.batch)}` : 'A new batch',
)
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useKitForm(at, { room: 'fuels', blank: () => blankFields(BATCH_FIELDS) })
const { record } = form
const builtIn = computed(() => FUELS[String(record.value.fields.kind)] ?? null)
watch(
  () => record.value.fields.kind,
  (kind) => {
    const fuel = FUELS[String(kind)]
    if (fuel && !record.value.fields.fuel) record.value.fields.fuel = fuel.name
  },
)
</script>

<template>
  <KitRecord :name="name" label="This batch" :form="form" :specs="BATCH_FIELDS" room="/kit/fuels" asks-reason>
    <p v-if="builtIn" class="text-ink-2">
      Usual of this fuel:
      <span class="figures"
        >{{ builtIn.lowerHeatingValue.value.toFixed(2) }} ±
        {{ (2 * builtIn.lowerHeatingValue.standardUncertainty).toFixed(2) }} MJ/kg</span
      ><template v-if="builtIn.density"
        >, <span class="figures">{{ (builtIn.density.value / 1000).toFixed(3) }} g/mL</span></template
      >. {{ SOURCES[builtIn.lowerHeatingValue.reference] }}.
    </p>
    <template v-if="page" #known>
      <KitPrices :prices="page.prices" :url="`/api/kit/fuels/${page.record.id}/prices`" fuel @changed="refresh()" />
      <FuelChanges v-if="page.amendments.length" :amendments="page.amendments" />
      <BasePanel v-if="page.containers.length" tight title="In">
        <ul>
          <li v-for="one in page.containers" :key="one.id">
            <NuxtLink :to="`/kit/containers/${one.id}`" dir="auto">{{ one.name }}</NuxtLink>
          </li>
        </ul>
      </BasePanel>
      <KitRuns :use="page.use" none="Nothing was burned of it yet." />
    </template>
  </KitRecord>
</template>
