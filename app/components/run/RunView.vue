<script setup lang="ts">
import type { ReduceAnswer } from '#core/formats/answer'
import { MODELS, REFERENCES } from '#core/normalise/reference'
import { CLOCKS } from '#core/formats/document'
import { ownReference, VIEW_BOILS, type RunView } from '#shared/runOptions'

/** The reference conditions, the model and the conventions, as a sentence: kept in the page's address. */
const props = defineProps<{ view: RunView; reference: ReduceAnswer['reference'] }>()
const emit = defineEmits<{ choose: [change: Partial<RunView>] }>()
const { units } = usePreferences()
const MODEL_WORDS = { loss: 'loss (heat balance)', energy: 'energy (ratio of heat)', ratio: 'ratio (of rises)' }
const BOIL_WORDS = {
  rollingBoil: 'a rolling boil, by eye',
  firstBubbles: 'first steady bubbles',
  probeAtBoil: 'the probe at the boiling point',
  plateau: 'the plateau in the trace',
  target: 'a fixed target below it',
}
const FLAME_WORDS = { bench: 'at its setting’s bench burn rate', asItWas: 'as it was' }
const OWN = { value: 'own', label: 'Conditions of your own' }
const references = [...REFERENCES.map(({ id, name }) => ({ value: id, label: name })), OWN]
function bring(id: string) {
  emit('choose', { reference: REFERENCES.find((one) => one.id === id) ?? ownReference(props.reference) })
}
/** What each word of the sentence may be, what it is, and what choosing another does. */
const parts = computed(() => ({
  reference: { label: 'Corrected to', choices: references, is: props.view.reference.id, take: bring },
  model: {
    label: 'Model',
    choices: choicesOf(MODELS, MODEL_WORDS),
    is: props.view.model,
    take: (model: string) => emit('choose', { model: model as RunView['model'] }),
  },
  boil: {
    label: 'The boil',
    choices: choicesOf(VIEW_BOILS, BOIL_WORDS),
    is: props.view.boil,
    take: (boil: string) => emit('choose', { boil: boil as RunView['boil'] }),
  },
  clock: {
    label: 'The clock starts at',
    choices: choicesOf(CLOCKS, CLOCK_WORDS),
    is: props.view.clock,
    take: (clock: string) => emit('choose', { clock: clock as RunView['clock'] }),
  },
  litre: {
    label: 'Per litre',
    choices: choicesOf(['putIn', 'remaining'], LITRE_WORDS),
    is: props.view.litre,
    take: (litre: string) => emit('choose', { litre: litre as RunView['litre'] }),
  },
  flame: {
    label: 'The flame',
    choices: choicesOf(['bench', 'asItWas'], FLAME_WORDS),
    is: props.view.flame ? 'bench' : 'asItWas',
    take: (flame: string) => emit('choose', { flame: flame === 'bench' }),
  },
  water: {
    label: 'With how much water',
    choices: waterChoices(props.view.waterG, units.value),
    is: String(props.view.waterG ?? OWN_WATER),
    take: (water: string) => emit('choose', { waterG: water === OWN_WATER ? null : Number(water) }),
  },
}))
type Part = keyof typeof parts.value
const bound = (part: Part) => {
  const { label, choices, is, take } = parts.value[part]
  return { label, choices, modelValue: is, 'onUpdate:modelValue': (value: string | null) => take(value!) }
}
</script>

<template>
  <div class="w-full space-y-2 border-t border-edge pt-2">
    <p class="leading-7 text-ink-2" data-view>
      Corrected to <WordChoice v-bind="bound('reference')" /> ({{ referenceSentence(reference, units) }}), with
      <WordChoice v-bind="bound('water')" />, by the model <WordChoice v-bind="bound('model')" />. The boil is
      <WordChoice v-bind="bound('boil')" /><template v-if="view.boil === 'target'">
        of
        <input
          type="number"
          class="figures w-20"
          min="20"
          max="100"
          step="0.5"
          :value="view.targetC"
          aria-label="Target temperature, °C"
          @change="emit('choose', { targetC: Number(($event.target as HTMLInputElement).value) })"
        />
        °C</template
      >, the clock starts at <WordChoice v-bind="bound('clock')" />, per litre <WordChoice v-bind="bound('litre')" />,
      the flame <WordChoice v-bind="bound('flame')" />.
    </p>
    <LazyRunOwnReference
      v-if="view.reference.id === 'own'"
      :reference="reference"
      @bring="emit('choose', { reference: $event })"
    />
  </div>
</template>
