<script setup lang="ts">
import type { KitChoices } from '#shared/kitChoices'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import { TIME_NAMES, type TypedEventKind, type TypedRun } from '#shared/typedRun'

/** The form of a typed boil test, in the order of the work. */
const props = defineProps<{ kit: KitChoices, problemAt: (path: string) => string | undefined, problems: number, saving: boolean }>()
const typed = defineModel<TypedRun>({ required: true })
const emit = defineEmits<{ left: [path: string], save: [] }>()
const notesId = useId()
const dateId = useId()
const reasonId = useId()

const box = (quantity: MeasuredQuantity) => ({
  label: MEASURED_NAMES[quantity], kind: MEASURED_QUANTITIES[quantity], units: typed.value.units, problem: props.problemAt(`measured.${quantity}`), onLeft: () => emit('left', `measured.${quantity}`),
})
const time = (kind: TypedEventKind) => ({
  label: TIME_NAMES[kind], kind: 'clockTime' as const, units: typed.value.units, problem: props.problemAt(`times.${kind}`), example: 'm:ss', onLeft: () => emit('left', `times.${kind}`),
})
const people = computed(() => props.kit.people.map(({ id, name }) => ({ value: id, label: name })))
const places = computed(() => props.kit.places.map(({ id, name, altitudeM }) => ({ value: id, label: altitudeM === null ? name : `${name}, ${altitudeM} m` })))
const setups = computed(() => props.kit.setups.map(({ id, name, parts }) => ({ value: id, label: `${name} (${parts.map(part => part.name).join(', ')})` })))
const fuels = computed(() => props.kit.fuels.map(({ id, fuel, batch }) => ({ value: id, label: `${fuel}, ${batch}` })))
const placeAltitude = computed(() => props.kit.places.find(place => place.id === typed.value.placeId)?.altitudeM ?? null)
</script>

