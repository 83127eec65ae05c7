<script setup lang="ts">
import { burnerFuelMismatch } from '#core/kit/burnerFuel'
import type { KitChoices } from '#shared/kitChoices'
import { TIME_NAMES, type ReadingInstrument, type TypedEventKind, type TypedRun } from '#shared/typedRun'

/** The form of a run by its method, in the order of the work: what the method needs, and the rest one click away. */
const props = defineProps<{
  kit: KitChoices
  problemAt: (path: string) => string | undefined
  problems: number
  saving: boolean
  isTaken: (path: string) => boolean
  /** What the scale showed after the last run. */
  left: string | null
}>()
const typed = defineModel<TypedRun>({ required: true })
const emit = defineEmits<{ left: [path: string]; save: [] }>()
const method = computed(() => props.kit.methods.find((one) => one.id === typed.value.methodId) ?? null)
const fields = computed(() => logFields(method.value?.body ?? null, typed.value))
const chosenMethod = computed({
  get: () => typed.value.methodId,
  set: (id: string | null) => applyMethod(typed.value, props.kit.methods.find((one) => one.id === id) ?? null),
})

const time = (kind: TypedEventKind) => ({
  label: TIME_NAMES[kind],
  kind: 'clockTime' as const,
  units: typed.value.units,
  problem: props.problemAt(`times.${kind}`),
  example: 'm:ss',
  hint: TIME_HINTS[kind],
  onLeft: () => emit('left', `times.${kind}`),
})
const TIME_HINTS: Partial<Record<TypedEventKind, string>> = {
  rollingBoil: 'A full rolling boil, by eye.',
  shutOff: 'Empty: shut off at the boil.',
  stopped: 'Rain, knocked over: no failure to boil.',
}
const said = (path: string) => ({ problem: props.problemAt(path), taken: props.isTaken(path) })
const offers = computed(() => (props.left === null ? {} : { fuelBefore: { text: props.left, why: 'as it was left' } }))
const containers = computed(() =>
  props.kit.containers.filter((one) => one.batchId === typed.value.fuelBatchId || one.id === typed.value.containerId),
)
const setup = computed(() => props.kit.setups.find((one) => one.id === typed.value.setupId) ?? null)
const placeAltitude = computed(
  () => props.kit.places.find((place) => place.id === typed.value.placeId)?.altitudeM ?? null,
)
const mismatch = computed(() =>
  burnerFuelMismatch(
    setup.value?.burner ?? null,
    props.kit.fuels.find((one) => one.id === typed.value.fuelBatchId)?.kind ?? null,
  ),
)
const instruments = computed(() => instrumentChoices(props.kit.instruments))
const instrument = (measures: ReadingInstrument) => ({
  ...said(`instruments.${measures}`),
  modelValue: typed.value.instruments[measures] || null,
  'onUpdate:modelValue': (id: string | null) => {
    typed.value.instruments = { ...typed.value.instruments, [measures]: id ?? '' }
  },
})
const SETTING_CHOICES = [
  { value: 'low', label: 'low' },
  { value: 'medium', label: 'medium' },
  { value: 'full', label: 'full' },
]
const setting = computed({
  get: () => typed.value.setting || null,
  set: (value: string | null) => {
    typed.value.setting = (value ?? '') as TypedRun['setting']
  },
})
const reading = (group: ReadingGroup) => ({
  names: fields.value.readings[group],
  units: typed.value.units,
  problemAt: props.problemAt,
  isTaken: props.isTaken,
  offers: offers.value,
  onLeft: (path: string) => emit('left', path),
})
</script>

