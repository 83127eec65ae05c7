<script setup lang="ts">
import type { Choice, FieldSpec } from '#shared/fields'
import type { FieldProblem } from '#shared/readProblems'
import type { RunRef, TypedRecord } from '#shared/record'

/**
 * The form of a record of the kit: its fields, saving, what another page saved meanwhile, and deleting while nothing
 * uses it.
 */
const props = defineProps<{
  specs: readonly FieldSpec[]
  choices?: Record<string, Choice[]>
  problems: readonly FieldProblem[]
  theirs: TypedRecord | null
  runs?: readonly RunRef[]
  saving: boolean
  label: string
  /** Whether a reason is asked beside a change. */
  asksReason?: boolean
  deletable?: boolean
  /** Paths whose problems the slot shows itself, by their beginning. */
  handled?: readonly string[]
  /** It stands as it was left, not saved. */
  isBack?: boolean
  /** All fields, where some are in the slot: for comparing with another page's. */
  compared?: readonly FieldSpec[]
}>()
const record = defineModel<TypedRecord>({ required: true })
const emit = defineEmits<{ save: []; remove: []; mine: []; theirs: []; again: [] }>()
const problemAt = (path: string) => props.problems.find((problem) => problem.path === path)?.text
const own = computed(
  () => new Set([...props.specs.map((spec) => `fields.${spec.key}`), ...(props.asksReason ? ['reason'] : [])]),
)
const others = computed(() =>
  props.problems.filter(
    (problem) =>
      !own.value.has(problem.path) &&
      problem.path !== 'revision' &&
      !(props.handled ?? []).some((start) => problem.path.startsWith(start)),
  ),
)
const sure = ref(false)

function remove() {
  sure.value = false
  emit('remove')
}
</script>

<template>
  <form class="grid grid-cols-1 gap-2" novalidate :aria-label="label" @submit.prevent="emit('save')">
    <p v-if="isBack" role="status" class="text-ink-2">
      As you left it, not saved. <BaseButton kind="plain" @click="emit('again')">Begin again</BaseButton>
    </p>
    <RecordConflict
      v-if="theirs"
      :specs="compared ?? specs"
      :mine="record"
      :theirs="theirs"
      @mine="emit('mine')"
      @theirs="emit('theirs')"
    />
    <FieldBox
      v-for="spec in specs"
      :key="spec.key"
      v-model="record.fields[spec.key]"
      :spec="spec"
      :choices="choices?.[spec.key]"
      :problem="problemAt(`fields.${spec.key}`)"
    />
    <slot />
    <TextBox
      v-if="asksReason"
      v-model="record.reason"
      label="Why the change"
      :problem="problemAt('reason')"
      hint="Kept with the new version."
    />
    <CautionBox v-for="problem in others" :key="problem.text" role="alert">
      <p class="font-bold">
        {{ problem.text }}
      </p>
      <ul v-if="runs?.length" class="mt-1">
        <li v-for="run in runs" :key="run.id">
          <NuxtLink :to="`/runs/${run.id}`" class="text-on-caution"
            >{{ run.setup }}, {{ dateInZone(run.startedAt, run.zone) }}</NuxtLink
          >
        </li>
      </ul>
    </CautionBox>
    <div class="mt-2 flex flex-wrap gap-3">
      <BaseButton kind="main" type="submit" :disabled="saving">
        {{ saving ? 'Saving' : 'Save' }}
      </BaseButton>
      <slot name="buttons" />
      <template v-if="deletable">
        <BaseButton v-if="!sure" class="ml-auto" @click="sure = true">Delete</BaseButton>
        <template v-else>
          <BaseButton class="ml-auto" @click="remove">Delete it for good</BaseButton>
          <BaseButton @click="sure = false">Keep it</BaseButton>
        </template>
      </template>
    </div>
  </form>
</template>
