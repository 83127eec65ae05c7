<script setup lang="ts">
import { problemOf, send } from '~/api/send'
import type { ImportPage, ImportPreview, StoredMapping } from '#shared/tableImport/imports'

/** The button that stores it, and what must be said before. */
const props = defineProps<{ page: ImportPage; mapping: StoredMapping; preview: ImportPreview; asking: boolean }>()
const emit = defineEmits<{ begun: [] }>()
const { people, personId } = usePeople()
watch(
  () => (props.mapping.what === 'runs' ? props.mapping.mapping.usual.person : ''),
  (person) => {
    personId.value ||= person
  },
  { immediate: true },
)
const leaveOut = ref(false)
const sameAgain = ref(false)
const problem = ref('')
const sending = ref(false)
const isTrace = computed(() => props.mapping.what === 'trace')
const words = computed(() => {
  const n = props.preview.good.toLocaleString('en')
  return isTrace.value ? `Store ${n} samples` : props.preview.good === 1 ? 'Store 1 run' : `Store ${n} runs`
})

async function store() {
  sending.value = true
  const sent = await send(`/api/imports/${props.page.id}/store`, 'POST', {
    ...props.mapping,
    personId: personId.value,
    leaveOut: leaveOut.value,
    again: sameAgain.value,
  })
  sending.value = false
  problem.value = problemOf(sent)
  if (sent.ok) emit('begun')
}
async function drop() {
  const sent = await send(`/api/imports/${props.page.id}`, 'DELETE')
  problem.value = problemOf(sent)
  if (sent.ok) await navigateTo('/runs/import')
}
</script>

<template>
  <BasePanel as="form" class="grid grid-cols-1 gap-2" label="Store it" novalidate @submit.prevent="store">
    <CautionBox v-if="page.alike" as="p">
      The same file came in on {{ dateInZone(page.alike.storedAt, 'UTC') }} ({{ page.alike.fileName }},
      {{ page.alike.stored.toLocaleString('en') }} stored).
      <NuxtLink :to="`/runs/import/${page.alike.id}`" class="text-on-caution">Look at that</NuxtLink>
    </CautionBox>
    <label v-if="page.alike" class="flex items-start gap-2"
      ><input v-model="sameAgain" type="checkbox" class="mt-1" /> It is meant to come in again</label
    >
    <label v-if="preview.bad > 0" class="flex items-start gap-2"
      ><input v-model="leaveOut" type="checkbox" class="mt-1" />
      {{
        preview.bad === 1
          ? 'Leave the row that cannot be stored out'
          : `Leave the ${preview.bad.toLocaleString('en')} rows that cannot be stored out`
      }}</label
    >
    <ChoiceBox v-model="personId" label="Who brings it in" :choices="people" />
    <BaseAlert v-if="problem">
      {{ problem }}
    </BaseAlert>
    <p class="flex flex-wrap gap-3">
      <BaseButton kind="main" type="submit" :disabled="sending || asking || preview.good === 0">{{ words }}</BaseButton>
      <BaseButton @click="drop">Throw it away</BaseButton>
    </p>
  </BasePanel>
</template>
