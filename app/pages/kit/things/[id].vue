<script setup lang="ts">
import type { ThingLine, ThingPage } from '#shared/kitRecords'
import { heatFields, isThingKind, KIND_NAMES, thingFields, type InstrumentProperties } from '#shared/thing'

/** A thing of the kit: what it is, its versions, what it cost, what used it. */
const route = useRoute()
const { isNew, page, refresh } = await useRecordPage<ThingPage>('/api/kit/things')
const { data: things } = await useFetch<ThingLine[]>('/api/kit/things')
const { data: kit } = await useKit()
const people = computed(() => (kit.value?.people ?? []).map((person) => ({ value: person.id, label: person.name })))
const kind = computed(() => page.value?.kind ?? (isThingKind(route.query.kind) ? route.query.kind : 'burner'))
const start = computed(() => page.value?.record ?? newRecord(blankFields(thingFields(kind.value))))
const name = computed(() =>
  String(page.value?.record.fields.name ?? `A new ${KIND_NAMES[kind.value][0].toLowerCase()}`),
)
useHead({ title: () => `${name.value} · Vulcanum` })
const latest = computed(() => page.value?.versions[0] ?? null)
const versions = computed(() =>
  (page.value?.versions ?? []).map((version) => ({
    ...version,
    values: { ...version.properties } as Record<string, unknown>,
  })),
)

async function savedPage(saved: ThingPage) {
  if (isNew) await navigateTo(`/kit/things/${saved.record.id}`)
  else await refresh()
}
</script>

<template>
  <div>
    <KitNav />
    <h1 class="mb-1" dir="auto">
      {{ name }}
    </h1>
    <p v-if="page" class="mb-3 text-ink-2">
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
    </p>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div class="space-y-3">
        <BasePanel as="div">
          <KitSilhouette
            v-if="latest"
            :kind="kind"
            :properties="latest.properties"
            :name="name"
            :px-per-mm="1.1"
            class="mb-4"
          />
          <ThingForm
            :kind="kind"
            :start="start"
            :things="things ?? []"
            @saved="savedPage"
            @removed="navigateTo('/kit')"
          />
        </BasePanel>
        <InstrumentChecks
          v-if="page && kind === 'instrument'"
          :thing-id="page.record.id"
          :properties="latest!.properties as InstrumentProperties"
          :checks="page.checks"
          :people="people"
          @changed="refresh()"
        />
      </div>
      <div v-if="page" class="space-y-3">
        <PhotoShelf owner="thing" :owner-id="page.record.id" :photos="page.photos" @changed="refresh()" />
        <KitHistory :versions="versions" :specs="heatFields(kind)" />
        <KitPrices :prices="page.prices" :url="`/api/kit/things/${page.record.id}/prices`" @changed="refresh()" />
        <KitRuns :use="page.use" :none="kind === 'instrument' ? 'It has read no run yet.' : undefined" />
      </div>
    </div>
  </div>
</template>
