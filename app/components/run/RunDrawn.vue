<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { MonteCarloAnswer } from '#core/reduce/monteCarloRun'

/** What was drawn: its histogram under the curve of first order, and both in words. */
const props = defineProps<{ answer: MonteCarloAnswer; download: string }>()
const bars = computed(() => histogramBars(props.answer.distribution.histogram, props.answer.firstOrder))
</script>

<template>
  <div class="mt-2" data-monte-carlo>
    <svg
      :viewBox="`0 0 ${bars.width} ${bars.height}`"
      class="h-40 w-full"
      preserveAspectRatio="none"
      role="img"
      :aria-label="`Histogram of ${answer.distribution.draws} draws`"
    >
      <rect
        v-for="bar in bars.bars"
        :key="bar.x"
        :x="bar.x"
        :y="bar.y"
        :width="bar.width"
        :height="bar.height"
        class="fill-water"
      />
      <path
        :d="bars.curve"
        fill="none"
        class="stroke-ink"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
        stroke-dasharray="5 3"
      />
    </svg>
    <p class="figures flex justify-between text-xs text-ink-2">
      <span>{{ formatNumber(answer.distribution.histogram.from, 2) }}</span><span
        >g/L, normalised; dashed: first order</span
      ><span>{{ formatNumber(answer.distribution.histogram.to, 2) }}</span>
    </p>
    <p class="mt-1">
      95 % of the draws lie from
      <span class="figures">{{ formatNumber(answer.distribution.quantiles[0], 2) }}</span> to
      <span class="figures">{{ formatNumber(answer.distribution.quantiles[4], 2) }}</span> g/L, half of them below
      <span class="figures">{{ formatNumber(answer.distribution.quantiles[2], 2) }}</span>; first order says
      <span class="figures">{{ fuelWithU(answer.firstOrder.gPerL, answer.firstOrder.u) }}</span>.
      {{ answer.text }}
    </p>
    <p class="text-ink-2">
      Source: {{ sourceWords('gumSupplement') }}. <a :href="download" download class="no-print">As JSON</a>
    </p>
  </div>
</template>