<template>
  <BasePanel
    as="form"
    class="grid grid-cols-1 gap-x-8 gap-y-6 lg:grid-cols-2"
    novalidate
    @submit.prevent="emit('save')"
  >
    <div class="flex flex-wrap items-start gap-x-6 gap-y-1 border-b border-edge pb-3 lg:col-span-2">
      <ChoiceBox
        v-model="chosenMethod"
        label="Method"
        :choices="namedChoices(kit.methods)"
        empty="By no method"
        v-bind="said('methodId')"
        class="max-w-lg"
      />
      <p v-if="method" class="max-w-xl flex-1 text-ink-2">
        {{ method.body.measures }} <NuxtLink :to="`/methods/${method.id}`">Its page</NuxtLink>
      </p>
    </div>
    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">Where and when</legend>
      <ChoiceBox
        v-model="typed.placeId"
        label="Place"
        :choices="placeChoices(kit.places)"
        empty="Somewhere else: type its altitude"
        v-bind="said('placeId')"
      />
      <LogReadings v-model="typed.measured" v-bind="reading('where')" :place-altitude-m="placeAltitude" />
      <TextBox
        v-model="typed.startedAt"
        label="Date and time"
        type="datetime-local"
        figures
        :problem="problemAt('startedAt')"
        @left="emit('left', 'startedAt')"
      />
      <ChoiceBox v-model="typed.personId" label="Who" :choices="namedChoices(kit.people)" v-bind="said('personId')" />
    </fieldset>

    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">Kit, water and fuel</legend>
      <ChoiceBox v-model="typed.setupId" label="Set-up" :choices="setupChoices(kit.setups)" v-bind="said('setupId')" />
      <CautionBox v-for="warning in setup?.warnings ?? []" :key="warning" as="p" class="font-bold" role="status">
        {{ warning }}
      </CautionBox>
      <LogReadings v-model="typed.measured" v-bind="reading('water')" />
      <ChoiceBox
        v-model="typed.fuelBatchId"
        label="Fuel"
        :choices="fuelChoices(kit.fuels)"
        v-bind="said('fuelBatchId')"
      />
      <CautionBox v-if="mismatch" role="alert" data-mismatch>
        <p class="font-bold">
          {{ mismatch }}
        </p>
        <label
          >Why it goes on all the same
          <input
            :value="typed.overrides.burnerAndFuel ?? ''"
            dir="auto"
            class="w-full max-w-md"
            autocomplete="off"
            @input="typed.overrides = { ...typed.overrides, burnerAndFuel: ($event.target as HTMLInputElement).value }"
        /></label>
      </CautionBox>
      <ChoiceBox
        v-if="containers.length"
        v-model="typed.containerId"
        label="Burned from"
        :choices="namedChoices(containers)"
        empty="no canister of the list"
        v-bind="said('containerId')"
      />
      <LogReadings v-model="typed.measured" v-bind="reading('fuel')" />
      <ChoiceBox v-model="setting" label="Flame" :choices="SETTING_CHOICES" empty="not said" v-bind="said('setting')" />
      <LogReadings v-model="typed.measured" v-bind="reading('claim')" />
    </fieldset>

    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">Times on one clock</legend>
      <slot name="stopwatch" :order="fields.order" />
      <QuantityBox v-for="kind in fields.times" :key="kind" v-model="typed.times[kind]" v-bind="time(kind)" />
      <LogLines v-model="typed.lines" :kinds="fields.lines" :problem-at="problemAt" />
    </fieldset>

    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">If it went otherwise, and after</legend>
      <QuantityBox v-for="kind in fields.otherwise" :key="kind" v-model="typed.times[kind]" v-bind="time(kind)" />
      <TextBox
        v-if="typed.times.stopped.trim() || fields.otherwise.includes('stopped')"
        v-model="typed.stoppedReason"
        label="What stopped it"
        :problem="problemAt('stoppedReason')"
      />
      <LogReadings v-model="typed.measured" v-bind="reading('after')" />
      <label class="flex items-start gap-2"
        ><input v-model="typed.takeBurnShare" type="checkbox" class="mt-1" />
        <span
          >The flame ran on after the boil: take fuel to the boil as its share of burn time. Assumes an even
          flame.</span
        ></label
      >
      <label class="flex items-start gap-2"
        ><input v-model="typed.breakIn" type="checkbox" class="mt-1" />{{ ' ' }}
        <span>First burn of a new burner: keep it, and leave it out of figures.</span></label
      >
      <slot name="trace" />
      <TextBox
        v-model="typed.notes"
        label="Notes"
        :lines="3"
        :problem="problemAt('notes')"
        @left="emit('left', 'notes')"
      />
    </fieldset>

    <details class="border-t border-edge pt-3 lg:col-span-2" data-rest>
      <summary class="cursor-pointer font-bold">
        Everything else that can be read or marked, and what it was read with
      </summary>
      <div class="mt-3 grid gap-x-8 gap-y-2 lg:grid-cols-2">
        <ChoiceBox
          v-for="one in instruments"
          :key="one.measures"
          v-bind="instrument(one.measures)"
          :label="INSTRUMENT_NAMES[one.measures]"
          :choices="one.choices"
          empty="not said"
        />
        <LogReadings
          v-model="typed.measured"
          :names="fields.restReadings"
          :units="typed.units"
          :problem-at="problemAt"
          @left="emit('left', $event)"
        />
        <QuantityBox v-for="kind in fields.restTimes" :key="kind" v-model="typed.times[kind]" v-bind="time(kind)" />
      </div>
    </details>

    <div class="flex flex-wrap items-center gap-4 border-t border-edge pt-4 lg:col-span-2">
      <BaseButton kind="main" type="submit" :disabled="saving">
        {{ saving ? 'Saving' : 'Save and see the figure' }}
      </BaseButton>
      <p v-if="problems > 0" role="status">
        {{ problems === 1 ? 'One box wants another look.' : `${problems} boxes want another look.` }} Nothing typed is
        lost.
      </p>
    </div>
  </BasePanel>
</template>
