<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { RunAnswer } from '#core/formats/answer'
import type { RunCost } from '#shared/answers'

/** The rest of what the run says. */
const props = defineProps<{ answer: RunAnswer; cost?: RunCost | null }>()
const TEST_FIGURES: [key: keyof RunAnswer['test'], name: string, decimals: number, unit: string][] = [
  ['warmUpS', 'Warm-up', 0, 's'],
  ['burnTimeS', 'Burn time', 0, 's'],
  ['burnRateMlPerMin', 'Burn rate by volume', 2, 'mL/min'],
  ['usefulAfterBoilS', 'Useful heat after the boil', 0, 's'],
  ['boilsPerLoad', 'Boils per load', 1, ''],
  ['riseK', 'Temperature rise', 1, 'K'],
  ['powerIntoWaterW', 'Power into the water', 0, 'W'],
  ['turnDownRatio', 'Turn-down ratio', 1, ''],
  ['holdingPowerW', 'Heat that holds the boil', 0, 'W'],
  ['meltEnergyKJ', 'Heat to melt the snow', 0, 'kJ'],
  ['toWaterS', 'Until all was water', 0, 's'],
  ['dryFuelG', 'As dry wood', 1, 'g'],
  ['lossWPerK', 'Heat loss, by cooling', 2, 'W/K'],
]
const rows = computed(() => {
  const { answer } = props
  const all: [string, string, number | null, number, string][] = [
    ['boilingPointC', 'Water boils here at', answer.boilingPointC, 2, '°C'],
    ['litres', 'Litres put in', answer.litres, 4, 'L'],
    ['fuelToBoilG', 'Fuel to the boil', answer.fuelToBoilG, 2, 'g'],
    ['burnRateGPerMin', 'Burn rate', answer.burnRateGPerMin, 2, 'g/min'],
    ['firepowerW', 'Firepower', answer.firepowerW, 0, 'W'],
    ['q0W', 'Heat flow into a cold pot', answer.q0W, 0, 'W'],
    ...TEST_FIGURES.map(([key, name, decimals, unit]): [string, string, number | null, number, string] => [
      `test.${key}`,
      name,
      answer.test[key],
      decimals,
      unit,
    ]),
  ]
  return all.filter((row) => row[2] !== null)
})
</script>

<template>
  <BasePanel title="Other figures">
    <dl class="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
      <template v-for="[path, name, value, decimals, unit] in rows" :key="path">
        <dt>{{ name }}</dt>
        <dd class="text-right">
          <FigureButton :path="path"> {{ formatNumber(value!, decimals) }} </FigureButton>{{ ' ' }}
          <span class="inline-block w-12 text-left text-ink-2">{{ unit }}</span>
        </dd>
      </template>
      <template v-if="answer.efficiency !== null">
        <dt>Efficiency</dt>
        <dd class="text-right">
          <FigureButton path="efficiency">
            {{
              withExpandedU(answer.efficiency * 100, answer.efficiencyU === null ? null : answer.efficiencyU * 100)
            }} </FigureButton>{{ ' ' }}
          <span class="inline-block w-12 text-left text-ink-2">%</span>
        </dd>
      </template>
    </dl>
    <p v-if="cost" class="mt-2">
      Cost: {{ cost.words }}.
      <NuxtLink v-if="cost.missing" :to="`/kit/fuels/${cost.missing}`">Add the price</NuxtLink>
    </p>
  </BasePanel>
</template>
