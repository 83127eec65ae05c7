<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { LANES, type Preparation, type LaneName } from '#shared/benchAct'
import type { KitChoices } from '#shared/kitChoices'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import { REHEARSAL_SPEEDS, REHEARSAL_STOVES, STOVE_WORDS, usualStove } from '#shared/rehearsal'
import { READING_INSTRUMENTS } from '#shared/typedRun'
import type { WindSurvey } from '#shared/windSurvey'
import { BOIL } from '#core/method/shipped'
import { SETTINGS } from '#core/formats/document'

/** A lane set up for the next run. The last one's choices stand already: a series is the same again. */
useHead({ title: 'Prepare a lane · Vulcanum' })
const route = useRoute()
const bench = useBench()
const { units } = usePreferences()
const { now, moveTo } = useNowConditions()
const choices = shallowRef<KitChoices | null>(null)
const preparation = ref<Preparation | null>(null)
const last = useLocalStorage<Partial<Preparation>>('vulcanum.bench.last', {})
const unreadable = ref('')
const tried = ref(false)

onMounted(async () => {
  await bench.start()
  const asked = LANES.find((name) => name === route.query.lane) ?? 'A'
  const lane: LaneName = bench.laneAt(asked) === null ? asked : (bench.freeLane ?? 'A')
  try {
    choices.value = await readChoices()
    preparation.value = {
      ...firstPreparation(choices.value, lane),
      ...stillThere(choices.value, last.value),
      lane,
      overrides: {},
      measured: { ...emptyMeasured(), ...fromStrip() },
    }
    const again = choices.value.setups.find((one) => one.id === route.query.setup)
    if (again) preparation.value.setupId = again.id
    if (preparation.value.placeId === null) preparation.value.placeId = now.value?.place?.id ?? null
    if ('rehearse' in route.query) rehearse(true)
  } catch {
    unreadable.value =
      'The kit could not be read: the server does not answer, and this browser never saw it. Try again when it is back.'
  }
})

/** Of the last lane's choices, those that are still in the lists. */
function stillThere(kit: KitChoices, before: Partial<Preparation>): Partial<Preparation> {
  const lists: Partial<Record<keyof Preparation, { id: string }[]>> = {
    setupId: kit.setups,
    fuelBatchId: kit.fuels,
    methodId: kit.methods,
    personId: kit.people,
    placeId: kit.places,
    containerId: kit.containers,
  }
  return Object.fromEntries(
    Object.entries(before).filter(
      ([key, value]) => !(key in lists) || lists[key as keyof Preparation]!.some((one) => one.id === value),
    ),
  )
}
/** What the strip says of this hour is this run's reading too. */
const FRESH_MS = 60 * 60_000
function fromStrip(): Partial<Record<MeasuredQuantity, string>> {
  return Object.fromEntries(
    (now.value?.readings ?? [])
      .filter(
        (one) => (one.quantity === 'air' || one.quantity === 'wind') && Date.now() - Date.parse(one.readAt) < FRESH_MS,
      )
      .map((one) => [one.quantity, one.typed]),
  )
}

const method = computed(() => choices.value?.methods.find((one) => one.id === preparation.value?.methodId) ?? null)
const WEIGHED_THERE: MeasuredQuantity[] = [
  'fuelBefore',
  'fuelAfter',
  'fuelLeftover',
  'waterLast',
  'waterEndMass',
  'char',
  'fuelUsed',
]
const boxes = computed<MeasuredQuantity[]>(() => {
  const { must, may } = method.value?.body ?? BOIL
  const wanted = [...must, ...may].filter(
    (one): one is MeasuredQuantity => one in MEASURED_QUANTITIES && !WEIGHED_THERE.includes(one as MeasuredQuantity),
  )
  return [...new Set<MeasuredQuantity>(['water', 'waterStart', 'air', 'wind', ...wanted])].filter((one) =>
    wanted.includes(one),
  )
})
const named = (list: { id: string; name: string }[]) => list.map(({ id, name }) => ({ value: id, label: name }))
const problem = computed(() =>
  choices.value && preparation.value ? preparationProblem(choices.value, preparation.value) : null,
)
const problemAt = (path: string) => (tried.value && problem.value?.path === path ? problem.value.text : undefined)
const containers = computed(() =>
  choices.value!.containers.filter((one) => one.batchId === preparation.value!.fuelBatchId),
)
watch(
  () => preparation.value?.methodId,
  () => {
    if (preparation.value) preparation.value.test = method.value?.body.test ?? 'boil'
  },
)

