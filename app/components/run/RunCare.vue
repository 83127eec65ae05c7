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
async function act(what: Parameters<typeof say>[0]) {
  if (await say({ ...what, reason: reason.value })) reason.value = ''
}
onMounted(() => {
  personId.value ||= people.value.find((person) => person.label === props.page.record.person)?.value ?? ''
})
</script>

<template>
  <section aria-label="Decisions" class="enamel p-4">
    <h2 class="mb-2">Decisions</h2>
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
    <div class="no-print grid gap-2">
      <p v-if="disagree" class="font-bold">
        {{ disagree.text }}
      </p>
      <TextBox v-model="reason" label="Reason" />
      <ChoiceBox v-model="personId" label="Who" :choices="people" />
      <p v-if="problem" role="alert" class="font-bold">
        {{ problem }}
      </p>
      <p class="flex flex-wrap gap-2">
        <template v-if="disagree">
          <button type="button" class="act-quiet" @click="act({ what: 'decide', question: 'boil', answer: 'call' })">
            The call is right
          </button>
          <button type="button" class="act-quiet" @click="act({ what: 'decide', question: 'boil', answer: 'trace' })">
            The trace is right
          </button>
        </template>
        <button v-if="!page.record.breakIn" type="button" class="act-quiet" @click="act({ what: 'breakIn' })">
          It was a break-in
        </button>
        <button v-else type="button" class="act-quiet" @click="act({ what: 'notBreakIn' })">It was no break-in</button>
        <button v-if="!voided" type="button" class="act-quiet" @click="act({ what: 'void' })">Make it void</button>
        <button v-else type="button" class="act-quiet" @click="act({ what: 'unvoid' })">It counts after all</button>
      </p>
    </div>
  </section>
</template>
