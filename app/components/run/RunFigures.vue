<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { RunAnswer } from '#core/formats/answer'

/** The two figures of a run, as measured and corrected to the reference; beneath, by what. */
const props = defineProps<{ answer: RunAnswer }>()
const errors = computed(() => props.answer.flags.filter((flag) => flag.severity === 'error'))
</script>

<template>
  <BasePanel label="Fuel per litre" class="flex flex-wrap gap-x-12 gap-y-4">
    <p v-for="flag in errors" :key="flag.code" class="iron w-full p-3 text-base font-bold" role="status">
      {{ flag.text }} <span v-if="flag.slip" data-slip>{{ flag.slip }}</span>
    </p>
    <div>
      <h2>As measured</h2>
      <p v-if="answer.gPerL !== null" class="mt-1 text-2xl">
        <FigureButton path="gPerL" data-figure="gPerL"> {{ fuelWithU(answer.gPerL, answer.gPerLU) }} </FigureButton>{{
          ' '
        }}
        <span class="text-base text-ink-2">g/L</span>
      </p>
      <p v-if="answer.otherLitre?.gPerL" class="text-ink-2" data-other-litre>
        <FigureButton path="otherLitre">
          {{ fuelWithU(answer.otherLitre.gPerL, answer.otherLitre.gPerLU) }}
        </FigureButton>
        per litre {{ answer.otherLitre.litre === 'remaining' ? 'left' : 'put in' }}
      </p>
      <p v-if="answer.gPerL === null">
        No fuel per litre: no boil by this convention, or fuel to the boil is not known.
      </p>
      <p v-if="answer.timeToBoilS !== null" class="text-ink-2">
        <FigureButton path="timeToBoilS" class="text-ink" data-figure="time">
          {{ formatClock(answer.timeToBoilS) }}
        </FigureButton>
        to the boil
      </p>
    </div>
    <div>
      <h2>
        Normalised<span v-if="answer.status === 'partly'" data-status>, partly</span
        ><span v-if="answer.boilFrom === 'extrapolated'">, extrapolated</span>
      </h2>
      <p v-if="answer.normalisedGPerL !== null" class="mt-1 text-2xl">
        <FigureButton path="normalisedGPerL" data-figure="normalisedGPerL">
          {{ fuelWithU(answer.normalisedGPerL, answer.normalisedU) }} </FigureButton>{{ ' ' }}
        <span class="text-base text-ink-2"
          >g/L<template v-if="answer.normalisedU === null">, no bound to its uncertainty</template></span
        >
      </p>
      <p v-if="answer.otherLitre?.normalisedGPerL" class="text-ink-2">
        <FigureButton path="otherLitre">
          {{ fuelWithU(answer.otherLitre.normalisedGPerL, answer.otherLitre.normalisedU) }}
        </FigureButton>
        per litre {{ answer.otherLitre.litre === 'remaining' ? 'left' : 'put in' }}
      </p>
      <p v-if="answer.normalisedGPerL === null">
        Not normalised. Missing: {{ answer.missing.map(missingWords).join(', ') || 'see the flags' }}.
      </p>
      <p v-if="answer.normalisedTimeS !== null" class="text-ink-2">
        about
        <FigureButton path="normalisedTimeS" class="text-ink">
          {{ formatClock(answer.normalisedTimeS) }}
        </FigureButton>
        to the boil there
      </p>
    </div>
    <p class="max-w-52 self-end text-ink-2">
      ± holds 95 % (k = {{ COVERAGE_FACTOR }}). <span class="no-print">Press a figure for its working.</span>
    </p>
    <slot />
  </BasePanel>
</template>
