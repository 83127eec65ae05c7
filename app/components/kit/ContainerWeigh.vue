<script setup lang="ts">
import { send } from '~/api/send'
import { ENTRY_FIELDS } from '#shared/fuelBatch'
import type { FieldProblem } from '#shared/readProblems'

/** A weighing of a container, as it stands on the scale. */
const props = defineProps<{ containerId: string }>()
const emit = defineEmits<{ weighed: [] }>()
const { units } = usePreferences()
const specs = ENTRY_FIELDS.filter((spec) => spec.key !== 'at')
const blank = () => newRecord({ kind: 'weighed', massKg: '', note: '' })
const entry = ref(blank())
const problems = ref<FieldProblem[]>([])
const saving = ref(false)
async function weigh() {
  saving.value = true
  const sent = await send(`/api/kit/containers/${props.containerId}/entries`, 'POST', {
    ...entry.value,
    units: units.value,
    fields: { ...entry.value.fields, at: new Date().toISOString() },
  })
  saving.value = false
  problems.value = sent.ok ? [] : sent.problems
  if (!sent.ok) return
  entry.value = blank()
  emit('weighed')
}
</script>

<template>
  <BasePanel title="Weigh it">
    <RecordForm
      v-model="entry"
      label="A weighing"
      :specs="specs"
      :problems="problems"
      :theirs="null"
      :saving="saving"
      @save="weigh"
    />
  </BasePanel>
</template>
