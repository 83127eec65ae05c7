<script setup lang="ts">
import type { ReduceAnswer, RunAnswer } from '#core/formats/answer'

/** The rungs from the figure as measured to the figure at the reference. */
const props = defineProps<{ answer: RunAnswer, reference: ReduceAnswer['reference'] }>()
const referenceSentence = computed(() => {
  const { startC, pressureHPa, airC, windMS } = props.reference
  return `start ${startC} °C, ${pressureHPa} hPa, air ${airC} °C, ${windMS === 0 ? 'calm' : `wind ${windMS} m/s`}`
})
</script>

<template>
  <section aria-label="Rungs" class="enamel overflow-x-auto p-4">
    <h2>Brought to the Standard bench</h2>
    <p class="mb-2 text-ink-2">
      {{ referenceSentence }}; model <em>loss</em>.
    </p>
    <table class="w-full border-collapse">
      <thead>
        <tr class="border-b border-edge text-left">
          <th class="py-1 pr-3">
            Rung
          </th><th class="py-1 pr-3">
            Factor
          </th><th class="py-1 pr-3 text-right">
            g/L <span class="font-normal text-ink-2">k = 2</span>
          </th><th class="py-1">
            Basis
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="rung in answer.ladder" :key="rung.rung" class="border-b border-edge last:border-b-0" :data-rung="rung.rung">
          <td class="py-1.5 pr-3">
            {{ rungSentence(rung) }}
          </td>
          <td class="figures py-1.5 pr-3 whitespace-nowrap" data-factor>
            {{ rung.factor === null ? 'open' : factorText(rung.factor) }}
          </td>
          <td class="py-1.5 pr-3 text-right whitespace-nowrap">
            <FigureButton v-if="rung.gPerL !== null && rung.factor !== null" :path="`ladder.${rung.rung}`" data-gperl>
              {{ withExpandedU(rung.gPerL, rung.u) }}
            </FigureButton>
            <span v-else-if="rung.gPerL !== null" class="figures text-ink-2">{{ withExpandedU(rung.gPerL, rung.u) }}</span>
          </td>
          <td class="py-1.5">
            {{ rung.factor === null ? 'missing' : BASIS_WORDS[rung.basis] }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="answer.missing.length" class="mt-2 font-bold">
      Missing: {{ answer.missing.map(missingWords).join(', ') }}.
    </p>
    <p class="mt-2 text-ink-2">
      Factors multiply; percents do not add.
    </p>
  </section>
</template>
