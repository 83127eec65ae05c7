<script setup lang="ts">
import type { KitChoices } from '#shared/kitChoices'
import { TURNS } from '#shared/plan'

/** What is compared, what is kept the same, and when, where and by whom it is burned. */
const props = defineProps<{ kit: KitChoices; problems: PlanProblems; button: string }>()
const form = defineModel<PlanForm>({ required: true })
const emit = defineEmits<{ send: [] }>()
const { units } = usePreferences()
const named = (list: readonly { id: string; name: string }[]) =>
  list.map(({ id, name }) => ({ value: id, label: name }))
const setups = computed(() => named(props.kit.setups))
const methods = computed(() => named(props.kit.methods))
const places = computed(() => named(props.kit.places))
const fuels = computed(() => props.kit.fuels.map(({ id, fuel, batch }) => ({ value: id, label: `${fuel}, ${batch}` })))
const containers = computed(() => props.kit.containers.filter(({ batchId }) => batchId === form.value.fuelBatchId))
const LEVELS = [
  { value: 'wind', label: 'wind at the pot' },
  { value: 'setting', label: 'the valve’s setting' },
  { value: 'volume', label: 'how much water' },
  { value: 'air', label: 'how cold the air is' },
]
const EXAMPLES = {
  wind: '0, 1.8 m/s, 3.6 m/s',
  setting: 'low, medium, full',
  volume: '250 mL, 500 mL, 1 L',
  air: '-10 °C, 0 °C, 10 °C',
}
const SETTING_CHOICES = [
  { value: 'low', label: 'low' },
  { value: 'medium', label: 'medium' },
  { value: 'full', label: 'full' },
]
const TURN_WORDS = {
  block: 'a block at each, in turn',
  turn: 'change places with each block',
  arm: 'each arm keeps its own',
}
const turns = TURNS.map((value) => ({ value, label: TURN_WORDS[value] }))
const letters = 'ABCDEFGHIJKL'
/** A method brings its water and its start. */
function choose(methodId: string | null) {
  form.value.methodId = methodId
  const body = props.kit.methods.find(({ id }) => id === methodId)?.body
  if (body === undefined) return
  if (body.waterKg !== null) form.value.water = `${Math.round(body.waterKg * 1000)} g`
  const { low, high } = body.startC
  if (low !== null && high !== null) form.value.start = `${(low + high) / 2} °C`
}
const toggled = (ids: string[], id: string, is: boolean) => (is ? [...ids, id] : ids.filter((one) => one !== id))
const problemAt = (path: string) =>
  props.problems[path] ??
  Object.entries(props.problems).find(([key]) => key.startsWith(`${path}[`) || key.startsWith(`${path}.`))?.[1]
</script>

<template>
  <form class="grid items-start gap-3 lg:grid-cols-2" @submit.prevent="emit('send')">
    <BasePanel tight title="What is compared">
      <div class="grid gap-2">
        <ChoiceBox
          v-for="(_, i) in form.setupIds"
          :key="i"
          v-model="form.setupIds[i]!"
          :label="`${letters[i]}`"
          :choices="setups"
          :problem="problems[`setupIds[${i}]`] ?? (i === 0 ? problems.setupIds : undefined)"
        />
        <p class="flex flex-wrap gap-2">
          <BaseButton kind="plain" @click="form.setupIds.push('')">Another set-up</BaseButton>
          <BaseButton v-if="form.setupIds.length > 1" kind="plain" @click="form.setupIds.pop()"
            >Without {{ letters[form.setupIds.length - 1] }}</BaseButton
          >
        </p>
        <ChoiceBox v-model="form.levelOf" label="Varied besides" empty="nothing" :choices="LEVELS" />
        <TextBox
          v-if="form.levelOf"
          v-model="form.levels"
          label="Levels"
          :example="EXAMPLES[form.levelOf]"
          :problem="problemAt('levels')"
        />
        <TextBox
          v-model="form.differencePct"
          label="Worth seeing, %"
          figures
          hint="The smallest difference that would change what you do."
          :problem="problemAt('difference')"
        />
        <TextBox v-model="form.replicates" label="Runs of each" figures :problem="problemAt('replicates')" />
      </div>
    </BasePanel>
    <BasePanel tight title="Kept the same">
      <div class="grid gap-2">
        <ChoiceBox
          :model-value="form.methodId"
          label="Method"
          :choices="methods"
          :problem="problemAt('held.methodId')"
          @update:model-value="choose"
        />
        <ChoiceBox v-model="form.fuelBatchId" label="Fuel" :choices="fuels" :problem="problemAt('held.fuelBatchId')" />
        <ChoiceBox v-model="form.placeId" label="Place" :choices="places" :problem="problemAt('held.placeId')" />
        <QuantityBox
          v-model="form.water"
          label="Water"
          kind="water"
          :units="units"
          :problem="problemAt('held.waterKg')"
        />
        <QuantityBox
          v-model="form.start"
          label="Start"
          kind="waterTemp"
          :units="units"
          :problem="problemAt('held.startC')"
        />
        <ChoiceBox v-model="form.setting" label="Setting" empty="not said" :choices="SETTING_CHOICES" />
        <CheckBox v-model="form.cooledInWater" label="The pot is cooled in water and dried" />
      </div>
    </BasePanel>
    <BasePanel tight title="When, where, by whom" class="lg:col-span-2">
      <div class="grid gap-2 lg:grid-cols-2">
        <DateBox v-model="form.day" label="Day" :problem="problemAt('days.days')" />
        <TextBox v-model="form.days" label="Days, one after the other" figures />
        <TextBox v-model="form.from" label="From" figures />
        <TextBox v-model="form.to" label="Back by" figures />
        <fieldset>
          <legend>People</legend>
          <CheckBox
            v-for="one in kit.people"
            :key="one.id"
            :model-value="form.people.includes(one.id)"
            :label="one.name"
            @update:model-value="form.people = toggled(form.people, one.id, $event)"
          />
          <p v-if="problemAt('days.people')" class="problem">{{ problemAt('days.people') }}</p>
        </fieldset>
        <fieldset v-if="containers.length">
          <legend>Burned from, in turn</legend>
          <div class="grid grid-cols-2 gap-x-4">
            <CheckBox
              v-for="one in containers"
              :key="one.id"
              :model-value="form.containerIds.includes(one.id)"
              :label="one.name"
              @update:model-value="form.containerIds = toggled(form.containerIds, one.id, $event)"
            />
          </div>
        </fieldset>
        <TextBox
          v-model="form.flames"
          label="Flames a person watches"
          figures
          hint="One, unless you say more."
          :problem="problemAt('days.people')"
        />
        <TextBox
          v-model="form.stations"
          label="Stations"
          hint="Where a stove stands, with commas between them."
          example="lee of the store, door"
          :problem="problemAt('days.stations')"
        />
        <ChoiceBox v-model="form.stationsBy" label="Arms at stations" :choices="turns" />
        <ChoiceBox v-if="form.people.length > 1" v-model="form.peopleBy" label="Arms and people" :choices="turns" />
      </div>
      <p class="mt-3">
        <BaseButton kind="main" type="submit">{{ button }}</BaseButton>
        <slot name="beside" />
      </p>
      <BaseAlert v-if="problems['']" class="mt-2">{{ problems[''] }}</BaseAlert>
    </BasePanel>
  </form>
</template>