/** What is rehearsed is read off the stand-ins, not off this hour's air. */
function rehearse(is: boolean) {
  const { value: one } = preparation
  if (!one) return
  one.rehearsal = is
    ? {
        stove: usualStove(choices.value?.fuels.find((each) => each.id === one.fuelBatchId)?.kind ?? null),
        speed: 1,
        trouble: false,
      }
    : null
  const read = fromStrip()
  for (const quantity of ['air', 'wind'] as const)
    one.measured[quantity] = is ? '' : (read[quantity] ?? one.measured[quantity])
}
watch(
  () => preparation.value?.fuelBatchId,
  (id) => {
    if (preparation.value?.rehearsal)
      preparation.value.rehearsal.stove = usualStove(choices.value?.fuels.find((each) => each.id === id)?.kind ?? null)
  },
)

/** What the newest wind survey of the place says of each station and step. */
const surveys = shallowRef<WindSurvey[]>([])
watch(
  () => preparation.value?.placeId ?? null,
  async (placeId) => {
    surveys.value = []
    if (placeId === null) return
    // Without the server a lane is prepared all the same.
    const found = await $fetch<WindSurvey[]>(`/api/kit/places/${placeId}/surveys`).catch(() => [])
    // Another place may have been chosen meanwhile.
    if (preparation.value?.placeId === placeId) surveys.value = found
  },
)
const fanWinds = computed(() =>
  (surveys.value[0]?.cells ?? []).map(({ station, step, windMS, typed }) => ({
    value: `${station}, ${step}`,
    label: `${station}, ${step}: ${shown(windMS, 'wind', units.value)}`,
    typed,
  })),
)

async function setUp() {
  tried.value = true
  if (!choices.value || !preparation.value || problem.value) return
  const { setupId, fuelBatchId, methodId, personId, placeId, containerId, setting, instruments, test } =
    preparation.value
  last.value = { setupId, fuelBatchId, methodId, personId, placeId, containerId, setting, instruments, test }
  await prepareLane(bench, choices.value, preparation.value)
  // Where nothing was said yet, this is where one is. Without the server the strip stays as it is.
  if (placeId !== null && !preparation.value.rehearsal && now.value?.place === null) await moveTo(placeId, units.value)
  await navigateTo('/bench')
}
</script>

