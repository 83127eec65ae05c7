<script setup lang="ts">
import type { RunLine } from '#shared/runRecord'

/** The one thing to know of a run at a look. */
defineProps<{ run: RunLine }>()
const ENDINGS = { boiled: '', gaveUp: 'given up', outOfFuel: 'out of fuel', stopped: 'stopped from outside' }
</script>

<template>
  <span>
    <span v-if="run.voided" class="border border-ink px-1">void</span>
    <template v-else-if="run.breakIn">break-in</template>
    <span v-else-if="run.worstFlag?.severity === 'error'" class="iron px-2">{{ run.worstFlag.text }}</span>
    <template v-else-if="run.says">{{ run.says }}</template>
    <template v-else-if="run.ended && run.ended !== 'boiled'">{{ ENDINGS[run.ended] }}</template>
    <template v-else-if="run.status === 'partly'">partly</template>
    <template v-else-if="run.status === 'not'">as measured only</template>
    <span v-if="run.stale" class="text-ink-2" title="A fact behind it has changed">, worked out anew</span>
  </span>
</template>
