<script setup lang="ts">
import type { MethodBody } from '#core/method/method'
import { schoolOf, SCHOOLS, type SchoolKey } from '#core/method/schools'
import { formatClock } from '#core/quantity/format'
import type { MethodPage } from '#shared/method'

/**
 * Every question testers disagree on: what this method does, and what the others would, with their figures of its
 * newest run.
 */
const props = defineProps<{ body: MethodBody; figures: MethodPage['figures'] }>()
const questions = computed(() =>
  (Object.keys(SCHOOLS) as SchoolKey[]).map((key) => ({ key, ...SCHOOLS[key], chosen: schoolOf(props.body, key) })),
)
function figureOf(key: SchoolKey, value: string): string {
  const found = props.figures?.schools.find((one) => one.key === key && one.value === value)
  if (!found) return ''
  if (key === 'correction')
    return found.normalisedGPerL === null ? '' : `normalised ${found.normalisedGPerL.toFixed(1)} g/L`
  return [
    found.timeToBoilS === null ? null : formatClock(found.timeToBoilS),
    found.gPerL === null ? null : `${found.gPerL.toFixed(1)} g/L`,
  ]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <BasePanel title="Where testers disagree" label="Schools">
    <p class="mb-2 text-ink-2">
      Marked is what this method does; beside each, what the others would.
      <template v-if="figures">
        Figures are those of its newest run,
        <NuxtLink :to="`/runs/${figures.run.id}`"
          >{{ figures.run.setup }}, {{ dateInZone(figures.run.startedAt, figures.run.zone) }}</NuxtLink
        >, read each way.
      </template>
    </p>
    <dl>
      <template v-for="one in questions" :key="one.key">
        <dt class="mt-3 font-bold">
          {{ one.question }}
        </dt>
        <dd>
          <ul>
            <li
              v-for="school in one.schools"
              :key="school.value"
              class="grid grid-cols-[1rem_minmax(0,1fr)_auto] gap-x-2"
              :data-school="`${one.key}.${school.value}`"
            >
              <span aria-hidden="true">{{ school.value === one.chosen ? '▸' : '' }}</span>
              <span
                ><strong v-if="school.value === one.chosen"
                  >{{ school.label }}<span class="sr-only"> (chosen)</span></strong
                ><template v-else>{{ school.label }}</template
                >. <span class="text-ink-2">{{ school.does }}</span></span
              >
              <span class="figures text-right whitespace-nowrap">{{ figureOf(one.key, school.value) }}</span>
            </li>
          </ul>
        </dd>
      </template>
    </dl>
  </BasePanel>
</template>