<template>
  <div class="max-w-4xl">
    <h1 class="mb-3">Prepare lane {{ preparation?.lane ?? '' }}</h1>
    <p v-if="unreadable" role="alert" class="font-bold">
      {{ unreadable }}
    </p>
    <form
      v-if="choices && preparation"
      class="enamel grid gap-x-8 gap-y-2 p-4 md:grid-cols-2"
      aria-label="Lane"
      novalidate
      @submit.prevent="setUp"
    >
      <div class="grid content-start gap-2">
        <ChoiceBox
          v-model="preparation.methodId"
          label="Method"
          :choices="named(choices.methods)"
          empty="By no method"
        />
        <ChoiceBox
          v-model="preparation.setupId"
          label="Set-up"
          :choices="named(choices.setups)"
          :problem="problemAt('setupId')"
        />
        <ChoiceBox
          v-model="preparation.fuelBatchId"
          label="Fuel"
          :choices="choices.fuels.map((one) => ({ value: one.id, label: `${one.fuel}, ${one.batch}` }))"
          :problem="problemAt('fuelBatchId')"
        />
        <ChoiceBox
          v-if="containers.length && !preparation.rehearsal"
          v-model="preparation.containerId"
          label="Burned from"
          :choices="named(containers)"
          empty="No container named"
        />
        <ChoiceBox
          v-model="preparation.personId"
          label="Who"
          :choices="named(choices.people)"
          :problem="problemAt('personId')"
        />
        <ChoiceBox
          v-model="preparation.placeId"
          label="Place"
          :choices="named(choices.places)"
          empty="Nowhere in the list"
        />
        <PlaceAsked v-if="!preparation.rehearsal" :place-id="preparation.placeId" :places="choices.places" />
        <ChoiceBox
          v-model="preparation.setting"
          label="Setting"
          :choices="SETTINGS.map((one) => ({ value: one, label: one }))"
        />
        <ChoiceBox
          v-for="one in READING_INSTRUMENTS.filter(
            (measures) => !preparation!.rehearsal && choices!.instruments.some((each) => each.measures === measures),
          )"
          :key="one"
          v-model="preparation.instruments[one]"
          :label="INSTRUMENT_NAMES[one]"
          :choices="named(choices.instruments.filter((each) => each.measures === one))"
        />
        <label v-if="!preparation.rehearsal" class="flex items-center gap-2"
          ><input v-model="preparation.breakIn" type="checkbox" /> First burn of a new burner: it does not count</label
        >
        <fieldset class="mt-2 grid gap-2 border-t border-edge pt-2">
          <label class="flex items-center gap-2"
            ><input
              type="checkbox"
              :checked="preparation.rehearsal !== null"
              @change="rehearse(($event.target as HTMLInputElement).checked)"
            />
            Rehearse it: a simulated stove stands in, and nothing burns</label
          >
          <template v-if="preparation.rehearsal">
            <ChoiceBox
              v-model="preparation.rehearsal.stove"
              label="What stands in"
              :choices="REHEARSAL_STOVES.map((one) => ({ value: one, label: STOVE_WORDS[one] }))"
            />
            <ChoiceBox
              :model-value="String(preparation.rehearsal.speed)"
              label="Time runs"
              :choices="
                REHEARSAL_SPEEDS.map((one) => ({
                  value: String(one),
                  label: one === 1 ? 'as a stove’s' : `${one} times as fast`,
                }))
              "
              @update:model-value="
                (speed) => {
                  preparation!.rehearsal!.speed = Number(speed)
                }
              "
            />
            <label class="flex items-center gap-2"
              ><input v-model="preparation.rehearsal.trouble" type="checkbox" /> The wind may blow the flame out</label
            >
            <p v-if="preparation.test === 'snow'" class="bg-caution p-2 text-on-caution">
              The stand-in knows no snow: cold water stands for it.
            </p>
            <p class="text-ink-2">
              The lane shows what the instruments read and what you would see. At the end your calls are held against
              what happened; the run stays out of every measured figure.
            </p>
          </template>
        </fieldset>
      </div>
      <div class="grid content-start gap-2">
        <ChoiceBox
          v-if="fanWinds.length && !preparation.rehearsal"
          :model-value="fanWinds.find((one) => one.typed === preparation!.measured.wind)?.value ?? null"
          label="Fan"
          :choices="fanWinds"
          empty="No fan"
          @update:model-value="
            (chosen) => {
              preparation!.measured.wind = fanWinds.find((one) => one.value === chosen)?.typed ?? ''
            }
          "
        />
        <QuantityBox
          v-for="one in boxes"
          :key="one"
          v-model="preparation.measured[one]"
          :label="MEASURED_NAMES[one]"
          :kind="MEASURED_QUANTITIES[one]"
          :units="units"
          :hint="
            one === 'waterStart'
              ? 'No thermometer? Stir ice in the water for five minutes and take it out: type 0.5 °C.'
              : undefined
          "
        />
        <p class="text-ink-2">All of these can be read later, on the lane.</p>
        <div v-if="tried && problem?.path === 'overrides.burnerAndFuel'">
          <p role="alert" class="bg-caution p-2 text-on-caution">
            {{ problem.text }}
          </p>
        </div>
        <TextBox
          v-if="tried && (problem?.path === 'overrides.burnerAndFuel' || preparation.overrides.burnerAndFuel)"
          label="Go on, because"
          :model-value="preparation.overrides.burnerAndFuel ?? ''"
          @update:model-value="
            (text) => {
              preparation!.overrides = { burnerAndFuel: String(text) }
            }
          "
        />
      </div>
      <p class="flex gap-3 md:col-span-2">
        <button type="submit" class="act min-h-16 px-8 text-lg">Arm lane {{ preparation.lane }}</button>
        <NuxtLink to="/bench" class="act-quiet min-h-16">To the bench</NuxtLink>
      </p>
    </form>
  </div>
</template>