<template>
  <form class="enamel grid grid-cols-1 gap-x-8 gap-y-6 p-4 lg:grid-cols-2" novalidate @submit.prevent="emit('save')">
    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">
        Where and when
      </legend>
      <ChoiceBox v-model="typed.placeId" label="Place" :choices="places" empty="Somewhere else: type its altitude" :problem="problemAt('placeId')" />
      <QuantityBox v-model="typed.measured.altitude" v-bind="box('altitude')" example="700 ft, 940 m" :hint="placeAltitude === null ? undefined : `${placeAltitude} m unless typed`" />
      <QuantityBox v-model="typed.measured.stationPressure" v-bind="box('stationPressure')" example="905.1 hPa" hint="If read here. It beats the altitude." />
      <QuantityBox v-model="typed.measured.seaLevelPressure" v-bind="box('seaLevelPressure')" example="1013 hPa" hint="What weather reports give." />
      <QuantityBox v-model="typed.measured.air" v-bind="box('air')" example="11 °C, 52F" />
      <QuantityBox v-model="typed.measured.wind" v-bind="box('wind')" example="calm, 8 mph" hint="At the pot." />
      <div class="grid grid-cols-[6.5rem_minmax(0,1fr)] sm:grid-cols-[9rem_minmax(0,1fr)] items-start gap-x-3">
        <label :for="dateId" class="pt-1.5">Date and time</label>
        <div>
          <input :id="dateId" v-model="typed.startedAt" type="datetime-local" class="figures max-w-full" :aria-invalid="problemAt('startedAt') ? 'true' : undefined" @blur="emit('left', 'startedAt')">
          <p v-if="problemAt('startedAt')" class="mt-1 font-bold" role="alert">
            {{ problemAt('startedAt') }}
          </p>
        </div>
      </div>
      <ChoiceBox v-model="typed.personId" label="Who" :choices="people" :problem="problemAt('personId')" />
    </fieldset>

    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">
        Kit, water and fuel
      </legend>
      <ChoiceBox v-model="typed.setupId" label="Set-up" :choices="setups" :problem="problemAt('setupId')" />
      <QuantityBox v-model="typed.measured.water" v-bind="box('water')" example="473 g, 2 cups" />
      <QuantityBox v-model="typed.measured.waterStart" v-bind="box('waterStart')" example="9.2 °C, 56F" />
      <ChoiceBox v-model="typed.fuelBatchId" label="Fuel" :choices="fuels" :problem="problemAt('fuelBatchId')" />
      <QuantityBox v-model="typed.measured.fuelBefore" v-bind="box('fuelBefore')" example="212.4 g" hint="Burner with fuel, or canister with burner on." />
      <QuantityBox v-model="typed.measured.fuelAfter" v-bind="box('fuelAfter')" example="204.1 g" hint="Cooled, wiped dry." />
      <QuantityBox v-model="typed.measured.fuelUsed" v-bind="box('fuelUsed')" example="8.6 g, 30 mL" hint="Instead of two weighings." />
      <QuantityBox v-model="typed.measured.scaleResolution" v-bind="box('scaleResolution')" example="0.1 g" />
    </fieldset>

    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">
        Times on one clock
      </legend>
      <slot name="stopwatch" />
      <QuantityBox v-model="typed.times.lit" v-bind="time('lit')" />
      <QuantityBox v-model="typed.times.bloomed" v-bind="time('bloomed')" />
      <QuantityBox v-model="typed.times.potOn" v-bind="time('potOn')" />
      <QuantityBox v-model="typed.times.firstBubbles" v-bind="time('firstBubbles')" />
      <QuantityBox v-model="typed.times.rollingBoil" v-bind="time('rollingBoil')" hint="A full rolling boil, by eye." />
      <QuantityBox v-model="typed.times.shutOff" v-bind="time('shutOff')" hint="Empty: shut off at the boil." />
    </fieldset>

    <fieldset class="grid grid-cols-1 content-start gap-2">
      <legend class="mb-2 font-bold">
        If it went otherwise
      </legend>
      <QuantityBox v-model="typed.times.flameOut" v-bind="time('flameOut')" />
      <QuantityBox v-model="typed.times.gaveUp" v-bind="time('gaveUp')" />
      <QuantityBox v-model="typed.times.stopped" v-bind="time('stopped')" hint="Rain, knocked over: no failure to boil." />
      <div class="grid grid-cols-[6.5rem_minmax(0,1fr)] gap-x-3 sm:grid-cols-[9rem_minmax(0,1fr)]">
        <label :for="reasonId" class="pt-1.5">What stopped it</label>
        <input :id="reasonId" v-model="typed.stoppedReason" class="w-full max-w-xs" autocomplete="off">
      </div>
      <QuantityBox v-model="typed.measured.waterLast" v-bind="box('waterLast')" hint="When it did not boil." />
      <label class="flex items-start gap-2"><input v-model="typed.takeBurnShare" type="checkbox" class="mt-1">
        <span>The flame ran on after the boil: take fuel to the boil as its share of burn time. Assumes an even flame.</span></label>
      <slot name="trace" />
      <div class="grid gap-1">
        <label :for="notesId">Notes</label>
        <textarea :id="notesId" v-model="typed.notes" rows="3" class="w-full" :aria-invalid="problemAt('notes') ? 'true' : undefined" @blur="emit('left', 'notes')" />
        <p v-if="problemAt('notes')" class="font-bold" role="alert">
          {{ problemAt('notes') }}
        </p>
      </div>
    </fieldset>

    <div class="flex flex-wrap items-center gap-4 border-t border-edge pt-4 lg:col-span-2">
      <button type="submit" class="act" :disabled="saving">
        {{ saving ? 'Saving' : 'Save and see the figure' }}
      </button>
      <p v-if="problems > 0" role="status">
        {{ problems === 1 ? 'One box wants another look.' : `${problems} boxes want another look.` }} Nothing typed is lost.
      </p>
    </div>
  </form>
</template>
