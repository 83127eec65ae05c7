<script setup lang="ts">
import { SETTINGS } from '#core/formats/document'
import { fuelAgeText } from '#core/kit/fuelAge'

/** A lane set up for the next run. */
useHead({ title: 'Prepare a lane · Vulcanum' })
const { choices, preparation, unreadable, method, rehearse, arm, taken, beginEmpty } = usePreparation()
const { like, some, undo } = taken
const { units } = usePreferences()
const tried = ref(false)
const problem = computed(() =>
  choices.value && preparation.value ? preparationProblem(choices.value, preparation.value, units.value) : null,
)
const problemAt = (path: string) => (tried.value && problem.value?.path === path ? problem.value.text : undefined)
const said = (path: string) => ({ problem: problemAt(path), taken: taken.has(path) })
const containers = computed(() =>
  choices.value!.containers.filter((one) => one.batchId === preparation.value!.fuelBatchId),
)
/** An opened fuel that has lost something since. */
const fuelAge = computed(() => {
  const fuel = choices.value?.fuels.find((one) => one.id === preparation.value?.fuelBatchId)
  return fuel ? fuelAgeText(fuel.kind, fuel.openedOn, Date.now()) : null
})
/** Why a burner goes with a fuel that it was not made for. */
const because = computed({
  get: () => preparation.value?.overrides.burnerAndFuel ?? '',
  set: (text: string) => {
    preparation.value!.overrides = { burnerAndFuel: text }
  },
})

async function setUp() {
  tried.value = true
  if (problem.value) return
  await arm()
  await navigateTo('/bench')
}
</script>

<template>
  <div class="max-w-4xl">
    <h1 class="mb-3">Prepare lane {{ preparation?.lane ?? '' }}</h1>
    <BaseAlert v-if="unreadable">
      {{ unreadable }}
    </BaseAlert>
    <TakenLine v-if="like" :like="like" :some="some" :undo="undo" class="mb-2" @clear="beginEmpty" />
    <BasePanel
      v-if="choices && preparation"
      as="form"
      class="grid gap-x-8 gap-y-2 md:grid-cols-2"
      label="Lane"
      novalidate
      @submit.prevent="setUp"
    >
      <div class="grid content-start gap-2">
        <ChoiceBox
          v-model="preparation.methodId"
          label="Method"
          v-bind="said('methodId')"
          :choices="namedChoices(choices.methods)"
          empty="By no method"
        />
        <ChoiceBox
          v-model="preparation.setupId"
          label="Set-up"
          :choices="namedChoices(choices.setups)"
          v-bind="said('setupId')"
        />
        <ChoiceBox
          v-model="preparation.fuelBatchId"
          label="Fuel"
          :choices="fuelChoices(choices.fuels)"
          :hint="fuelAge ?? undefined"
          v-bind="said('fuelBatchId')"
        />
        <ChoiceBox
          v-if="containers.length && !preparation.rehearsal"
          v-model="preparation.containerId"
          label="Burned from"
          v-bind="said('containerId')"
          :choices="namedChoices(containers)"
          empty="No container named"
        />
        <ChoiceBox
          v-model="preparation.personId"
          label="Who"
          :choices="namedChoices(choices.people)"
          v-bind="said('personId')"
        />
        <ChoiceBox
          v-model="preparation.placeId"
          label="Place"
          v-bind="said('placeId')"
          :choices="namedChoices(choices.places)"
          empty="Nowhere in the list"
        />
        <PlaceAsked v-if="!preparation.rehearsal" :place-id="preparation.placeId" :places="choices.places" />
        <ChoiceBox
          :model-value="preparation.setting || null"
          label="Setting"
          v-bind="said('setting')"
          :choices="SETTINGS.map((one) => ({ value: one, label: one }))"
          empty="not said"
          @update:model-value="preparation.setting = ($event ?? '') as typeof preparation.setting"
        />
        <template v-if="!preparation.rehearsal">
          <ChoiceBox
            v-for="one in instrumentChoices(choices.instruments)"
            :key="one.measures"
            v-model="preparation.instruments[one.measures]"
            v-bind="said(`instruments.${one.measures}`)"
            :label="INSTRUMENT_NAMES[one.measures]"
            :choices="one.choices"
          />
        </template>
        <label v-if="!preparation.rehearsal" class="flex items-center gap-2"
          ><input v-model="preparation.breakIn" type="checkbox" /> First burn of a new burner: it does not count</label
        >
        <PrepareRehearsal v-model="preparation" @rehearse="rehearse" />
      </div>
      <div class="grid content-start gap-2">
        <PrepareReadings v-model="preparation" :method="method?.body ?? null" :tried="tried" :is-taken="taken.has" />
        <div v-if="tried && problem?.path === 'overrides.burnerAndFuel'">
          <CautionBox as="p" role="alert">
            {{ problem.text }}
          </CautionBox>
        </div>
        <TextBox
          v-if="tried && (problem?.path === 'overrides.burnerAndFuel' || preparation.overrides.burnerAndFuel)"
          v-model="because"
          label="Go on, because"
        />
      </div>
      <p class="flex gap-3 md:col-span-2">
        <BaseButton kind="main" glove type="submit" class="px-8 text-lg">Arm lane {{ preparation.lane }}</BaseButton>
        <BaseButton glove to="/bench">To the bench</BaseButton>
      </p>
    </BasePanel>
  </div>
</template>
