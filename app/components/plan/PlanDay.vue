<script setup lang="ts">
import type { StudyPage } from '#shared/plan'
import type { PlannedDay } from '#shared/plannedDays'

/** A day: a row a station, planned runs outlined, cool-downs hatched, and who watches what. */
const props = defineProps<{ study: StudyPage; day: PlannedDay }>()
const HOUR_MS = 3_600_000
const fromMs = computed(() => props.day.fromMs)
const toMs = computed(() => Math.max(props.day.toMs, ...props.day.runs.map(({ coolMs }) => coolMs)))
const at = (ms: number) => `${(((ms - fromMs.value) / (toMs.value - fromMs.value)) * 100).toFixed(3)}%`
const wide = (from: number, to: number) => `${(((to - from) / (toMs.value - fromMs.value)) * 100).toFixed(3)}%`
const hours = computed(() => {
  const every = toMs.value - fromMs.value > 8 * HOUR_MS ? 2 : 1
  const all: number[] = []
  for (let ms = Math.ceil(fromMs.value / HOUR_MS) * HOUR_MS; ms < toMs.value; ms += every * HOUR_MS) all.push(ms)
  return all
})
const { zone } = props.study.held
const rows = computed(() =>
  props.study.days.stations.map((station) => ({
    station,
    runs: props.day.runs.flatMap((times) => {
      const run = props.study.runs.find(({ id }) => id === times.id)!
      return run.station === station ? [{ ...times, label: labelOfRun(props.study, run) }] : []
    }),
  })),
)
const summary = computed(
  () =>
    `${dayWords(props.day.day)}: ${props.day.runs.length} runs, from ${clockInZone(fromMs.value, zone)}. The list beneath has each.`,
)
</script>

<template>
  <div class="plan-day" role="img" :aria-label="summary">
    <span />
    <div class="relative h-5">
      <span v-for="ms in hours" :key="ms" class="plan-hour figures" :style="{ left: at(ms) }">{{
        clockInZone(ms, zone)
      }}</span>
    </div>
    <template v-for="row in rows" :key="row.station">
      <span class="self-center pr-2" dir="auto">{{ row.station }}</span>
      <svg class="plan-row" aria-hidden="true">
        <defs>
          <pattern id="plan-cool" width="8" height="10" patternUnits="userSpaceOnUse">
            <path d="M0 10L8 0" class="plan-hatch" />
          </pattern>
        </defs>
        <line v-for="ms in hours" :key="ms" :x1="at(ms)" :x2="at(ms)" y1="0" y2="100%" class="plan-grid" />
        <line x1="0" x2="100%" y1="100%" y2="100%" class="plan-base" />
        <g v-for="run in row.runs" :key="run.id" :data-planned="run.id">
          <text :x="at(run.lightMs)" y="16">{{ run.label }}</text>
          <rect :x="at(run.outMs)" y="22" :width="wide(run.outMs, run.coolMs)" height="10" fill="url(#plan-cool)" />
          <rect :x="at(run.lightMs)" y="22" :width="wide(run.lightMs, run.outMs)" height="10" class="plan-burn" />
          <line :x1="at(run.prepareMs)" :x2="at(run.doneMs)" y1="40" y2="40" class="plan-person" />
        </g>
      </svg>
    </template>
  </div>
</template>
