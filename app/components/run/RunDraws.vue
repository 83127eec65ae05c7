<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { ReduceRequest } from '#core/formats/document'
import { MONTE_CARLO } from '#shared/limits'

/** Draws all uncertain inputs together, many times: at once when it is there, and again when asked. */
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

onMounted(start)

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
</script>

<template>
  <div>
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
    </div>
    <p v-if="problem" role="status" class="mt-2 border-l-4 border-caution pl-3">
      {{ problem }}
    </p>
    <LazyRunDrawn v-if="answer" :answer="answer" :download="download" />
  </div>
</template>
