<script setup lang="ts">
import { stationPressureFromAltitude } from '#core/air/pressure'
import { MODELS, REFERENCES, type NamedReference } from '#core/normalise/reference'
import type { AskedUnit } from '#core/formats/comparison'
import type { AskedView } from '#shared/comparison'
import { CLOCKS, LITRES } from '#core/formats/document'
import { ownReference, runViewQuery, VIEW_BOILS } from '#shared/runOptions'

/** What figures are corrected to, by which model, read how, in which unit: each a word that could be another. */
const props = defineProps<{ asked: AskedView; /** Units it can be asked in. */ units?: readonly AskedUnit[] }>()
const { say, said } = useAsking()
const { units: system } = usePreferences()
const { data: kit } = useKit()
const MODEL_WORDS = { loss: 'heat balance', energy: 'ratio of heat', ratio: 'ratio of rises' }
const BOIL_WORDS = {
  rollingBoil: 'a rolling boil',
  firstBubbles: 'first bubbles',
  probeAtBoil: 'the probe at the boil',
  plateau: 'the plateau',
  target: 'a fixed target',
}
const ASKED_OTHERWISE = ['boil', 'model', 'own', 'reference', 'with', 'clock', 'litre']
const OWN = 'own'
const PLAIN = '20 °C start, sea level, calm'
const nameOf = ({ id, name }: { id: string; name: string }) => (id === REFERENCES[0]!.id ? PLAIN : name)
const heights = computed(() =>
  (kit.value?.places ?? []).flatMap(({ id, name, altitudeM }) =>
    altitudeM === null ? [] : [{ value: `place:${id}`, label: `20 °C start at ${name}, calm`, altitudeM }],
  ),
)
const references = computed(() => [
  ...REFERENCES.map((one) => ({ value: one.id, label: nameOf(one) })),
  ...heights.value,
  { value: OWN, label: 'conditions of your own' },
])
const isOwn = computed(() => props.asked.view.reference.id === OWN)
const asking = ref(false)
function bring(reference: NamedReference) {
  const { own, reference: named } = runViewQuery({ ...props.asked.view, reference })
  void say({ own, reference: named })
  asking.value = false
}
function choose(id: string | null) {
  const place = heights.value.find((one) => one.value === id)
  if (id === OWN) asking.value = true
  else if (place)
    bring(
      ownReference({
        startC: 20,
        airC: 20,
        windMS: 0,
        pressureHPa: stationPressureFromAltitude(place.altitudeM) / 100,
      }),
    )
  else void say({ own: undefined, reference: id === REFERENCES[0]!.id ? undefined : (id ?? undefined) })
}
/** Conditions of one's own are told where they are those of a place. */
const shownReference = computed(() => {
  if (!isOwn.value) return props.asked.view.reference.id
  const { startC, airC, windMS, pressureHPa } = props.asked.view.reference
  const isPlain = startC === 20 && airC === 20 && windMS === 0
  const place = heights.value.find(
    ({ altitudeM }) => isPlain && Math.abs(stationPressureFromAltitude(altitudeM) / 100 - pressureHPa) < 0.01,
  )
  return place?.value ?? OWN
})
</script>

<template>
  <div class="text-ink-2">
    <p data-asks>
      Corrected to
      <WordChoice
        label="Corrected to"
        :model-value="shownReference"
        :choices="references"
        @update:model-value="choose"
      />
      with
      <WordChoice
        label="With how much water"
        :model-value="String(asked.view.waterG ?? OWN_WATER)"
        :choices="waterChoices(asked.view.waterG, system)"
        @update:model-value="say({ with: $event === OWN_WATER ? undefined : ($event ?? undefined) })"
      />
      by
      <WordChoice
        label="Model"
        :model-value="asked.view.model"
        :choices="choicesOf(MODELS, MODEL_WORDS)"
        @update:model-value="say({ model: $event ?? undefined })"
      />, read by
      <WordChoice
        label="The boil"
        :model-value="asked.view.boil"
        :choices="choicesOf(VIEW_BOILS, BOIL_WORDS)"
        @update:model-value="say({ boil: $event ?? undefined })"
      /><template v-if="asked.unit === 's'"
        >, timed from
        <WordChoice
          label="The clock starts at"
          :model-value="asked.view.clock"
          :choices="choicesOf(CLOCKS, CLOCK_WORDS)"
          @update:model-value="say({ clock: $event ?? undefined })" /></template
      ><template v-else
        >, per litre
        <WordChoice
          label="Per litre"
          :model-value="asked.view.litre"
          :choices="choicesOf(LITRES, LITRE_WORDS)"
          @update:model-value="say({ litre: $event ?? undefined })" /></template
      ><template v-if="units?.length"
        >, in
        <WordChoice
          label="Unit"
          :model-value="asked.unit"
          :choices="unitChoices(units)"
          @update:model-value="say({ unit: $event ?? undefined })" /></template
      ><slot />.
      <BaseButton
        v-if="ASKED_OTHERWISE.some(said)"
        kind="plain"
        @click="say(Object.fromEntries(ASKED_OTHERWISE.map((key) => [key, undefined])))"
        >As it is listed</BaseButton
      >
    </p>
    <LazyRunOwnReference v-if="asking" class="mt-2" :reference="asked.view.reference" @bring="bring" />
    <p v-if="asked.prices.length" data-prices>
      {{ asked.prices.map(({ name, words }) => `${name}: ${words}`).join('; ') }}.
    </p>
    <p v-if="asked.unpriced.length" data-unpriced>
      No price is known of
      <template v-for="(one, i) in asked.unpriced" :key="one.batchId"
        >{{ i > 0 ? ', ' : '' }}<NuxtLink :to="`/kit/fuels/${one.batchId}`">{{ one.name }}</NuxtLink></template
      >: add it there, and its set-ups stand here too.
    </p>
  </div>
</template>
