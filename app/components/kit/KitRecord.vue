<script setup lang="ts">
import type { Choice, FieldSpec } from '#shared/fields'
import type { RecordFormState } from '~/composables/useKitForm'

/**
 * A page over one record of the kit: its name and a sentence, its form, and beside it what else is known of it. Where
 * one comes for something else than to change it (`formBeside`), that stands first and the form beside.
 */
const props = defineProps<{
  name: string
  form: RecordFormState
  specs: readonly FieldSpec[]
  /** What the form is of. */
  label: string
  title?: string
  /** Where one is when it was deleted. */
  room: string
  choices?: Record<string, Choice[]>
  asksReason?: boolean
  handled?: readonly string[]
  formBeside?: boolean
}>()
const emit = defineEmits<{ theirs: []; again: [] }>()
const { record, problems, theirs, runs, saving, isBack } = props.form
const isNew = computed(() => record.value.revision === 0)
const shownSpecs = computed(() => props.specs.filter((spec) => spec.key !== 'retired' || !isNew.value))
function again() {
  props.form.restart()
  emit('again')
}
function takeTheirs() {
  emit('theirs')
  props.form.takeTheirs()
}
</script>

<template>
  <div>
    <KitNav />
    <h1 class="mb-1" dir="auto">
      {{ name }}
    </h1>
    <p v-if="$slots.lead" class="mb-3 text-ink-2"><slot name="lead" /></p>
    <div class="kit-record" :class="formBeside ? 'kit-record-beside' : ''">
      <div v-if="formBeside && $slots.known" class="space-y-3"><slot name="known" /></div>
      <div class="space-y-3">
        <BasePanel :title="title" :label="title ? undefined : `${label}, its form`">
          <slot name="picture" />
          <RecordForm
            v-model="record"
            :label="label"
            :specs="shownSpecs"
            :choices="choices"
            :problems="problems"
            :theirs="theirs"
            :runs="runs"
            :saving="saving"
            :asks-reason="asksReason && !isNew"
            :deletable="!isNew"
            :handled="handled"
            :is-back="isBack"
            @save="form.save"
            @remove="form.remove(() => navigateTo(room))"
            @mine="form.keepMine"
            @theirs="takeTheirs"
            @again="again"
          >
            <slot />
          </RecordForm>
          <slot name="below" />
        </BasePanel>
        <slot name="after" />
      </div>
      <div v-if="!formBeside && $slots.known" class="space-y-3"><slot name="known" /></div>
    </div>
  </div>
</template>
