<script setup lang="ts">
import type { ReduceAnswer } from '#core/formats/answer'
import type { NamedReference } from '#core/normalise/reference'
import { stationPressureFromAltitude } from '#core/air/pressure'
import { parseQuantity } from '#core/quantity/parseQuantity'
import type { QuantityKindName } from '#core/quantity/kinds'
import { problemText } from '#core/result'
import { ownReference } from '#shared/runOptions'

/** Conditions to bring a run to: a place, its weather, the water one finds there. */
const props = defineProps<{ reference: ReduceAnswer['reference'] }>()
const emit = defineEmits<{ bring: [reference: NamedReference] }>()
const { units } = usePreferences()
const BOXES: Record<
  'startC' | 'airC' | 'altitudeM' | 'windMS',
  { label: string; kind: QuantityKindName; example: string }
> = {
  startC: { label: 'Water starts at', kind: 'waterTemp', example: '3 °C' },
  airC: { label: 'Air', kind: 'airTemp', example: '−14 °C' },
  altitudeM: { label: 'Altitude', kind: 'altitude', example: '2870 m' },
  windMS: { label: 'Wind at the pot', kind: 'windSpeed', example: 'calm' },
}
type Box = keyof typeof BOXES
const typed = reactive<Record<Box, string>>({ startC: '', airC: '', altitudeM: '', windMS: '' })
const problems = reactive<Partial<Record<Box, string>>>({})

/** A box left empty keeps what the reference has. */
function bring() {
  const values = {
    startC: props.reference.startC,
    airC: props.reference.airC,
    pressureHPa: props.reference.pressureHPa,
    windMS: props.reference.windMS,
  }
  for (const box of Object.keys(BOXES) as Box[]) {
    problems[box] = undefined
    if (!typed[box].trim()) continue
    const read = parseQuantity(typed[box], BOXES[box].kind, units.value)
    if (!read.ok) problems[box] = problemText(read.problem)
    else if (box === 'altitudeM') values.pressureHPa = stationPressureFromAltitude(read.value.value) / 100
    else values[box] = read.value.value
  }
  if (Object.values(problems).every((problem) => problem === undefined)) emit('bring', ownReference(values))
}
</script>

<template>
  <BasePanel
    as="form"
    tight
    class="grid gap-x-6 gap-y-2 md:grid-cols-2"
    label="Conditions of your own"
    @submit.prevent="bring"
  >
    <QuantityBox
      v-for="(box, key) in BOXES"
      :key="key"
      v-model="typed[key]"
      :label="box.label"
      :kind="box.kind"
      :units="units"
      :problem="problems[key]"
      :example="box.example"
    />
    <p class="flex flex-wrap items-center gap-3 md:col-span-2">
      <BaseButton type="submit">Correct to these</BaseButton>
      <span class="text-ink-2">An empty box keeps what stands. The address of this page holds the conditions.</span>
    </p>
  </BasePanel>
</template>
