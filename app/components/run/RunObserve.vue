<script setup lang="ts">
import { parseQuantity } from '#core/quantity/parseQuantity'
import { OBSERVATIONS, OBSERVATION_SCALES, type ObservationScale } from '#shared/observation'
import type { RunPage } from '#shared/runRecord'

/** Notes what was seen of a run, on one of the scales. */
const props = defineProps<{ page: RunPage }>()
const emit = defineEmits<{ noted: []; left: [] }>()
const { personId, people, problem, say } = useCare(props.page.record.id, () => emit('noted'))
const scale = ref<ObservationScale>('soot')
const step = ref('')
const note = ref('')
const moment = ref('')
const scales = OBSERVATION_SCALES.map((value) => ({ value, label: OBSERVATIONS[value].label }))
const steps = computed(() =>
  Object.entries(OBSERVATIONS[scale.value].steps).map(([value, label]) => ({ value, label })),
)
watch(scale, () => {
  step.value = ''
})
onMounted(() => {
  personId.value ||= people.value.find((person) => person.label === props.page.record.person)?.value ?? ''
})
async function observe() {
  const at = moment.value.trim() ? parseQuantity(moment.value, 'clockTime', 'metric') : null
  if (at && !at.ok) {
    problem.value = 'At: expected a time on the run’s clock, such as 3:40.'
    return
  }
  const atMs = at?.ok ? Math.round(at.value.value * 1000) : null
  await say({ what: 'observe', scale: scale.value, step: step.value, note: note.value, atMs })
}
</script>

<template>
  <form class="no-print grid gap-2" aria-label="Observe" novalidate @submit.prevent="observe">
    <ChoiceBox v-model="scale" label="On the scale" :choices="scales" />
    <ChoiceBox v-model="step" label="It was" :choices="steps" />
    <TextBox v-model="note" label="Note" />
    <TextBox v-model="moment" label="At" example="whole run, or 3:40" figures />
    <ChoiceBox v-model="personId" label="Who" :choices="people" />
    <BaseAlert v-if="problem">{{ problem }}</BaseAlert>
    <p class="flex gap-2">
      <BaseButton kind="main" type="submit">Note it</BaseButton>
      <BaseButton @click="emit('left')">Back</BaseButton>
    </p>
  </form>
</template>
