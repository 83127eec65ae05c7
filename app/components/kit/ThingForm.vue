<script setup lang="ts">
import type { ThingLine, ThingPage } from '#shared/kitRecords'
import type { TypedRecord } from '#shared/record'
import { INSTRUMENT_UNITS, thingFields, type Measures, type ThingKind } from '#shared/thing'

/** The properties of a thing, new or standing. */
const props = defineProps<{ kind: ThingKind; start: TypedRecord; things: readonly ThingLine[] }>()
const emit = defineEmits<{ saved: [page: ThingPage]; removed: [] }>()
const form = useRecordForm<ThingPage>({
  url: (id) => `/api/kit/things/${id}`,
  start: () => props.start,
  extra: () => ({ kind: props.kind }),
  saved: (page) => emit('saved', page),
})
const { record, problems, theirs, runs, saving } = form
const isNew = computed(() => record.value.revision === 0)
const specs = computed(() => thingFields(props.kind).filter((spec) => spec.key !== 'retired' || !isNew.value))
const unit = computed(() =>
  props.kind === 'instrument' ? INSTRUMENT_UNITS[record.value.fields.measures as Measures]?.label : undefined,
)
const shownSpecs = computed(() =>
  specs.value.map((spec) =>
    unit.value && (spec.key === 'resolution' || spec.key === 'accuracy')
      ? { ...spec, label: `${spec.label} (${unit.value})` }
      : spec,
  ),
)
const choices = computed(() => ({
  madeFromId: namedChoices(props.things.filter((one) => one.kind === props.kind && one.id !== record.value.id)),
}))
watch(
  () => props.start,
  () => form.restart(),
)
</script>

<template>
  <RecordForm
    v-model="record"
    label="Properties"
    :specs="shownSpecs"
    :choices="choices"
    :problems="problems"
    :theirs="theirs"
    :runs="runs"
    :saving="saving"
    :asks-reason="!isNew"
    :deletable="!isNew"
    @save="form.save"
    @remove="form.remove(() => emit('removed'))"
    @mine="form.keepMine"
    @theirs="form.takeTheirs"
  />
</template>
