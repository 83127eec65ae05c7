<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import type { RunLine } from '#shared/runRecord'

/** One value of a line of the logbook. */
const props = defineProps<{ run: RunLine; column: RunColumnKey; spanS: number }>()
const RIBBON_PX = 114
/** Broken between day and hour alone. */
const when = computed(() => shortDateInZone(props.run.startedAt, props.run.zone).split(/(?<=,) /))
</script>

<template>
  <NuxtLink v-if="column === 'when'" :to="`/runs/${run.id}`" data-run
    ><template v-for="part in when" :key="part"
      ><span class="whitespace-nowrap">{{ part }}</span
      >{{ ' ' }}</template
    ></NuxtLink
  >
  <template v-else-if="column === 'setup'"
    ><span class="md:cell-line" :title="run.setup" dir="auto">{{ run.setup }}</span
    ><RunRemark :run="run" class="md:hidden"
  /></template>
  <span v-else-if="column === 'method'" class="cell-line text-ink-2" :title="run.method ?? undefined" dir="auto"
    >{{ run.method ?? 'by no method' }}{{ run.setting ? `, ${run.setting}` : '' }}</span
  >
  <span v-else-if="column === 'place'" class="cell-line text-ink-2" :title="run.place ?? undefined" dir="auto">{{
    run.place ?? 'elsewhere'
  }}</span>
  <span v-else-if="column === 'fuel'" class="cell-line text-ink-2" :title="run.fuel ?? undefined">{{ run.fuel }}</span>
  <template v-else-if="column === 'person'">{{ run.person }}</template>
  <RunRibbon v-else-if="column === 'ribbon'" :ribbon="run.ribbon" :span-s="spanS" :width="RIBBON_PX" :height="20" />
  <template v-else-if="column === 'boil'">{{ run.timeToBoilS === null ? '' : formatClock(run.timeToBoilS) }}</template>
  <template v-else-if="column === 'measured'">{{ run.gPerL === null ? '' : run.gPerL.toFixed(1) }}</template>
  <template v-else-if="column === 'normalised'">{{
    run.normalisedGPerL === null ? '' : fuelWithU(run.normalisedGPerL, run.normalisedU)
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
  <span v-else-if="column === 'tags'" class="cell-line">{{ run.tags.join(', ') }}</span>
  <span v-else class="cell-line"><RunRemark :run="run" /></span>
</template>
