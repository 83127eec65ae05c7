<script setup lang="ts">
import type { SetupPage, SetupPartLine, ThingLine, TypedSetup } from '#shared/kitRecords'
import { KIND_NAMES, PART_ROLES, SETUP_FIELDS, type PartProperties, type PartRole } from '#shared/thing'
import { setupWarnings } from '#core/kit/setupWarnings'
import { partsForWarnings } from '#shared/setupParts'

/** A set-up: from the side to scale, its parts, what is dangerous about it, and how it came to be. */
const { isNew, page, refresh } = await useRecordPage<SetupPage>('/api/kit/setups')
const { data: things } = await useFetch<ThingLine[]>('/api/kit/things')
const { data: kit } = await useKit()
const { units } = usePreferences()
const people = computed(() => (kit.value?.people ?? []).map((person) => ({ value: person.id, label: person.name })))
const start = computed(
  (): TypedSetup => page.value?.record ?? { ...newRecord(blankFields(SETUP_FIELDS)), parts: {}, overrides: {} },
)
const name = computed(() => String(page.value?.record.fields.name ?? 'A new set-up'))
useHead({ title: () => `${name.value} · Vulcanum` })
const latest = computed(() => page.value?.versions[0] ?? null)
const standing = computed(() =>
  (latest.value?.parts ?? []).map((part) => ({
    role: part.role,
    versionId: part.versionId,
    label: `${part.name}, version ${part.n}`,
  })),
)

/** The set-up as it is being put together, drawn before it is saved. */
const draft = ref<Partial<Record<PartRole, string>>>({})
const drawn = computed(() =>
  PART_ROLES.flatMap((role): Pick<SetupPartLine, 'role' | 'name' | 'properties'>[] => {
    const id = draft.value[role]
    const newest = (things.value ?? []).find((one) => one.versionId === id)
    const older = latest.value?.parts.find((part) => part.versionId === id)
    const part = newest ?? older
    return part ? [{ role, name: part.name, properties: part.properties }] : []
  }),
)
const warnings = computed(() => setupWarnings(partsForWarnings(drawn.value)))
const massKg = computed(() =>
  drawn.value.reduce((sum, part) => sum + ((part.properties as PartProperties).massKg ?? 0), 0),
)
const unweighed = computed(() =>
  drawn.value.filter((part) => (part.properties as PartProperties).massKg === null).map((part) => part.name),
)
const newer = computed(() => (latest.value?.parts ?? []).filter((part) => part.newestN > part.n))
const history = computed(() =>
  (page.value?.versions ?? []).map((version) => ({
    ...version,
    values: {
      gapM: version.gapM,
      ...Object.fromEntries(
        version.parts.map((part) => [part.role, `${part.name}${part.n > 1 ? `, version ${part.n}` : ''}`]),
      ),
    } as Record<string, unknown>,
  })),
)
const historySpecs = [
  ...PART_ROLES.map((role) => ({ key: role as string, label: KIND_NAMES[role][0], type: 'text' as const, max: 200 })),
  SETUP_FIELDS.find((spec) => spec.key === 'gapM')!,
]

async function savedPage(saved: SetupPage) {
  if (isNew) await navigateTo(`/kit/setups/${saved.record.id}`)
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
      Version {{ latest?.n }}, {{ page.use.count === 1 ? '1 run' : `${page.use.count} runs` }} in all{{
        page.retired ? ', no longer in use' : ''
      }}. <span dir="auto">{{ page.record.fields.description }}</span>
    </p>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div class="space-y-3">
        <BasePanel label="From the side">
          <SetupSideView
            v-if="drawn.length"
            :parts="drawn"
            :gap-m="latest?.gapM ?? null"
            :px-per-mm="1.35"
            :name="name"
            measured
          />
          <p v-else class="text-ink-2">Choose a burner to see it drawn.</p>
          <p v-if="drawn.length" class="mt-2">
            <span class="figures">{{ shown(massKg, 'mass', units) }}</span> together<template v-if="unweighed.length"
              >, without {{ unweighed.join(', ') }}, not weighed</template
            >. Dashed: a usual dimension where none was measured; the canister is the run’s.
          </p>
          <CautionBox v-for="warning in warnings" :key="warning.code" class="mt-2" :data-warning="warning.code">
            <p class="font-bold">
              {{ warning.text }}
            </p>
            <p
              v-for="decision in (latest?.decisions ?? []).filter((one) => one.warning === warning.code)"
              :key="decision.at"
            >
              Goes on all the same: <span dir="auto">{{ decision.reason }}</span><template v-if="decision.person">
                ({{ decision.person }})</template
              >
            </p>
          </CautionBox>
          <p v-for="part in newer" :key="part.role" class="mt-2">
            {{ part.name }} has a newer version ({{ part.newestN }}): choose it below to take it up.
          </p>
        </BasePanel>
        <PhotoShelf v-if="page" owner="setup" :owner-id="page.record.id" :photos="page.photos" @changed="refresh()" />
      </div>
      <div class="space-y-3">
        <BasePanel label="Parts">
          <template #title>
            {{ isNew ? 'Its parts' : 'Swap one part, or change the gap: a new version' }}
          </template>
          <SetupForm
            :start="start"
            :things="things ?? []"
            :people="people"
            :standing="standing"
            @saved="savedPage"
            @removed="navigateTo('/kit/setups')"
            @draft="draft = $event"
          />
        </BasePanel>
        <KitHistory v-if="page" :versions="history" :specs="historySpecs" />
        <KitRuns v-if="page" :use="page.use" />
      </div>
    </div>
  </div>
</template>
