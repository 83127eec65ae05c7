<script setup lang="ts">
import type { FieldProblem } from '#shared/readProblems'
import type { ThingLine } from '#shared/kitRecords'
import { KIND_NAMES, PART_ROLES, type PartRole } from '#shared/thing'

/** A set-up's parts; what is dangerous is explained, and goes on with a reason. */
const props = defineProps<{
  things: readonly ThingLine[]
  /** The versions of things the set-up stands on now. */
  standing: { role: PartRole; versionId: string; label: string }[]
  problems: readonly FieldProblem[]
}>()
const parts = defineModel<Partial<Record<PartRole, string>>>('parts', { required: true })
const overrides = defineModel<Record<string, string>>('overrides', { required: true })
const problemAt = (path: string) => props.problems.find((problem) => problem.path === path)?.text
const warnings = computed(() => props.problems.filter((problem) => problem.path.startsWith('overrides.')))

function choices(role: PartRole) {
  const newest = props.things
    .filter((one) => one.kind === role && (!one.retired || one.versionId === parts.value[role]))
    .map(({ versionId, name, n }) => ({ value: versionId, label: n > 1 ? `${name}, version ${n}` : name }))
  const older = props.standing
    .filter((one) => one.role === role && !newest.some((choice) => choice.value === one.versionId))
    .map((one) => ({ value: one.versionId, label: one.label }))
  return [...newest, ...older]
}
const choose = (role: PartRole, value: string | null) => {
  parts.value = { ...parts.value, [role]: value ?? undefined }
}
</script>

<template>
  <ChoiceBox
    v-for="role in PART_ROLES"
    :key="role"
    :model-value="parts[role] ?? null"
    :label="KIND_NAMES[role][0]"
    :choices="choices(role)"
    :empty="role === 'burner' ? undefined : 'none'"
    :problem="problemAt(`parts.${role}`)"
    @update:model-value="choose(role, $event)"
  />
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
</template>
