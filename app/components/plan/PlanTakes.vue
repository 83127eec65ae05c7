<script setup lang="ts">
import { litresFromMass } from '#core/water/liquid'
import { cautionsFor } from '#shared/cautions'
import type { StudyPage } from '#shared/plan'
import type { LaidOut } from '~/composables/usePlannedDays'

/** What it takes, and what is to be minded. */
const props = defineProps<{ study: StudyPage; laidOut: LaidOut | null }>()
const { zone } = props.study.held
const { units } = usePreferences()
const rows = computed(() => {
  const { study, laidOut } = props
  const last = laidOut?.days.findLast(({ finish }) => finish !== null)
  return [
    { what: 'runs', how: String(study.runs.length) },
    ...(last ? [{ what: 'done by, 9 in 10', how: whenDone(last.day, last.finish!.nineInTenMs) }] : []),
    ...(study.fuelKg === null ? [] : [{ what: 'fuel, about', how: shown(study.fuelKg, 'mass', units.value) }]),
    { what: 'water', how: shown(litresFromMass(study.waterKg) / 1000, 'volume', units.value) },
  ]
})
function whenDone(day: string, ms: number): string {
  const clock = clockInZone(ms, zone)
  return props.study.days.days.length > 1 ? `${weekdayWord(day)} ${clock}` : clock
}
const minutes = (s: number) => `${Math.round(s / 60)} min`
const waits = computed(() => {
  const burners = Math.max(...props.study.waits.map(({ burner }) => burner.s))
  const pots = Math.max(...props.study.waits.map(({ pot }) => pot.s))
  const how = props.study.days.cooledInWater ? 'pot, in water' : 'pot'
  return `Hardware cools about ${minutes(burners)} (burner) and ${minutes(pots)} (${how}) before its next run.`
})
const isPoured = computed(() => ['alcohol', 'gel', 'liquid'].includes(props.study.held.fuelForm ?? ''))
</script>

<template>
  <section aria-label="What it takes">
    <h2 class="mb-2">What it takes</h2>
    <dl class="plan-takes">
      <template v-for="row in rows" :key="row.what">
        <dt>{{ row.what }}</dt>
        <dd class="figures">{{ row.how }}</dd>
      </template>
    </dl>
    <CautionBox v-if="isPoured" as="p" class="mt-3"
      ><strong>Refuel only when cold</strong>: about
      {{ minutes(Math.max(...study.waits.map(({ burner }) => burner.s))) }} after each burn. It cannot be
      shortened.</CautionBox
    >
    <CautionBox as="ul" class="mt-3 grid gap-1">
      <li v-for="caution in cautionsFor(study.held.fuelKind)" :key="caution">{{ caution }}</li>
      <li>Indoors only with ventilation and a CO alarm, and where the maker permits it.</li>
    </CautionBox>
    <p class="mt-3 text-ink-2">{{ waits }}</p>
  </section>
</template>
