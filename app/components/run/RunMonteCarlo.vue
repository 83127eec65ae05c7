<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import { MONTE_CARLO } from '#shared/limits'

/** All uncertain inputs drawn together, beside what first order says: what draws comes with the first press. */
const props = defineProps<{ runId: string; query: Record<string, string>; download: string }>()
const isAsked = ref(false)
</script>

<template>
  <BasePanel tight title="Monte Carlo" :class="isAsked ? '' : 'no-print'">
    <p class="no-print mt-1 text-ink-2">All uncertain inputs at once. The same seed gives the same numbers.</p>
    <LazyRunDraws v-if="isAsked" v-bind="props" />
    <BaseButton v-else class="mt-1" @click="isAsked = true">
      Draw {{ formatNumber(MONTE_CARLO.usualDraws, 0) }} times
    </BaseButton>
  </BasePanel>
</template>
