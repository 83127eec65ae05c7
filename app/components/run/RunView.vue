<script setup lang="ts">
import type { ReduceAnswer } from '#core/formats/answer'
import { MODELS, REFERENCES } from '#core/normalise/reference'
import { CLOCKS } from '#core/formats/document'
import { VIEW_BOILS, type RunView } from '#shared/runOptions'

/** The reference conditions and the model: kept in the page's address. */
defineProps<{ view: RunView, reference: ReduceAnswer['reference'] }>()
const emit = defineEmits<{ choose: [change: Partial<RunView>] }>()
const { units } = usePreferences()
const MODEL_WORDS = { loss: 'loss (heat balance)', energy: 'energy (ratio of heat)', ratio: 'ratio (of rises)' }
const BOIL_WORDS = { rollingBoil: 'a rolling boil, by eye', firstBubbles: 'first steady bubbles', probeAtBoil: 'the probe at the boiling point' }
const CLOCK_WORDS = { potOn: 'pot-on', lit: 'lighting', bloomed: 'full flame' }
</script>

<template>
  <p class="flex flex-wrap items-center gap-x-2 gap-y-1">
    <label for="reference">Brought to</label>
    <select id="reference" :value="view.reference.id" @change="emit('choose', { reference: REFERENCES.find(one => one.id === ($event.target as HTMLSelectElement).value)! })">
      <option v-for="one in REFERENCES" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
    <label for="model">by the model</label>
    <select id="model" :value="view.model" @change="emit('choose', { model: MODELS.find(one => one === ($event.target as HTMLSelectElement).value)! })">
      <option v-for="model in MODELS" :key="model" :value="model">{{ MODEL_WORDS[model] }}</option>
    </select>
    <label for="boil">the boil is</label>
    <select id="boil" :value="view.boil" @change="emit('choose', { boil: VIEW_BOILS.find(boil => boil === ($event.target as HTMLSelectElement).value)! })">
      <option v-for="boil in VIEW_BOILS" :key="boil" :value="boil">{{ BOIL_WORDS[boil] }}</option>
    </select>
    <label for="clock">the clock starts at</label>
    <select id="clock" :value="view.clock" @change="emit('choose', { clock: CLOCKS.find(clock => clock === ($event.target as HTMLSelectElement).value)! })">
      <option v-for="clock in CLOCKS" :key="clock" :value="clock">{{ CLOCK_WORDS[clock] }}</option>
    </select>
    <span class="text-ink-2">{{ referenceSentence(reference, units) }}</span>
  </p>
</template>
