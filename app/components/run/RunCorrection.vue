<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { formatClock } from '#core/quantity/format'
import { correctionName, isTime, type Corrected } from '#shared/correctable'
import { MEASURED_QUANTITIES } from '#shared/measuredQuantity'
import type { FieldProblem } from '#shared/readProblems'
import type { RunRecord } from '#shared/runRecord'

/** Corrects a reading or a time, or adds a missing one: the old value stays, with the reason. */
const props = defineProps<{ record: RunRecord } & Corrected>()
const emit = defineEmits<{ close: []; corrected: [] }>()
const { units } = usePreferences()
const { people } = usePeople()
const id = uuidv7()
const typed = ref('')
const reason = ref('')
const personId = ref<string>('')
const problems = ref<FieldProblem[]>([])
const sending = ref(false)
const standing = computed(() => {
  const event = props.record.events.find((one) => one.id === props.eventId)
  if (event) return formatClock(event.atMs / 1000)
  return props.record.measurements.find((one) => one.quantity === props.what)?.typed ?? null
})
const kind = computed(() => (isTime(props.what) ? ('clockTime' as const) : MEASURED_QUANTITIES[props.what]))
const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text
watchEffect(() => {
  personId.value ||= people.value.find((person) => person.label === props.record.person)?.value ?? ''
})

async function send() {
  sending.value = true
  const sent = await sendCorrection(props.record.id, {
    id,
    revision: props.record.revision,
    units: units.value,
    personId: personId.value,
    what: props.what,
    eventId: props.eventId ?? null,
    typed: typed.value,
    reason: reason.value,
  })
  sending.value = false
  problems.value = sent.ok ? [] : sent.problems
  if (sent.ok) emit('corrected')
}
</script>

<template>
  <BaseDialog
    open
    :title="`${standing === null && !isTime(what) ? 'Add' : 'Correct'}: ${correctionName(what)}`"
    @close="emit('close')"
  >
    <p class="mb-3 text-ink-2">
      {{ standing === null ? 'Nothing stands there yet.' : `It says ${standing}. That stays in the history.` }}
    </p>
    <form class="grid gap-2" novalidate @submit.prevent="send">
      <QuantityBox
        v-model="typed"
        :label="correctionName(what)"
        :kind="kind"
        :units="units"
        :problem="problemAt('typed')"
      />
      <TextBox v-model="reason" label="Reason" :problem="problemAt('reason')" />
      <ChoiceBox v-model="personId" label="Who" :choices="people" :problem="problemAt('personId')" />
      <CautionBox
        v-for="problem in problems.filter((one) => !['typed', 'reason', 'personId'].includes(one.path))"
        :key="problem.text"
        as="p"
        role="alert"
        class="font-bold"
      >
        {{ problem.text }}
      </CautionBox>
      <div class="mt-2 flex gap-3">
        <BaseButton kind="main" type="submit" :disabled="sending">
          {{ sending ? 'Sending' : 'Keep both, use this' }}
        </BaseButton>
        <BaseButton @click="emit('close')">Leave it</BaseButton>
      </div>
    </form>
  </BaseDialog>
</template>
