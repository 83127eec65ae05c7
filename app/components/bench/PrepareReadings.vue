<script setup lang="ts">
import type { MethodBody } from '#core/method/method'
import type { Preparation } from '#shared/benchAct'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'

/** What can be read before a lane is lit; all of it can be read later too. */
const props = defineProps<{
  method: MethodBody | null
  /** All of them are said, not only those that were left. */
  tried: boolean
  /** Whether it stands as the last run had it. */
  isTaken: (path: string) => boolean
}>()
const preparation = defineModel<Preparation>({ required: true })
const { units } = usePreferences()
const boxes = computed(() => readingsBefore(props.method))
const fanWinds = useFanWinds(computed(() => preparation.value.placeId))
const fan = computed({
  get: () => fanWinds.value.find((one) => one.typed === preparation.value.measured.wind)?.value ?? null,
  set: (chosen: string | null) => {
    preparation.value.measured.wind = fanWinds.value.find((one) => one.value === chosen)?.typed ?? ''
  },
})
/** Boxes that were left: what cannot be read in them is said. */
const left = reactive(new Set<MeasuredQuantity>())
const problemOf = (one: MeasuredQuantity) =>
  props.tried || left.has(one)
    ? (readingProblem(one, preparation.value.measured[one], units.value) ?? undefined)
    : undefined
const HINTS: Partial<Record<MeasuredQuantity, string>> = {
  waterStart: 'No thermometer? Stir ice in the water for five minutes and take it out: type 0.5 °C.',
}
</script>

<template>
  <ChoiceBox
    v-if="fanWinds.length && !preparation.rehearsal"
    v-model="fan"
    label="Fan"
    :choices="fanWinds"
    empty="No fan"
  />
  <QuantityBox
    v-for="one in boxes"
    :key="one"
    v-model="preparation.measured[one]"
    :label="MEASURED_NAMES[one]"
    :kind="MEASURED_QUANTITIES[one]"
    :units="units"
    :hint="HINTS[one]"
    :problem="problemOf(one)"
    :taken="isTaken(`measured.${one}`)"
    @left="afterPress(() => left.add(one))"
  />
  <p class="text-ink-2">All of these can be read later, on the lane.</p>
</template>
