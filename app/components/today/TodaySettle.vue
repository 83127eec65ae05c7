<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { ToSettle } from '#shared/today'
import { problemOf } from '~/api/send'

/**
 * One thing to settle, answered where it stands: by a decision, by the missing reading, or by leaving it with a reason.
 */
const props = defineProps<{ one: ToSettle }>()
const emit = defineEmits<{ settled: [] }>()
const { units } = usePreferences()
const { personId, people, problem, say } = useCare(props.one.run.id, () => emit('settled'))
const asking = ref<'leave' | 'weigh' | 'call' | 'trace' | null>(null)
const reason = ref('')
const fuel = ref('')
watch(asking, () => {
  reason.value = ''
  problem.value = ''
})
const again = computed(() => ({ path: '/bench/prepare', query: { again: props.one.run.id } }))
const PLANS = {
  leave: 'Leave it so',
  weigh: 'Keep the fuel used',
  call: 'The call is right',
  trace: 'The trace is right',
} as const
const EXAMPLES = {
  leave: 'the rain says it all',
  weigh: 'found in the notebook',
  call: 'seen on the video',
  trace: 'seen on the video',
} as const

async function answer() {
  const what = asking.value!
  if (what === 'weigh') {
    const sent = await sendCorrection(props.one.run.id, {
      id: uuidv7(),
      revision: props.one.revision,
      units: units.value,
      personId: personId.value,
      what: 'fuelUsed',
      typed: fuel.value,
      reason: reason.value,
    })
    problem.value = problemOf(sent)
    if (sent.ok) emit('settled')
  } else
    await say(
      what === 'leave'
        ? { what: 'decide', question: 'settle', answer: 'leave', reason: reason.value }
        : { what: 'decide', question: 'boil', answer: what, reason: reason.value },
    )
}
</script>

<template>
  <li class="border-b border-edge py-2 last:border-b-0" :data-settle="one.kind">
    <p>
      <NuxtLink :to="`/runs/${one.run.id}`"
        >{{ one.run.setup }}, {{ dateInZone(one.run.startedAt, one.run.zone) }}</NuxtLink
      >: {{ one.words }}
    </p>
    <p class="no-print mt-1 flex flex-wrap gap-2">
      <template v-if="one.kind === 'which'">
        <BaseButton :aria-expanded="asking === 'call'" @click="asking = 'call'"> The call is right </BaseButton>
        <BaseButton :aria-expanded="asking === 'trace'" @click="asking = 'trace'"> The trace is right </BaseButton>
      </template>
      <BaseButton v-if="one.kind === 'unweighed'" :aria-expanded="asking === 'weigh'" @click="asking = 'weigh'">
        It was weighed after all
      </BaseButton>
      <BaseButton
        v-if="one.kind === 'impossible' || one.kind === 'contradictory' || one.kind === 'doubtful'"
        :to="`/runs/${one.run.id}`"
        >Look at the readings</BaseButton
      >
      <BaseButton v-if="one.kind === 'stopped'" :to="again">Burn it again</BaseButton>
      <BaseButton :aria-expanded="asking === 'leave'" @click="asking = 'leave'"> Leave it so </BaseButton>
    </p>
    <LazyReasonForm
      v-if="asking"
      v-model:reason="reason"
      v-model:person-id="personId"
      :words="PLANS[asking]"
      :example="EXAMPLES[asking]"
      :people="people"
      :problem="problem"
      @send="answer"
      @leave="asking = null"
    >
      <QuantityBox v-if="asking === 'weigh'" v-model="fuel" label="Fuel used" kind="fuel" :units="units" />
    </LazyReasonForm>
  </li>
</template>
