<script setup lang="ts">
import { BURNER_KINDS } from '#core/formats/document'
import { FUEL_KINDS, FUELS } from '#core/constants/fuels'
import type { BurnOneKit, TypedBurnOne } from '#shared/burnOne'
import { BURNER_WORDS } from '#shared/thing'
import type { RunLike } from '#shared/likeRun'
import type { FieldProblem } from '#shared/readProblems'
import { ask } from '~/api/send'

/** Burn one now: the few blanks that make kit, place and person; then a lane of the bench. */
useHead({ title: 'Burn one now · Vulcanum' })
const { units } = usePreferences()
const bench = useBench()
const { refresh: refreshNow } = useNowConditions()
const typed = reactive<TypedBurnOne>({
  units: units.value,
  who: '',
  burner: '',
  burnerKind: 'alcohol',
  fuelKind: 'ethanol-denatured',
  place: '',
  altitude: '',
  zone: 'UTC',
})
const water = ref('')
const start = ref('')
const problems = ref<FieldProblem[]>([])
/** As the last burn had it: who, where, and what kind of thing burns. */
const taken = ref<Partial<Record<keyof TypedBurnOne, string>>>({})
const like = shallowRef<RunLike | null>(null)
const isTaken = (key: keyof TypedBurnOne) => taken.value[key] !== undefined && taken.value[key] === typed[key]
onMounted(async () => {
  like.value = await readLike({})
  if (like.value === null || typed.who || typed.burner || typed.place) return
  taken.value = burnLike(like.value.words)
  Object.assign(typed, taken.value)
})
const undo = useUndo()
function beginEmpty() {
  const before = taken.value
  Object.assign(typed, Object.fromEntries(['who', 'place', 'altitude'].map((key) => [key, ''])))
  taken.value = {}
  undo.offer('Begun empty.', () => {
    taken.value = before
    Object.assign(typed, before)
  })
}
const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text
const kinds = BURNER_KINDS.map((kind) => ({ value: kind, label: BURNER_WORDS[kind] }))
const fuels = FUEL_KINDS.map((kind) => ({ value: kind, label: FUELS[kind]!.name }))
const names = [
  { key: 'who', label: 'Who' },
  { key: 'burner', label: 'Burner' },
  { key: 'place', label: 'Place' },
] as const

async function burn() {
  const sent = { ...typed, units: units.value, zone: zoneHere() }
  const { readBurnOne } = await import('#shared/burnOne')
  const read = readBurnOne(sent)
  problems.value = read.ok ? [] : read.problems
  if (!read.ok) return
  const made = await ask<BurnOneKit>('/api/burn-one', { method: 'POST', body: sent })
  problems.value = made.ok ? [] : made.problems
  if (made.ok) await toLane(made.value)
}
async function toLane(kit: BurnOneKit) {
  await Promise.all([bench.start(), refreshNow()])
  const choices = await readChoices()
  await prepareLane(bench, choices, {
    ...firstPreparation(choices, bench.freeLane ?? 'A'),
    ...kit,
    measured: { ...emptyMeasured(), water: water.value, waterStart: start.value },
  })
  await navigateTo('/bench')
}
</script>

<template>
  <div class="max-w-2xl">
    <h1 class="mb-1">Burn one now</h1>
    <p class="mb-4 text-ink-2">The rest can be added while it burns, or after.</p>
    <TakenLine
      v-if="like"
      :like="like"
      :some="Object.keys(taken).length > 0"
      :undo="undo"
      class="mb-2"
      @clear="beginEmpty"
    />
    <BasePanel as="form" class="grid grid-cols-1 gap-2" novalidate @submit.prevent="burn">
      <TextBox
        v-for="name in names"
        :key="name.key"
        v-model="typed[name.key]"
        :label="name.label"
        :problem="problemAt(name.key)"
        :taken="isTaken(name.key)"
      />
      <ChoiceBox
        v-model="typed.burnerKind"
        label="It burns"
        :choices="kinds"
        :problem="problemAt('burnerKind')"
        :taken="isTaken('burnerKind')"
      />
      <ChoiceBox
        v-model="typed.fuelKind"
        label="Fuel"
        :choices="fuels"
        :problem="problemAt('fuelKind')"
        :taken="isTaken('fuelKind')"
      />
      <QuantityBox
        v-model="typed.altitude"
        label="Altitude"
        kind="altitude"
        :units="units"
        :problem="problemAt('altitude')"
        :taken="isTaken('altitude')"
        example="700 ft, 940 m"
      />
      <QuantityBox v-model="water" label="Water" kind="water" :units="units" example="473 g, 2 cups" />
      <QuantityBox
        v-model="start"
        label="Start temperature"
        kind="waterTemp"
        :units="units"
        example="9.2 °C, 56F"
        hint="No thermometer? Stir ice in the water for five minutes and take it out: type 0.5 °C."
      />
      <BaseAlert v-if="problemAt('')">
        {{ problemAt('') }}
      </BaseAlert>
      <BaseButton kind="main" type="submit" class="mt-2 justify-self-start">To the bench</BaseButton>
    </BasePanel>
  </div>
</template>
