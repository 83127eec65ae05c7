<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { RunLine } from '#shared/runRecord'

/** Runs, a line each. */
defineProps<{ runs: RunLine[] }>()
const ENDINGS = { boiled: '', gaveUp: 'given up', outOfFuel: 'out of fuel', stopped: 'stopped' }
</script>

<template>
  <div class="enamel overflow-x-auto">
    <table class="w-full border-collapse">
      <caption class="sr-only">
        Runs, newest first
      </caption>
      <thead>
        <tr class="border-b border-edge text-left align-bottom">
          <th class="p-2">
            When
          </th><th class="p-2">
            Set-up
          </th><th class="p-2">
            Place
          </th><th class="p-2">
            Fuel
          </th>
          <th class="p-2 text-right">
            Boil <span class="font-normal text-ink-2">m:ss</span>
          </th><th class="p-2 text-right">
            As measured <span class="font-normal text-ink-2">g/L</span>
          </th><th class="p-2 text-right">
            Normalised <span class="font-normal whitespace-nowrap text-ink-2">g/L, k = 2</span>
          </th><th class="p-2">
            Remarks
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="run in runs" :key="run.id" class="border-b border-edge last:border-b-0">
          <td class="figures p-2 whitespace-nowrap">
            <NuxtLink :to="`/runs/${run.id}`">{{ dateInZone(run.startedAt, run.zone) }}</NuxtLink>
          </td>
          <td class="p-2">
            {{ run.setup }}
          </td>
          <td class="p-2">
            {{ run.place ?? 'elsewhere' }}
          </td>
          <td class="p-2">
            {{ run.fuel }}
          </td>
          <td class="figures p-2 text-right">
            {{ run.timeToBoilS === null ? '' : formatClock(run.timeToBoilS) }}
          </td>
          <td class="figures p-2 text-right">
            {{ run.gPerL === null ? '' : run.gPerL.toFixed(1) }}
          </td>
          <td class="figures p-2 text-right whitespace-nowrap">
            {{ run.normalisedGPerL === null ? '' : withExpandedU(run.normalisedGPerL, run.normalisedU) }}
          </td>
          <td class="p-2">
            <span v-if="run.worstFlag?.severity === 'error'" class="iron inline-block px-2 py-0.5">{{ run.worstFlag.text }}</span>
            <span v-else-if="run.ended && run.ended !== 'boiled'">{{ ENDINGS[run.ended] }}</span>
            <span v-else-if="run.status === 'partly'">partly normalised</span>
            <span v-else-if="run.status === 'not'">as measured only</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
