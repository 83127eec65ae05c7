<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import type { RunAnswer } from '#core/formats/answer'

/** What the trace says, in sentences: the boil it shows, and the heating model fitted to it. */
const props = defineProps<{ answer: RunAnswer }>()
const found = computed(() => props.answer.boilFound)
const called = computed(() => props.answer.boilFrom === 'call')
const STATUS_WORDS = {
  boiled: '',
  stalled: 'It stopped rising short of the boil',
  near: 'It came within 4 K of the boil, and shows no plateau',
  short: 'It stops before the boil',
}
</script>

<template>
  <div class="mt-2 space-y-1">
    <p v-if="found?.atS != null">
      The trace says it boiled at
      <FigureButton path="boilFound">
        {{ formatClock(found.atS) }} ± {{ formatNumber(COVERAGE_FACTOR * (found.u ?? 0), 0) }} s </FigureButton
      >, and the probe reads {{ formatNumber(Math.abs(found.offsetK), 1) }} K
      {{ found.offsetK < 0 ? 'low' : 'high' }} there.
    </p>
    <p v-else-if="found && called">The trace ends with the boil: it has no plateau to check the call by.</p>
    <p v-else-if="found">{{ STATUS_WORDS[found.status] }}: the highest was {{ formatNumber(found.levelC, 1) }} °C.</p>
    <p v-for="(burn, i) in answer.traceFit ?? []" :key="burn.fromS">
      Heating model fitted{{ (answer.traceFit?.length ?? 0) > 1 ? ` to burn ${i + 1}` : '' }}: heat flow
      <FigureButton :path="`traceFit.${i}`">
        {{ withExpandedU(burn.q0W.value, burn.q0W.u) }}
      </FigureButton>
      W, losses and droop
      <FigureButton :path="`traceFit.${i}`">{{
        withExpandedU(burn.lossAndDroopWPerK.value, burn.lossAndDroopWPerK.u)
      }}</FigureButton>
      W/K, start lag
      <FigureButton :path="`traceFit.${i}`">{{ withExpandedU(burn.lagS.value, burn.lagS.u) }}</FigureButton> s; scatter
      <span class="figures">{{ formatNumber(burn.rmsK, 2) }}</span> K.
      <template v-if="burn.flameChanged"> The residuals bend: the flame changed. </template>
    </p>
  </div>
</template>
