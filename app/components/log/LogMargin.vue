<script setup lang="ts">
import { DEFAULT_UNCERTAINTY } from '#core/formats/document'
import { checkRun } from '#core/method/checkRun'
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import type { QuantityKindName } from '#core/quantity/kinds'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import { predictPrecision } from '#core/uncertainty/predictPrecision'
import { formatNumber } from '#core/quantity/format'
import { parseQuantity } from '#core/quantity/parseQuantity'
import type { KitChoices } from '#shared/kitChoices'
import type { RunLine } from '#shared/runRecord'
import type { TypedRun } from '#shared/typedRun'

/** Before the flame is lit: how precise the figure can be, and what to do without a thermometer. */
const props = defineProps<{ typed: TypedRun; kit: KitChoices; runs: RunLine[] }>()
const emit = defineEmits<{ ice: [] }>()

const alike = computed(() => props.runs.filter((run) => run.gPerL !== null && run.timeToBoilS !== null))
const average = (of: (run: RunLine) => number) =>
  alike.value.reduce((sum, run) => sum + of(run), 0) / alike.value.length
const predicted = computed(() => {
  const { measured, units } = props.typed
  const water = parseQuantity(measured.water, 'water', units)
  if (alike.value.length === 0 || !water.ok) return null
  const waterG = water.value.dimension === 'mass' ? water.value.value * 1000 : water.value.value * 1e6
  const resolution = parseQuantity(measured.scaleResolution, 'resolution', units)
  const perLitre = average((run) => run.gPerL!)
  return predictPrecision({
    fuelG: (perLitre * waterG) / 1000,
    boilS: average((run) => run.timeToBoilS!) * (waterG / 473),
    riseK: 80,
    waterG,
    scaleResolutionG: resolution.ok ? resolution.value.value * 1000 : 1,
    boilCallS: DEFAULT_UNCERTAINTY.boilCallS,
    startU: DEFAULT_UNCERTAINTY.startC,
    waterU: water.value.dimension === 'mass' ? DEFAULT_UNCERTAINTY.waterG : waterG * 0.01,
  })
})
const MOST = {
  scale: 'the scale',
  call: 'the moment of the boil',
  water: 'the measure of the water',
  start: 'the start temperature',
}
const percent = (relative: number) => `±\u202f${formatNumber(relative * 100, 1)}\u202f%`

const method = computed(() => props.kit.methods.find((one) => one.id === props.typed.methodId)?.body ?? null)
/** The draft held against its method, as it is typed. */
const findings = computed(() => {
  if (method.value === null) return null
  const { measured, times, units, trace, setting, lines } = props.typed
  const read = (text: string, kind: QuantityKindName) => (text.trim() ? parseQuantity(text, kind, units) : null)
  const values = Object.fromEntries(
    (Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]).flatMap((name) => {
      const quantity = read(measured[name], MEASURED_QUANTITIES[name])
      return quantity?.ok ? [[name, quantity.value] as const] : []
    }),
  )
  const scale = props.typed.instruments.mass ? { scaleResolution: 0 } : {}
  const water = values.water
  return checkRun(method.value, {
    measured: {
      ...scale,
      ...Object.fromEntries(Object.entries(values).map(([name, quantity]) => [name, quantity.value])),
    },
    samples: trace.length,
    setting: setting || null,
    heatS: null,
    marks: [
      ...Object.entries(times).flatMap(([kind, text]) => (text.trim() ? [{ kind: kind as EventKind, s: 0 }] : [])),
      ...lines.map(({ kind }) => ({ kind, s: 0 })),
    ],
    waterKg: water === undefined ? null : water.dimension === 'mass' ? water.value : water.value * 998,
    lid:
      props.kit.setups.find((one) => one.id === props.typed.setupId)?.parts.some((part) => part.role === 'lid') ??
      method.value.lid !== 'off',
  })
})
const lackingWords = computed(() =>
  (findings.value?.lacking ?? []).map((one) =>
    one.what === 'trace'
      ? 'a trace of the water'
      : one.what === 'mark'
        ? `${EVENT_NAMES[one.name as EventKind].toLowerCase()} (time)`
        : readingName(one.name).toLowerCase(),
  ),
)
</script>

<template>
  <aside aria-label="Margin" class="text-[15px] leading-[22px]">
    <h2 class="mb-2">Before it is lit</h2>
    <p v-if="predicted" data-predicted>
      One boil: about {{ percent(predicted.one) }}. Two on one fill: about {{ percent(predicted.two) }}. Most of it
      comes from {{ MOST[predicted.most] }}.
    </p>
    <p v-else class="text-ink-2">
      With set-up, water and scale chosen, the precision is predicted here, from the
      {{ alike.length || 'earlier' }} runs of that set-up.
    </p>
    <section v-if="findings" class="mt-4" aria-label="By its method">
      <p v-if="lackingWords.length" data-wanted>Its method still wants: {{ lackingWords.join(', ') }}.</p>
      <p v-else data-wanted>Everything its method asks for is there.</p>
      <CautionBox v-for="flag in findings.outside" :key="flag.code" as="p" class="mt-2">
        {{ flag.text }}
      </CautionBox>
    </section>
    <p class="mt-4">No thermometer? Stir ice in the water for five minutes and take it out: start 0–1 °C, assumed.</p>
    <BaseButton class="mt-2" @click="emit('ice')">Ice start</BaseButton>
    <p class="mt-4 text-ink-2">Let everything cool before weighing; wipe it dry.</p>
  </aside>
</template>
