<script setup lang="ts">
import type { RunLine } from '#shared/runRecord'

/** The one thing to know of a run at a look. */
defineProps<{ run: RunLine }>()
const ENDINGS = { boiled: '', gaveUp: 'given up', outOfFuel: 'out of fuel', stopped: 'stopped from outside' }
</script>

<template>
  <span v-if="run.voided" class="border border-ink px-1">void</span>
  <span v-else-if="run.breakIn">break-in</span>
  <span v-else-if="run.worstFlag?.severity === 'error'" class="iron inline-block px-2">{{ run.worstFlag.text }}</span>
  <span v-else-if="run.says" class="figures">{{ run.says }}</span>
  <span v-else-if="run.ended && run.ended !== 'boiled'">{{ ENDINGS[run.ended] }}</span>
  <span v-else-if="run.status === 'partly'">partly</span>
  <span v-else-if="run.status === 'not'">as measured only</span>
  <span v-if="run.stale" class="text-ink-2" title="A fact behind it has changed">, worked out anew</span>
</template>
