<script setup lang="ts">
import type { ReduceAnswer } from '#core/formats/answer'
import { MODELS, REFERENCES } from '#core/normalise/reference'
import { CLOCKS } from '#core/formats/document'
import { ownReference, VIEW_BOILS, type RunView } from '#shared/runOptions'

/** The reference conditions, the model and the conventions: kept in the page's address. */
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
const CLOCK_WORDS = { potOn: 'pot-on', lit: 'lighting', bloomed: 'full flame' }
const LITRE_WORDS = { putIn: 'put in', remaining: 'left' }
function bring(id: string) {
  emit('choose', { reference: REFERENCES.find((one) => one.id === id) ?? ownReference(props.reference) })
}
</script>

<template>
  <div class="space-y-2">
    <p class="flex flex-wrap items-center gap-x-2 gap-y-1">
      <label for="reference">Brought to</label>
      <select id="reference" :value="view.reference.id" @change="bring(($event.target as HTMLSelectElement).value)">
        <option v-for="one in REFERENCES" :key="one.id" :value="one.id">{{ one.name }}</option>
        <option value="own">Conditions of your own</option>
      </select>
      <label for="model">by the model</label>
      <select
        id="model"
        :value="view.model"
        @change="emit('choose', { model: MODELS.find((one) => one === ($event.target as HTMLSelectElement).value)! })"
      >
        <option v-for="model in MODELS" :key="model" :value="model">{{ MODEL_WORDS[model] }}</option>
      </select>
      <label for="boil">the boil is</label>
      <select
        id="boil"
        :value="view.boil"
        @change="
          emit('choose', { boil: VIEW_BOILS.find((boil) => boil === ($event.target as HTMLSelectElement).value)! })
        "
      >
        <option v-for="boil in VIEW_BOILS" :key="boil" :value="boil">{{ BOIL_WORDS[boil] }}</option>
      </select>
      <label v-if="view.boil === 'target'"
        >of
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
        °C</label
      >
      <label for="clock">the clock starts at</label>
      <select
        id="clock"
        :value="view.clock"
        @change="
          emit('choose', { clock: CLOCKS.find((clock) => clock === ($event.target as HTMLSelectElement).value)! })
        "
      >
        <option v-for="clock in CLOCKS" :key="clock" :value="clock">{{ CLOCK_WORDS[clock] }}</option>
      </select>
      <label for="litre">per litre</label>
      <select
        id="litre"
        :value="view.litre"
        @change="
          emit('choose', { litre: ($event.target as HTMLSelectElement).value === 'remaining' ? 'remaining' : 'putIn' })
        "
      >
        <option v-for="(words, litre) in LITRE_WORDS" :key="litre" :value="litre">{{ words }}</option>
      </select>
      <label class="flex items-center gap-1"
        ><input
          type="checkbox"
          :checked="view.supply"
          @change="emit('choose', { supply: ($event.target as HTMLInputElement).checked })"
        />
        burn rate evened out</label
      >
      <span class="text-ink-2">{{ referenceSentence(reference, units) }}</span>
    </p>
    <RunOwnReference
      v-if="view.reference.id === 'own'"
      :reference="reference"
      @bring="emit('choose', { reference: $event })"
    />
  </div>
</template>
