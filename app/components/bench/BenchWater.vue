<script setup lang="ts">
import { liveTrace } from '~/bench/samples'
import { readingFor } from '#core/bench/laneNext'
import { laneSeconds } from '#core/bench/laneTimes'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { formatClock } from '#core/quantity/format'
import { problemText } from '#core/result'
import type { Lane } from '#shared/bench'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import type { LaneView } from '~/composables/useLaneView'

/**
 * The water as last read, and the box for the next reading: a digit opens it, Enter takes it. The unit may say what it
 * is of.
 */
const props = defineProps<{
  lane: Lane
  view: LaneView
  /** What was typed to open the box; null: it is closed. */ reading: string | null
}>()
const emit = defineEmits<{ begin: []; done: [] }>()
type What = MeasuredQuantity | 'waterNow'
const CHOICES: What[] = [
  'waterNow',
  'waterStart',
  'air',
  'wind',
  'fuelBefore',
  'fuelLoad',
  'fuelAfter',
  'fuelLeftover',
  'hardware',
  'water',
]
const text = ref('')
const what = ref<What>('waterNow')
const problem = ref('')
const input = useTemplateRef<HTMLInputElement>('input')
const id = useId()
const choices = computed(() => [
  ...new Set<What>([
    what.value,
    ...CHOICES.filter((one) => one === 'waterNow' || one === 'air' || one === 'wind' || asked.value.includes(one)),
  ]),
])
const asked = computed(() => [
  ...(props.lane.method?.body.must ?? []),
  ...(props.lane.method?.body.may ?? []),
  props.lane.order.weighIn,
  props.lane.order.weighOut,
  'waterStart',
  'water',
])
const nameOf = (one: What) => (one === 'waterNow' ? 'Water now' : MEASURED_NAMES[one])
const kindOf = (one: What) => (one === 'waterNow' ? ('waterTemp' as const) : MEASURED_QUANTITIES[one])
const { units, lastReading, temperature } = props.view

watch(
  () => props.reading,
  async (opened) => {
    if (opened === null) return
    text.value = opened
    problem.value = ''
    what.value = readingFor(props.lane, props.view.next.value) as What
    await nextTick()
    input.value?.focus()
  },
  { immediate: true },
)

/** "1.8 m/s" while the water is asked for is wind; "212 g" is a weighing. */
const byUnit = computed<What>(() => {
  if (parseQuantity(text.value, kindOf(what.value), units.value).ok || !/[a-z°%]/i.test(text.value)) return what.value
  return choices.value.find((one) => parseQuantity(text.value, kindOf(one), units.value).ok) ?? what.value
})

async function take() {
  const read = parseQuantity(text.value, kindOf(byUnit.value), units.value)
  if (!read.ok) {
    problem.value = `${nameOf(byUnit.value)}: ${problemText(read.problem)}`
    return
  }
  const [of, typed] = [byUnit.value, text.value.trim()]
  // Closed at once: the next key is the bench's again.
  emit('done')
  if (of === 'waterNow') await props.view.mark('reading', { waterC: read.value.value, typed })
  else await props.view.bench.read(props.lane, of, typed)
}
/** Newer than a few seconds: the thermometer’s own. */
const SENT_WITHIN_MS = 15_000
const sent = computed(() => {
  const { bench } = props.view
  const last = bench.sampled >= 0 ? (liveTrace(props.lane.runId, 'water')?.last ?? null) : null
  return last !== null && props.view.second.value - last[0] < SENT_WITHIN_MS ? last : null
})
const shownC = computed(
  () =>
    sent.value?.[1] ??
    lastReading.value?.payload.waterC ??
    props.lane.readings.find((one) => one.quantity === 'waterStart')?.value ??
    null,
)
const age = computed(() =>
  sent.value
    ? 'sent'
    : lastReading.value
      ? `${formatClock(laneSeconds(props.lane, Math.max(0, props.view.second.value - lastReading.value.atMs)))} ago`
      : shownC.value === null
        ? ''
        : 'start',
)
</script>

<template>
  <form
    v-if="reading !== null"
    class="lane-water lane-reading"
    :aria-label="`Reading for lane ${lane.lane}`"
    novalidate
    @submit.prevent="take"
    @keydown.esc.prevent.stop="emit('done')"
  >
    <label :for="id" class="sr-only">Reading</label>
    <ChoiceList
      :model-value="what"
      aria-label="Reading of"
      class="lane-reading-what"
      :choices="choices.map((one) => ({ value: one, label: nameOf(one) }))"
      @update:model-value="what = $event as What"
    />
    <input
      :id="id"
      ref="input"
      v-model="text"
      class="figures lane-reading-box"
      inputmode="decimal"
      autocomplete="off"
      :aria-invalid="problem ? 'true' : undefined"
      :aria-describedby="problem ? `${id}-problem` : undefined"
    />
    <button type="submit" class="lane-reading-take">
      {{ byUnit === what ? 'Take' : nameOf(byUnit) }}
    </button>
    <p v-if="problem" :id="`${id}-problem`" role="alert" class="lane-reading-problem">
      {{ problem }}
    </p>
  </form>
  <button
    v-else
    type="button"
    class="lane-water"
    aria-keyshortcuts="0 1 2 3 4 5 6 7 8 9"
    :aria-label="
      shownC === null
        ? 'Water: no reading yet. Read it'
        : `Water ${temperature(shownC).figure} ${temperature(shownC).unit}, ${age}. Read it again`
    "
    @click="emit('begin')"
  >
    <span v-if="shownC !== null" class="figures lane-water-figure"
      >{{ temperature(shownC).figure }}<small>{{ temperature(shownC).unit }}</small></span
    >
    <span v-else class="lane-water-none">no reading</span>
    <span class="lane-water-words"
      ><span
        >{{ age
        }}<template v-if="lane.boilingC !== null">
          · boils at <span class="figures">{{ temperature(lane.boilingC).figure }}</span></template
        ></span
      >{{ ' ' }} <strong v-if="view.due.value" class="bg-caution px-1 text-on-caution">{{ view.due.value }}</strong>{{
        ' '
      }}
      <span v-if="view.forecast.value" data-forecast>{{ view.forecast.value }}</span></span
    >
  </button>
</template>
