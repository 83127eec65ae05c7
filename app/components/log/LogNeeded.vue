<script setup lang="ts">
import type { KitChoices } from '#shared/kitChoices'
import type { TypedRun } from '#shared/typedRun'
import type { LogFormParts } from '~/composables/useLogForm'

/** What a run by this method cannot be without, in the order of the work. */
const props = defineProps<{ form: LogFormParts; kit: KitChoices }>()
const typed = defineModel<TypedRun>({ required: true })
const emit = defineEmits<{ left: [path: string] }>()
const { said, reading, time } = props.form
const needed = computed(() => neededOf(props.form.fields.value, typed.value.placeId === null))
const SETTING_CHOICES = ['low', 'medium', 'full'].map((value) => ({ value, label: value }))
const setting = computed({
  get: () => typed.value.setting || null,
  set: (value: string | null) => {
    typed.value.setting = (value ?? '') as TypedRun['setting']
  },
})
</script>

<template>
  <div class="log-columns">
    <fieldset class="grid grid-cols-1 content-start gap-1.5">
      <legend class="mb-1 font-bold">Where and when</legend>
      <ChoiceBox
        v-model="typed.placeId"
        label="Place"
        :choices="placeChoices(kit.places)"
        empty="Somewhere else: type its altitude"
        v-bind="said('placeId')"
        above
      />
      <LogReadings v-model="typed.measured" v-bind="reading(needed.where)" />
      <DateBox
        v-model="typed.startedAt"
        label="Date and time"
        timed
        above
        :problem="said('startedAt').problem"
        @left="emit('left', 'startedAt')"
      />
      <ChoiceBox
        v-model="typed.personId"
        label="Who"
        :choices="namedChoices(kit.people)"
        v-bind="said('personId')"
        above
      />
    </fieldset>
    <fieldset class="grid grid-cols-1 content-start gap-1.5">
      <legend class="mb-1 font-bold">Kit, water and fuel</legend>
      <ChoiceBox
        v-model="typed.setupId"
        label="Set-up"
        :choices="setupChoices(kit.setups)"
        v-bind="said('setupId')"
        above
      />
      <CautionBox v-for="warning in form.setup.value?.warnings ?? []" :key="warning" as="p" role="status">
        {{ warning }}
      </CautionBox>
      <LogReadings v-model="typed.measured" v-bind="reading(needed.water)" />
      <ChoiceBox
        v-model="typed.fuelBatchId"
        label="Fuel"
        :choices="fuelChoices(kit.fuels)"
        v-bind="said('fuelBatchId')"
        above
      />
      <CautionBox v-if="form.mismatch.value" role="alert" data-mismatch>
        <p class="font-bold">{{ form.mismatch.value }}</p>
        <label
          >Why it goes on all the same
          <input
            :value="typed.overrides.burnerAndFuel ?? ''"
            dir="auto"
            class="w-full"
            autocomplete="off"
            @input="typed.overrides = { ...typed.overrides, burnerAndFuel: ($event.target as HTMLInputElement).value }"
        /></label>
      </CautionBox>
      <ChoiceBox
        v-if="form.containers.value.length"
        v-model="typed.containerId"
        label="Burned from"
        :choices="namedChoices(form.containers.value)"
        empty="no canister of the list"
        v-bind="said('containerId')"
        above
      />
      <ChoiceBox
        v-model="setting"
        label="Flame"
        :choices="SETTING_CHOICES"
        empty="not said"
        v-bind="said('setting')"
        above
      />
    </fieldset>
    <fieldset class="grid grid-cols-1 content-start gap-1.5">
      <legend class="mb-1 font-bold">Weighings, and times on one clock</legend>
      <LogReadings v-model="typed.measured" v-bind="reading(needed.fuel)" />
      <QuantityBox v-for="kind in needed.times" :key="kind" v-model="typed.times[kind]" v-bind="time(kind)" />
      <slot name="stopwatch" />
    </fieldset>
  </div>
</template>
