<script setup lang="ts">
import type { ReduceAnswer } from '#core/formats/answer'
import { MODELS, REFERENCES } from '#core/normalise/reference'
import type { RunView } from '#shared/runOptions'

/** The reference conditions and the model: kept in the page's address. */
defineProps<{ view: RunView, reference: ReduceAnswer['reference'] }>()
const emit = defineEmits<{ choose: [change: Partial<RunView>] }>()
const { units } = usePreferences()
const MODEL_WORDS = { loss: 'loss (heat balance)', energy: 'energy (ratio of heat)', ratio: 'ratio (of rises)' }
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
    <span class="text-ink-2">{{ referenceSentence(reference, units) }}</span>
  </p>
</template>
