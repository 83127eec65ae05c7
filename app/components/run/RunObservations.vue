<script setup lang="ts">
import { parseQuantity } from '#core/quantity/parseQuantity'
import { formatClock } from '#core/quantity/format'
import { OBSERVATIONS, OBSERVATION_SCALES, stepWords, type ObservationScale } from '#shared/observation'
import type { RunPage } from '#shared/runRecord'

/** What was seen, on scales whose steps have words, so that another tester would choose the same. */
const props = defineProps<{ page: RunPage }>()
const emit = defineEmits<{ changed: [] }>()
const { personId, people, problem, say } = useCare(props.page.record.id, () => emit('changed'))
const scale = ref<ObservationScale>('soot')
const step = ref('')
const note = ref('')
const moment = ref('')
const isOpen = ref(false)
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
  if (
    !(await say({
      what: 'observe',
      scale: scale.value,
      step: step.value,
      note: note.value,
      atMs: at?.ok ? Math.round(at.value.value * 1000) : null,
    }))
  )
    return
  step.value = ''
  note.value = ''
  moment.value = ''
  isOpen.value = false
}
</script>

<template>
  <BasePanel title="What was seen" label="Observations">
    <dl class="mb-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      <template v-for="one in page.observations" :key="one.id">
        <dt class="text-ink-2">{{ OBSERVATIONS[one.scale].label }}</dt>
        <dd :data-observed="one.scale">
          <template v-if="one.atMs !== null"
            ><span class="figures">{{ formatClock(one.atMs / 1000) }}</span
            >{{ ' ' }}</template
          >{{ stepWords(one.scale, one.step)
          }}<template v-if="one.note"
            >. <span dir="auto">{{ one.note }}</span></template
          >
        </dd>
      </template>
    </dl>
    <p v-if="!page.observations.length" class="mb-2 text-ink-2">Nothing noted.</p>
    <BaseButton v-if="!isOpen" class="no-print" @click="isOpen = true">Note what was seen</BaseButton>
    <form v-else class="no-print grid gap-2" aria-label="Observe" novalidate @submit.prevent="observe">
      <ChoiceBox v-model="scale" label="On the scale" :choices="scales" />
      <ChoiceBox v-model="step" label="It was" :choices="steps" />
      <TextBox v-model="note" label="Note" />
      <TextBox v-model="moment" label="At" example="whole run, or 3:40" figures />
      <ChoiceBox v-model="personId" label="Who" :choices="people" />
      <BaseAlert v-if="problem">{{ problem }}</BaseAlert>
      <p class="flex gap-2">
        <BaseButton kind="main" type="submit">Note it</BaseButton>
        <BaseButton @click="isOpen = false">Back</BaseButton>
      </p>
    </form>
  </BasePanel>
</template>
