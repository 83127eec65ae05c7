<script setup lang="ts">
import type { RunPage } from '#shared/runRecord'

/** Void with a reason in place of deleting, break-in, and the decisions that were made; nothing goes away. */
const props = defineProps<{ page: RunPage }>()
const emit = defineEmits<{ changed: [] }>()
const { personId, people, problem, say } = useCare(props.page.record.id, () => emit('changed'))
const reason = ref('')
const voided = computed(() => props.page.record.state === 'void')
const disagree = computed(
  () =>
    props.page.answer.flags.find((flag) => flag.code === 'boil-calls-disagree' || flag.code === 'boil-decided') ?? null,
)
const QUESTION_WORDS: Record<string, string> = {
  boil: 'Which boil',
  fuelToBoil: 'Fuel to the boil',
  breakIn: 'Break-in',
  burnerAndFuel: 'Burner and fuel do not belong together',
  settle: 'What was to settle',
}
const ANSWER_WORDS: Record<string, string> = {
  call: 'the call',
  trace: 'the trace',
  shareOfBurnTime: 'by its share of burn time',
  notKnown: 'not known',
  yes: 'yes, left out of figures',
  no: 'no',
  goOn: 'went on all the same',
  leave: 'left as it is',
}
/** What can be said of it: the words of its button, and what is sent. */
const PLANS = {
  call: { words: 'The call is right', what: { what: 'decide', question: 'boil', answer: 'call' } },
  trace: { words: 'The trace is right', what: { what: 'decide', question: 'boil', answer: 'trace' } },
  breakIn: { words: 'It was a break-in', what: { what: 'breakIn' } },
  notBreakIn: { words: 'It was no break-in', what: { what: 'notBreakIn' } },
  void: { words: 'Make it void', what: { what: 'void' } },
  unvoid: { words: 'It counts after all', what: { what: 'unvoid' } },
} as const satisfies Record<string, { words: string; what: Parameters<typeof say>[0] }>
const plans = computed(() => [
  ...(disagree.value ? (['call', 'trace'] as const) : []),
  props.page.record.breakIn ? ('notBreakIn' as const) : ('breakIn' as const),
  voided.value ? ('unvoid' as const) : ('void' as const),
])
const asking = ref<keyof typeof PLANS | null>(null)
watch(asking, () => {
  problem.value = ''
})
async function act() {
  if (!(await say({ ...PLANS[asking.value!].what, reason: reason.value }))) return
  reason.value = ''
  asking.value = null
}
onMounted(() => {
  personId.value ||= people.value.find((person) => person.label === props.page.record.person)?.value ?? ''
})
</script>

<template>
  <BasePanel title="Decisions">
    <ul class="mb-2 space-y-1">
      <li v-for="one in page.voids" :key="one.at">
        {{ one.voided ? 'Void' : 'No longer void' }}: <span dir="auto">{{ one.reason }}</span>{{ ' ' }}
        <span class="text-ink-2">{{ one.person }}, {{ dateInZone(one.at, page.record.zone) }}</span>
      </li>
      <li v-for="one in page.decisions" :key="one.at + one.question">
        {{ QUESTION_WORDS[one.question] ?? one.question }}: {{ ANSWER_WORDS[one.answer] ?? one.answer
        }}<template v-if="one.reason"
          >. <span dir="auto">{{ one.reason }}</span></template
        >{{ ' ' }}
        <span class="text-ink-2">{{ one.person }}, {{ dateInZone(one.at, page.record.zone) }}</span>
      </li>
    </ul>
    <p v-if="disagree" class="mb-2 font-bold">{{ disagree.text }}</p>
    <p class="no-print flex flex-wrap gap-2">
      <BaseButton
        v-for="plan in plans"
        :key="plan"
        :aria-expanded="asking === plan"
        @click="asking = asking === plan ? null : plan"
        >{{ PLANS[plan].words }}</BaseButton
      >
    </p>
    <LazyReasonForm
      v-if="asking"
      v-model:reason="reason"
      v-model:person-id="personId"
      :words="PLANS[asking].words"
      :people="people"
      :problem="problem"
      @send="act"
      @leave="asking = null"
    />
  </BasePanel>
</template>
