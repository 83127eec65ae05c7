<script setup lang="ts">
import { CHANNELS, isChannel } from '#shared/channels'
import { TARGETS, targetOf } from '#shared/tableImport/targets'
import { unitsOfTarget } from '#shared/tableImport/guess'
import type { ImportPage } from '#shared/tableImport/imports'
import { unitsOfChannel } from '#shared/tableImport/traceMapping'

/** How a file is to be read, with what would be stored beside it; nothing is before the button is pressed. */
const props = defineProps<{ page: ImportPage; runId: string }>()
const emit = defineEmits<{ begun: [] }>()
const { runs, trace, what, mapping, setSheet, setHeaderRow } = useMapping(props.page, props.runId)
const { preview, problem, asking } = useImportPreview(props.page.id, mapping)
const names = useKitNames()
const documents = props.page.kind === 'documents'
const heads = computed(
  () => props.page.heads[what.value === 'trace' ? (trace.value?.sheet ?? 0) : (runs.value?.sheet ?? 0)] ?? [],
)
const headerRow = computed(() => (what.value === 'trace' ? trace.value?.headerRow : runs.value?.headerRow) ?? -1)
const headings = computed(() => heads.value[headerRow.value] ?? [])
const RUN_CHOICES = TARGETS.map(({ key, name }) => ({ value: key, label: name })).sort((a, b) =>
  a.label.localeCompare(b.label),
)
const TRACE_CHOICES = [
  { value: 'time', label: 'Time' },
  ...Object.entries(CHANNELS).map(([value, { name }]) => ({ value, label: name })),
]
const unitsOf = (to: string) => {
  if (what.value === 'trace') return isChannel(to) ? unitsOfChannel(to) : []
  const target = targetOf(to)
  return target ? unitsOfTarget(target) : []
}
const columns = computed({
  get: () => (what.value === 'trace' ? trace.value!.columns : runs.value!.columns) as { to: string; unit: string }[],
  set: () => undefined,
})
const HOLDS = [
  { value: 'runs' as const, label: 'Runs, a row each' },
  { value: 'trace' as const, label: 'A logger’s file, of one run' },
]
</script>

<template>
  <div v-if="mapping" class="grid grid-cols-1 gap-4">
    <CautionBox v-for="note in page.notes" :key="note" as="p">
      {{ note }}
    </CautionBox>
    <CautionBox v-if="page.trouble" as="p" role="alert" class="font-bold">
      {{ page.trouble }}
    </CautionBox>
    <p v-if="page.guessedFrom" class="text-ink-2">
      Read as {{ page.guessedFrom.fileName }} was, on {{ dateInZone(page.guessedFrom.at, 'UTC') }}: its headings are the
      same.
    </p>
    <BasePanel class="grid grid-cols-1 gap-3" label="How it is read">
      <div class="flex flex-wrap items-center gap-x-6 gap-y-2">
        <RadioChoice v-if="page.guessedTrace && page.guessed" v-model="what" label="What it holds" :choices="HOLDS" />
        <ChoiceBox
          v-if="page.sheets.length > 1"
          :model-value="`${mapping.mapping.sheet}`"
          label="Sheet"
          :choices="page.sheets.map(({ name, rows }, i) => ({ value: `${i}`, label: `${name}, ${rows} rows` }))"
          @update:model-value="setSheet(Number($event))"
        />
        <ChoiceBox
          v-if="!documents"
          :model-value="headerRow < 0 ? null : `${headerRow}`"
          label="Headings in row"
          :choices="heads.map((_, i) => ({ value: `${i}`, label: `${i + 1}` }))"
          empty="none"
          @update:model-value="setHeaderRow(Number($event ?? -1))"
        />
      </div>
      <ImportColumns
        v-if="!documents"
        v-model="columns"
        :headings="headings"
        :first="heads.slice(headerRow + 1)"
        :choices="what === 'trace' ? TRACE_CHOICES : RUN_CHOICES"
        :units-of="unitsOf"
        :asked="preview?.asks.units ?? []"
      />
    </BasePanel>
    <BasePanel
      class="grid grid-cols-1 gap-3"
      :label="what === 'trace' ? 'Which run, and when' : 'What it does not say'"
    >
      <ImportTraceRun v-if="what === 'trace' && trace" v-model="trace" :asks-order="preview?.asks.dateOrder ?? false" />
      <template v-else-if="runs">
        <ImportQuestions v-model="runs" :preview="preview" :choices="names" :documents="documents" />
        <ImportNames v-if="preview" v-model="runs.names" :unknown="preview.unknown" :choices="names" />
      </template>
    </BasePanel>
    <BasePanel
      v-if="preview || problem"
      class="grid grid-cols-1 gap-3"
      label="What would be stored"
      :aria-busy="asking"
    >
      <BaseAlert v-if="problem">
        {{ problem }}
      </BaseAlert>
      <template v-if="preview">
        <p
          v-for="one in preview.problems"
          :key="one.text"
          :role="one.path === 'note' ? undefined : 'alert'"
          :class="one.path === 'note' ? '' : 'font-bold'"
        >
          {{ one.text }}
        </p>
        <ImportPreviewTable :preview="preview" :headings="documents ? [] : headings" />
      </template>
    </BasePanel>
    <ImportStore
      v-if="preview"
      :page="page"
      :mapping="mapping"
      :preview="preview"
      :asking="asking"
      @begun="emit('begun')"
    />
  </div>
  <BaseAlert v-else>
    No row of headings and no times with figures were found in this file. Is the table whole?
  </BaseAlert>
</template>
