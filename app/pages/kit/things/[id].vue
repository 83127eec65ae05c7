<script setup lang="ts">
import type { ThingLine, ThingPage } from '#shared/kitRecords'
import {
  heatFields,
  INSTRUMENT_UNITS,
  isThingKind,
  KIND_NAMES,
  thingFields,
  type InstrumentProperties,
  type Measures,
} from '#shared/thing'

/** A thing of the kit: what it is, its versions, what it cost, what used it. */
const route = useRoute()
const at = await useRecordPage<ThingPage>('/api/kit/things')
const { page, refresh } = at
const { data: things } = await useFetch<ThingLine[]>('/api/kit/things')
const { data: kit } = await useKit()
const people = computed(() => namedChoices(kit.value?.people ?? []))
const kind = computed(() => page.value?.kind ?? (isThingKind(route.query.kind) ? route.query.kind : 'burner'))
const name = computed(() =>
  String(page.value?.record.fields.name ?? `A new ${KIND_NAMES[kind.value][0].toLowerCase()}`),
)
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useKitForm(at, {
  room: 'things',
  blank: () => blankFields(thingFields(kind.value)),
  extra: () => ({ kind: kind.value }),
})
const { record } = form
const latest = computed(() => page.value?.versions[0] ?? null)
const versions = computed(() =>
  (page.value?.versions ?? []).map((version) => ({
    ...version,
    values: { ...version.properties } as Record<string, unknown>,
  })),
)
const unit = computed(() =>
  kind.value === 'instrument' ? INSTRUMENT_UNITS[record.value.fields.measures as Measures]?.label : undefined,
)
const specs = computed(() =>
  thingFields(kind.value)
    .filter(({ key }) => key !== 'lagS' || record.value.fields.measures === 'temperature')
    .map((spec) =>
      unit.value && (spec.key === 'resolution' || spec.key === 'accuracy')
        ? { ...spec, label: `${spec.label} (${unit.value})` }
        : spec,
    ),
)
const choices = computed(() => ({
  madeFromId: namedChoices((things.value ?? []).filter((one) => one.kind === kind.value && one.id !== record.value.id)),
}))
</script>

<template>
  <KitRecord :name="name" label="Properties" :form="form" :specs="specs" :choices="choices" room="/kit" asks-reason>
    <template v-if="page" #lead>
      {{ KIND_NAMES[kind][0] }}, version {{ latest?.n
      }}<template v-if="page.madeFrom"
        >, made from <NuxtLink :to="`/kit/things/${page.madeFrom.id}`">{{ page.madeFrom.name }}</NuxtLink></template
      ><template v-if="page.retired">, no longer in use</template>.
      <template v-if="page.setups.length"
        >In
        <template v-for="(setup, i) in page.setups" :key="setup.id"
          ><template v-if="i">, </template
          ><NuxtLink :to="`/kit/setups/${setup.id}`">{{ setup.name }}</NuxtLink></template
        >.</template
      >
    </template>
    <template v-if="latest" #picture>
      <KitSilhouette :kind="kind" :properties="latest.properties" :name="name" :px-per-mm="1.1" class="mb-4" />
    </template>
    <template v-if="page && kind === 'instrument'" #after>
      <InstrumentChecks
        :thing-id="page.record.id"
        :properties="latest!.properties as InstrumentProperties"
        :checks="page.checks"
        :people="people"
        @changed="refresh()"
      />
    </template>
    <template v-if="page" #known>
      <PhotoShelf owner="thing" :owner-id="page.record.id" :photos="page.photos" @changed="refresh()" />
      <KitHistory :versions="versions" :specs="heatFields(kind)" />
      <KitPrices :prices="page.prices" :url="`/api/kit/things/${page.record.id}/prices`" @changed="refresh()" />
      <KitRuns :use="page.use" :none="kind === 'instrument' ? 'It has read no run yet.' : undefined" />
    </template>
  </KitRecord>
</template>
