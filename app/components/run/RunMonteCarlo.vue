<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { ReduceRequest } from '#core/formats/document'
import { MONTE_CARLO } from '#shared/limits'

/** All uncertain inputs drawn together, many times, beside what first order says. */
const props = defineProps<{ runId: string; query: Record<string, string>; download: string }>()
const { progress, answer, problem, draw, stop } = useMonteCarlo()
const seed = ref(String(MONTE_CARLO.usualSeed))
const fetching = ref(false)
watch(
  () => props.query,
  () => {
    answer.value = null
  },
)

async function start() {
  const request = await theRequest()
  if (request === null) return
  const whole = Number(seed.value)
  await draw(request, props.runId, {
    draws: MONTE_CARLO.usualDraws,
    seed: Number.isInteger(whole) && whole >= 0 ? Math.min(whole, MONTE_CARLO.seed.max) : MONTE_CARLO.usualSeed,
  })
}

async function theRequest(): Promise<ReduceRequest | null> {
  fetching.value = true
  try {
    return await $fetch<ReduceRequest>(`/api/runs/${props.runId}/document`, { query: props.query })
  } catch {
    problem.value = 'The server did not answer. Draw again when it is back.'
    return null
  } finally {
    // Not held while drawing: draws that are stopped never answer.
    fetching.value = false
  }
}
const bars = computed(() =>
  answer.value === null ? null : histogramBars(answer.value.distribution.histogram, answer.value.firstOrder),
)
</script>

<template>
  <BasePanel tight title="Monte Carlo" :class="answer ? '' : 'no-print'">
    <div class="no-print mt-1 flex flex-wrap items-center gap-3">
      <BaseButton v-if="progress === null" :disabled="fetching" @click="start">
        Draw {{ formatNumber(MONTE_CARLO.usualDraws, 0) }} times
      </BaseButton>
      <template v-else>
        <BaseButton @click="stop">Stop</BaseButton>
        <BaseProgress label="Draws done" :done="progress" />
      </template>
      <label class="flex items-center gap-2"
        >seed <input v-model="seed" inputmode="numeric" class="figures w-20"
      /></label>
      <span class="text-ink-2">All uncertain inputs at once. The same seed gives the same numbers.</span>
    </div>
    <p v-if="problem" role="status" class="mt-2 border-l-4 border-caution pl-3">
      {{ problem }}
    </p>
    <div v-if="answer && bars" class="mt-2" data-monte-carlo>
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
        <span class="figures">{{ withExpandedU(answer.firstOrder.gPerL, answer.firstOrder.u) }}</span>.
        {{ answer.text }}
      </p>
      <p class="text-ink-2">
        Source: {{ sourceWords('gumSupplement') }}. <a :href="download" download class="no-print">As JSON</a>
      </p>
    </div>
  </BasePanel>
</template>
