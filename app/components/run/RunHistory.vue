<script setup lang="ts">
import { correctionName } from '#shared/correction'
import type { RunRecord } from '#shared/runRecord'

/** What was corrected after logging: both values stay. */
defineProps<{ record: RunRecord }>()
</script>

<template>
  <section aria-label="History" class="enamel p-3">
    <h2 class="mb-1">Corrected since it was logged</h2>
    <ul>
      <li v-for="(entry, i) in record.history" :key="i">
        {{ correctionName(entry.what) }}:
        <template v-if="entry.was"
          ><s class="figures">{{ entry.was }}</s> → </template
        ><span class="figures">{{ entry.now }}</span
        >. {{ entry.reason }}
        <span class="text-ink-2">{{ entry.person }}, {{ dateInZone(entry.at, record.zone) }}</span>
      </li>
    </ul>
  </section>
</template>
