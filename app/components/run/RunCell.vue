<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import type { RunLine } from '#shared/runRecord'

/** One value of a line of the logbook. */
defineProps<{ run: RunLine; column: RunColumnKey; spanS: number; withMethod: boolean }>()
const RIBBON_PX = 190
</script>

<template>
  <NuxtLink v-if="column === 'when'" :to="`/runs/${run.id}`" data-run>{{
    dateInZone(run.startedAt, run.zone)
  }}</NuxtLink>
  <template v-else-if="column === 'setup'"
    ><span class="md:block md:max-w-48 md:truncate" :title="run.setup" dir="auto">{{ run.setup }}</span
    ><span v-if="withMethod && run.method" class="hidden max-w-48 truncate text-ink-2 md:block" dir="auto"
      >{{ run.method }}{{ run.setting ? `, ${run.setting}` : '' }}</span
    ></template
  >
  <template v-else-if="column === 'method'"
    >{{ run.method ?? 'by no method' }}{{ run.setting ? `, ${run.setting}` : '' }}</template
  >
  <template v-else-if="column === 'place'">{{ run.place ?? 'elsewhere' }}</template>
  <span v-else-if="column === 'fuel'" class="md:block md:max-w-36 md:truncate" :title="run.fuel ?? undefined">{{
    run.fuel
  }}</span>
  <template v-else-if="column === 'person'">{{ run.person }}</template>
  <RunRibbon v-else-if="column === 'ribbon'" :ribbon="run.ribbon" :span-s="spanS" :width="RIBBON_PX" :height="20" />
  <template v-else-if="column === 'boil'">{{ run.timeToBoilS === null ? '' : formatClock(run.timeToBoilS) }}</template>
  <template v-else-if="column === 'measured'">{{ run.gPerL === null ? '' : run.gPerL.toFixed(1) }}</template>
  <template v-else-if="column === 'normalised'">{{
    run.normalisedGPerL === null ? '' : withExpandedU(run.normalisedGPerL, run.normalisedU)
  }}</template>
  <template v-else-if="column === 'efficiency'">{{
    run.efficiency == null ? '' : formatNumber(run.efficiency * 100, 0)
  }}</template>
  <template v-else-if="column === 'burnRate'">{{
    run.burnRateGPerMin == null ? '' : formatNumber(run.burnRateGPerMin, 2)
  }}</template>
  <template v-else-if="column === 'firepower'">{{
    run.firepowerW == null ? '' : formatNumber(run.firepowerW, 0)
  }}</template>
  <template v-else-if="column === 'tags'">{{ run.tags.join(', ') }}</template>
  <RunRemark v-else :run="run" />
</template>
