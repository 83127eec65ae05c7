<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { ContainerPage } from '#shared/kitRecords'

/** How much is in a container now, and how many boils that is. */
defineProps<{ page: ContainerPage }>()
const { units } = usePreferences()
const TARE_WORDS = {
  given: 'as weighed or printed',
  empty: 'weighed empty',
  full: 'from the first full weighing, less the printed content',
}
</script>

<template>
  <BasePanel label="In it now">
    <p class="text-2xl" data-fill>
      <template v-if="page.line.fillKg !== null"
        ><span class="figures">{{ shown(page.line.fillKg, 'mass', units) }}</span
        >{{ ' ' }} <span class="text-base text-ink-2">of fuel in it now</span></template
      >
      <span v-else class="text-base"
        >Fill not known. Weigh it; without an empty mass, say what it holds when full and weigh it full.</span
      >
    </p>
    <p v-if="page.line.boils">
      About <span class="figures">{{ formatNumber(page.line.boils.about, 0) }}</span> boils left,
      {{ formatNumber(page.line.boils.from, 0) }} to {{ formatNumber(page.line.boils.to, 0) }}, at what its
      {{ page.line.boils.n }} boils took.
    </p>
    <p v-if="page.tareKg !== null && page.tareFrom" class="text-ink-2">
      Empty <span class="figures">{{ shown(page.tareKg, 'mass', units) }}</span>, {{ TARE_WORDS[page.tareFrom] }}.
    </p>
  </BasePanel>
</template>
