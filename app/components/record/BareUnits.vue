<script setup lang="ts">
import type { UnitSystem } from '#core/quantity/kinds'

/** In which units a bare number is read that is typed here. */
const units = defineModel<UnitSystem>({ required: true })
const CHOICES = [
  { value: 'metric' as const, label: 'metric' },
  { value: 'trail' as const, label: 'trail units (°F, ft, mph, cups)' },
]
</script>

<template>
  <RadioChoice v-model="units" label="A bare number is" :choices="CHOICES" />
</template>
