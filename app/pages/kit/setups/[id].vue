<script setup lang="ts">
import type { SetupPage, SetupPartLine, ThingLine, TypedSetup } from '#shared/kitRecords'
import { KIND_NAMES, PART_ROLES, SETUP_FIELDS, type PartRole } from '#shared/thing'

/** A set-up: from the side to scale, its parts, what is dangerous about it, and how it came to be. */
const at = await useRecordPage<SetupPage>('/api/kit/setups')
const { isNew, page, refresh } = at
const { data: things } = await useFetch<ThingLine[]>('/api/kit/things')
const { data: kit } = await useKit()
const people = computed(() => namedChoices(kit.value?.people ?? []))
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
const partsOf = (record?: TypedSetup) => ({ ...record?.parts })
const parts = ref<Partial<Record<PartRole, string>>>(partsOf(page.value?.record))
const overrides = ref<Record<string, string>>({})
const form = useKitForm(at, {
  room: 'setups',
  blank: () => blankFields(SETUP_FIELDS),
  extra: () => ({ parts: parts.value, overrides: overrides.value }),
  takeExtra: (extra) => {
    const left = extra as { parts: typeof parts.value; overrides: Record<string, string> }
    parts.value = { ...left.parts }
    overrides.value = { ...left.overrides }
  },
  restarted: () => {
    parts.value = partsOf(page.value?.record)
  },
})
const { record, problems, theirs } = form
const takeParts = () => {
  parts.value = partsOf(theirs.value as TypedSetup)
}
/** The set-up as it is being put together, drawn before it is saved. */
const drawn = computed(() =>
  PART_ROLES.flatMap((role): Pick<SetupPartLine, 'role' | 'name' | 'properties'>[] => {
    const id = parts.value[role]
    const newest = (things.value ?? []).find((one) => one.versionId === id)
    const part = newest ?? latest.value?.parts.find((one) => one.versionId === id)
    return part ? [{ role, name: part.name, properties: part.properties }] : []
  }),
)
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
</script>

<template>
  <KitRecord
    :name="name"
    label="Set-up"
    :title="isNew ? 'Its parts' : 'Swap one part, or change the gap: a new version'"
    :form="form"
    :specs="SETUP_FIELDS"
    room="/kit/setups"
    :handled="['overrides.', 'parts.']"
    asks-reason
    form-beside
    @theirs="takeParts"
    @again="parts = partsOf(page?.record)"
  >
    <template v-if="page" #lead>
      Version {{ latest?.n }}, {{ page.use.count === 1 ? '1 run' : `${page.use.count} runs` }} in all{{
        page.retired ? ', no longer in use' : ''
      }}. <span dir="auto">{{ page.record.fields.description }}</span>
    </template>
    <SetupParts
      v-model:parts="parts"
      v-model:overrides="overrides"
      :things="things ?? []"
      :standing="standing"
      :problems="problems"
    />
    <ChoiceBox v-model="record.personId" label="Who" :choices="people" empty="not said" />
    <template #known>
      <SetupSeen :name="name" :parts="drawn" :latest="latest" />
      <PhotoShelf v-if="page" owner="setup" :owner-id="page.record.id" :photos="page.photos" @changed="refresh()" />
      <SetupClaims v-if="page" :setup-id="page.record.id" />
      <KitHistory v-if="page" :versions="history" :specs="historySpecs" />
      <KitRuns v-if="page" :use="page.use" />
    </template>
  </KitRecord>
</template>
