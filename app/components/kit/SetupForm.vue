<script setup lang="ts">
import type { SetupPage, ThingLine, TypedSetup } from '#shared/kitRecords'
import { KIND_NAMES, PART_ROLES, SETUP_FIELDS, type PartRole } from '#shared/thing'

/**
 * A set-up's parts and gap. Other parts make a new version; what is dangerous is explained, and goes on with a reason.
 */
const props = defineProps<{
  start: TypedSetup
  things: readonly ThingLine[]
  people: { value: string; label: string }[]
  /** The versions of things the set-up stands on now. */ standing: {
    role: PartRole
    versionId: string
    label: string
  }[]
}>()
const emit = defineEmits<{ saved: [page: SetupPage]; removed: []; draft: [parts: Partial<Record<PartRole, string>>] }>()
const parts = ref<Partial<Record<PartRole, string>>>({ ...props.start.parts })
const overrides = ref<Record<string, string>>({})
const form = useRecordForm<SetupPage>({
  url: (id) => `/api/kit/setups/${id}`,
  start: () => props.start,
  extra: () => ({ parts: parts.value, overrides: overrides.value }),
  saved: (page) => emit('saved', page),
})
const { record, problems, problemAt, theirs, runs, saving } = form
const isNew = computed(() => record.value.revision === 0)
const specs = computed(() => SETUP_FIELDS.filter((spec) => spec.key !== 'retired' || !isNew.value))
const warnings = computed(() => problems.value.filter((problem) => problem.path.startsWith('overrides.')))
watch(
  () => props.start,
  () => {
    form.restart()
    parts.value = { ...props.start.parts }
  },
)
watch(parts, () => emit('draft', parts.value), { deep: true, immediate: true })

function choices(role: PartRole) {
  const newest = props.things
    .filter((one) => one.kind === role && (!one.retired || one.versionId === parts.value[role]))
    .map(({ versionId, name, n }) => ({ value: versionId, label: n > 1 ? `${name}, version ${n}` : name }))
  const older = props.standing
    .filter((one) => one.role === role && !newest.some((choice) => choice.value === one.versionId))
    .map((one) => ({ value: one.versionId, label: one.label }))
  return [...newest, ...older]
}
const chosen = (role: PartRole) =>
  computed({
    get: () => parts.value[role] ?? null,
    set: (value: string | null) => {
      parts.value = { ...parts.value, [role]: value ?? undefined }
    },
  })
const roles = PART_ROLES.map((role) => ({ role, model: chosen(role) }))
function takeTheirs() {
  parts.value = { ...(theirs.value as TypedSetup).parts }
  form.takeTheirs()
}
</script>

<template>
  <RecordForm
    v-model="record"
    label="Set-up"
    :specs="specs"
    :problems="problems"
    :theirs="theirs"
    :runs="runs"
    :saving="saving"
    :asks-reason="!isNew"
    :deletable="!isNew"
    :handled="['overrides.', 'parts.']"
    @save="form.save"
    @remove="form.remove(() => emit('removed'))"
    @mine="form.keepMine"
    @theirs="takeTheirs"
  >
    <ChoiceBox
      v-for="{ role, model } in roles"
      :key="role"
      v-model="model.value"
      :label="KIND_NAMES[role][0]"
      :choices="choices(role)"
      :empty="role === 'burner' ? undefined : 'none'"
      :problem="problemAt(`parts.${role}`)"
    />
    <ChoiceBox v-model="record.personId" label="Who" :choices="people" empty="not said" />
    <CautionBox v-for="warning in warnings" :key="warning.path" role="alert">
      <p class="mb-2 font-bold">
        {{ warning.text }}
      </p>
      <p class="mb-2">
        The maker’s instructions come first. If you go on all the same, say why; it is kept with this version.
      </p>
      <label
        >Why it goes on
        <input
          v-model="overrides[warning.path.slice('overrides.'.length)]"
          dir="auto"
          class="w-full max-w-md"
          autocomplete="off"
      /></label>
    </CautionBox>
  </RecordForm>
</template>
