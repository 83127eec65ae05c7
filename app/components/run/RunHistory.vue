<script setup lang="ts">
import { correctionName } from '#shared/correctable'
import type { RunRecord } from '#shared/runRecord'

/** What was corrected after logging: both values stay. */
defineProps<{ record: RunRecord }>()
</script>

<template>
  <BasePanel tight title="Corrected since it was logged" label="History">
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
  </BasePanel>
</template>
