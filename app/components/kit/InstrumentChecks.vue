<script setup lang="ts">
import { send } from '~/api/send'
import { instrumentCorrection } from '#core/kit/instrumentCorrection'
import { formatNumber } from '#core/quantity/format'
import { CHECK_WORDS, checkFields } from '#shared/instrumentCheck'
import type { CheckLine } from '#shared/kitRecords'
import type { FieldProblem } from '#shared/readProblems'
import { INSTRUMENT_UNITS, type InstrumentProperties } from '#shared/thing'

/** Checks of an instrument, and what they add to its next reading. */
const props = defineProps<{
  thingId: string
  properties: InstrumentProperties
  checks: readonly CheckLine[]
  people: { value: string; label: string }[]
}>()
const emit = defineEmits<{ changed: [] }>()
const { units } = usePreferences()
const specs = computed(() => checkFields(props.properties.measures).filter((spec) => spec.key !== 'at'))
const moment = () => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
const fresh = () =>
  newRecord({
    kind: specs.value[0]!.type === 'choice' ? specs.value[0]!.choices![0]!.value : '',
    reading: '',
    truth: '',
    pressure: '',
    note: '',
  })
const record = ref(fresh())
const at = ref('')
onMounted(() => {
  at.value = moment()
})
const problems = ref<FieldProblem[]>([])
const shownSpecs = computed(() =>
  specs.value.filter(({ key }) =>
    key === 'pressure'
      ? record.value.fields.kind === 'boilingPoint'
      : key === 'truth'
        ? ['checkWeight', 'beside'].includes(String(record.value.fields.kind))
        : true,
  ),
)
const unit = computed(() => INSTRUMENT_UNITS[props.properties.measures])
const offset = (check: CheckLine) =>
  `${formatNumber((check.truth - check.reading) / unit.value.factor, 2)} ${unit.value.label === '°C' ? 'K' : unit.value.label}`
/** What is added now, at a usual reading. */
const SAMPLES = { temperature: [20, 95], mass: [0.5], wind: [2], pressure: [95_000], humidity: [0.5] }
const clock = useClock()
const now = computed(() =>
  SAMPLES[props.properties.measures].map((reading) => ({
    reading,
    add: instrumentCorrection(
      reading,
      props.properties.measures,
      props.checks.filter((check) => !check.withdrawn),
      clock.value,
    ),
  })),
)
const signed = (value: number) => `${value > 0 ? '+' : ''}${formatNumber(value / unit.value.factor, 2)}`

async function add() {
  const sent = await send(`/api/kit/things/${props.thingId}/checks`, 'POST', {
    ...record.value,
    units: units.value,
    fields: { ...record.value.fields, at: withOffset(at.value) },
  })
  problems.value = sent.ok ? [] : sent.problems
  if (!sent.ok) return
  record.value = fresh()
  emit('changed')
}
async function withdraw(check: CheckLine) {
  const sent = await send(`/api/kit/things/${props.thingId}/checks/${check.id}`, 'DELETE')
  problems.value = sent.ok ? [] : sent.problems
  if (sent.ok) emit('changed')
}
</script>

<template>
  <BasePanel tight title="Checks">
    <p v-if="checks.some((check) => !check.withdrawn)" class="mb-2" data-offset>
      Added to a reading from now on:
      <span v-for="(one, i) in now" :key="one.reading"
        ><template v-if="i">, </template
        ><span class="figures">{{ signed(one.add) }} {{ unit.label === '°C' ? 'K' : unit.label }}</span> at
        {{ one.reading / unit.factor }} {{ unit.label }}</span
      >. Earlier runs keep the offset of their day.
    </p>
    <p v-else class="mb-2 text-ink-2">Never checked: readings stand as they are read.</p>
    <ul class="mb-3 space-y-1">
      <li v-for="check in checks" :key="check.id">
        <component :is="check.withdrawn ? 's' : 'span'">
          {{ CHECK_WORDS[check.kind] }}: showed <span class="figures">{{ check.typed }}</span>,
          <span class="figures">{{ formatNumber(check.truth / unit.factor, 2) }} {{ unit.label }}</span> was so: offset
          <span class="figures">{{ offset(check) }}</span> </component
        >{{ ' '
        }}<span class="text-ink-2"
          >{{ dateInZone(new Date(check.atMs).toISOString(), 'UTC')
          }}<template v-if="check.person">, {{ check.person }}</template></span
        >
        {{ check.note }}
        <BaseButton
          v-if="!check.withdrawn"
          kind="plain"
          class="no-print"
          :aria-label="`Take back the check: ${CHECK_WORDS[check.kind]}, ${check.typed}`"
          @click="withdraw(check)"
        >
          Take it back</BaseButton
        ><span v-else class="text-ink-2"> taken back</span>
      </li>
    </ul>
    <RecordForm
      v-model="record"
      label="A new check"
      :specs="shownSpecs"
      :problems="problems"
      :theirs="null"
      :saving="false"
      :handled="['fields.at']"
      @save="add"
    >
      <DateBox
        v-model="at"
        label="When"
        timed
        :problem="problems.find((problem) => problem.path === 'fields.at')?.text"
      />
      <ChoiceBox v-model="record.personId" label="Who" :choices="people" empty="not said" />
    </RecordForm>
  </BasePanel>
</template>
