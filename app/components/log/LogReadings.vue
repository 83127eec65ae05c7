<script setup lang="ts">
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import type { UnitSystem } from '#core/quantity/kinds'

/** Boxes for some of the readings of a run. */
const props = defineProps<{
  names: readonly MeasuredQuantity[]
  units: UnitSystem
  problemAt: (path: string) => string | undefined
  placeAltitudeM?: number | null
  /** Whether it stands as the last run had it. */
  isTaken?: (path: string) => boolean
  offers?: Partial<Record<MeasuredQuantity, { text: string; why: string }>>
}>()
const measured = defineModel<Record<MeasuredQuantity, string>>({ required: true })
const emit = defineEmits<{ left: [path: string] }>()
const EXAMPLES: Partial<Record<MeasuredQuantity, string>> = {
  altitude: '700 ft, 940 m',
  stationPressure: '905.1 hPa',
  seaLevelPressure: '1013 hPa',
  air: '11 °C, 52F',
  wind: 'calm, 8 mph',
  water: '473 g, 2 cups',
  waterStart: '9.2 °C, 56F',
  fuelBefore: '212.4 g',
  fuelAfter: '204.1 g',
  fuelUsed: '8.6 g, 30 mL',
  scaleResolution: '0.1 g',
  fuelLoad: '14.2 g, 30 mL',
  fuelLeftover: '3.1 g',
  moisture: '14 %',
  char: '6 g',
  snow: '400 g',
  hardware: '12 °C',
  claimFuel: '5.5 g',
  claimWater: '500 mL',
  claimTime: '2:30',
}
const HINTS: Partial<Record<MeasuredQuantity, string>> = {
  stationPressure: 'If read here. It beats the altitude.',
  seaLevelPressure: 'What weather reports give.',
  wind: 'At the pot.',
  fuelBefore: 'Burner with fuel, or canister with burner on.',
  fuelAfter: 'Cooled, wiped dry.',
  fuelUsed: 'Instead of two weighings.',
  waterLast: 'When it did not boil.',
  fuelLeftover: 'Dry and cool.',
  hardware: 'Burner and pot, when lit.',
  fuelTemp: 'Of a fuel measured by volume.',
  waterEndMass: 'Weighed after, for the litre that is left.',
  char: 'Weighed cold.',
}
const hintOf = (name: MeasuredQuantity) =>
  name === 'altitude' && props.placeAltitudeM != null ? `${props.placeAltitudeM} m unless typed` : HINTS[name]
</script>

<template>
  <QuantityBox
    v-for="name in names"
    :key="name"
    v-model="measured[name]"
    :label="MEASURED_NAMES[name]"
    :kind="MEASURED_QUANTITIES[name]"
    :units="units"
    :problem="problemAt(`measured.${name}`)"
    :example="name === 'altitude' && placeAltitudeM != null ? hintOf(name) : EXAMPLES[name]"
    :hint="hintOf(name)"
    above
    :taken="isTaken?.(`measured.${name}`)"
    :offer="offers?.[name]"
    @left="emit('left', `measured.${name}`)"
  />
</template>
