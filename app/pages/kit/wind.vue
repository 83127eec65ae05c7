<script setup lang="ts">
import { send } from '~/api/send'
import { useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import type { FieldProblem } from '#shared/readProblems'
import { readSurvey, type TypedSurvey, type WindSurvey } from '#shared/windSurvey'

/**
 * A wind survey: the fan's steps at each station, read at the pot before a wind series; the newest of a place is
 * offered when a lane is prepared there.
 */
useHead({ title: 'Wind survey · Vulcanum' })
const route = useRoute()
const { units } = usePreferences()
const { now } = useNowConditions()
const { people, personId } = usePeople()
const { data: kit } = await useKit()
const placeId = ref<string | null>(
  typeof route.query.place === 'string'
    ? route.query.place
    : (now.value?.place?.id ?? kit.value?.places[0]?.id ?? null),
)
const { data: surveys, refresh } = await useFetch<WindSurvey[]>(() => `/api/kit/places/${placeId.value}/surveys`, {
  default: () => [],
  immediate: placeId.value !== null,
})
const newest = computed(() => surveys.value[0] ?? null)

/**
 * Kept in this browser on every keystroke: readings taken outdoors are not taken twice. Its id is the survey's: kept
 * twice it is one.
 */
const fresh = () => ({
  id: uuidv7(),
  fan: '',
  stations: ['Station 1', 'Station 2'],
  steps: ['Step 1', 'Step 2', 'Step 3'],
  cells: {} as Record<string, string>,
})
const draft = useLocalStorage('vulcanum.windSurvey', fresh(), { initOnMounted: true })
const problems = ref<FieldProblem[]>([])
const said = ref('')
const keyOf = (station: number, step: number) => `${station}.${step}`
/**
 * The last survey's fan, stations and steps stand already: a series is the same again. What was typed stays, on another
 * place too.
 */
function fromNewest() {
  if (Object.values(draft.value.cells).some((typed) => typed.trim() !== '')) return
  const last = newest.value
  draft.value = last
    ? { ...fresh(), fan: last.fan, stations: namesOf(last, 'station'), steps: namesOf(last, 'step') }
    : fresh()
}
onMounted(() => watch(() => newest.value?.id, fromNewest, { immediate: true }))

const meter = useWindMeter()
function take(station: number, step: number) {
  if (meter.mean.value !== null) draft.value.cells[keyOf(station, step)] = `${meter.mean.value.toFixed(1)} m/s`
}
async function keep() {
  const { id, fan, stations, steps, cells } = draft.value
  const typed: TypedSurvey = {
    id,
    personId: personId.value,
    units: units.value,
    fan,
    cells: stations.flatMap((station, i) =>
      steps.map((step, j) => ({ station, step, typed: cells[keyOf(i, j)] ?? '' })),
    ),
  }
  const read = readSurvey(typed)
  problems.value = read.ok ? [] : read.problems
  if (!read.ok) return
  const sent = await send<WindSurvey[]>(`/api/kit/places/${placeId.value}/surveys`, 'POST', typed)
  problems.value = sent.ok ? [] : sent.problems
  if (!sent.ok) return
  said.value = 'Kept. It is offered as the wind when a lane is prepared here.'
  draft.value = fresh()
  await refresh()
}
const shownWind = (survey: WindSurvey, station: string, step: string) => {
  const cell = survey.cells.find((one) => one.station === station && one.step === step)
  return cell ? shown(cell.windMS, 'wind', units.value) : '–'
}
const namesOf = (survey: WindSurvey, of: 'station' | 'step') => [...new Set(survey.cells.map((cell) => cell[of]))]
</script>

<template>
  <div>
    <KitNav />
    <h1 class="mb-1">Wind survey</h1>
    <p class="mb-3 max-w-3xl text-ink-2">
      Before a wind series: hold the meter where the pot will stand, without a stove, at each station and step of the
      fan. Rotate burners over stations, so that no burner has the windy one.
    </p>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <BasePanel as="form" class="grid gap-3" label="Wind survey" novalidate @submit.prevent="keep">
        <ChoiceBox
          v-model="placeId"
          label="Place"
          :choices="(kit?.places ?? []).map((one) => ({ value: one.id, label: one.name }))"
        />
        <ChoiceBox v-model="personId" label="Who" :choices="people" />
        <TextBox v-model="draft.fan" label="Fan" example="box fan, 40 cm" />
        <p role="status" class="text-ink-2">
          <template v-if="meter.mean.value !== null">
            The wind meter sends: <span class="figures">{{ shown(meter.mean.value, 'wind', units) }}</span>, mean of ten
            seconds. </template
          ><template v-else> No wind meter sends; type what yours shows, such as 1.8 m/s or 4 mph. </template>
        </p>
        <div class="overflow-x-auto">
          <table class="border-collapse">
            <thead>
              <tr>
                <td />
                <th v-for="(_, j) in draft.steps" :key="j" class="p-1">
                  <input v-model="draft.steps[j]" :aria-label="`Name of step ${j + 1}`" class="w-32" />
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(station, i) in draft.stations" :key="i">
                <th class="p-1">
                  <input v-model="draft.stations[i]" :aria-label="`Name of station ${i + 1}`" class="w-32" />
                </th>
                <td v-for="(step, j) in draft.steps" :key="j" class="p-1">
                  <span class="flex gap-1"
                    ><input
                      v-model="draft.cells[keyOf(i, j)]"
                      :aria-label="`Wind at ${station}, ${step}`"
                      class="figures w-24"
                      inputmode="decimal"
                      autocomplete="off"
                    /><BaseButton
                      v-if="meter.mean.value !== null"
                      class="px-2"
                      :aria-label="`Take the meter at ${station}, ${step}`"
                      @click="take(i, j)"
                    >
                      Take
                    </BaseButton></span
                  >
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="flex flex-wrap gap-3">
          <BaseButton @click="draft.stations.push(`Station ${draft.stations.length + 1}`)">
            One more station
          </BaseButton>
          <BaseButton @click="draft.steps.push(`Step ${draft.steps.length + 1}`)"> One more step </BaseButton>
        </p>
        <BaseAlert v-for="problem in problems" :key="problem.path">
          {{ problem.text }}
        </BaseAlert>
        <p class="flex items-center gap-3">
          <BaseButton kind="main" type="submit">Keep this survey</BaseButton> <span role="status">{{ said }}</span>
        </p>
      </BasePanel>
      <div class="grid gap-3">
        <BasePanel
          v-for="survey in surveys"
          :key="survey.id"
          tight
          class="overflow-x-auto"
          :label="`Survey of ${dateInZone(survey.createdAt, 'UTC')}`"
        >
          <template #title>
            {{ survey.id === newest?.id ? 'The newest' : 'Before' }}
          </template>
          <p class="text-ink-2">
            <span dir="auto">{{ survey.fan }}</span>, {{ dateInZone(survey.createdAt, 'UTC') }}, {{ survey.person }}
          </p>
          <table class="w-full">
            <thead>
              <tr class="text-left">
                <td />
                <th v-for="step in namesOf(survey, 'step')" :key="step" class="text-right">{{ step }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="station in namesOf(survey, 'station')" :key="station" class="border-t border-edge">
                <th class="text-left font-normal">{{ station }}</th>
                <td v-for="step in namesOf(survey, 'step')" :key="step" class="figures text-right">
                  {{ shownWind(survey, station, step) }}
                </td>
              </tr>
            </tbody>
          </table>
        </BasePanel>
        <p v-if="surveys.length === 0" class="text-ink-2">No survey was made here yet.</p>
      </div>
    </div>
  </div>
</template>
