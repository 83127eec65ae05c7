<script setup lang="ts">
import { correctionName } from '#shared/correctable'
import type { ChangedQuestion } from '#shared/answers'
import type { RunRecord } from '#shared/runRecord'

/** What was corrected after logging, both values; and what it changed of what the runs answer. */
defineProps<{ record: RunRecord; changed: readonly ChangedQuestion[] }>()
</script>

<template>
  <div class="space-y-3">
    <BasePanel v-if="record.history.length" tight title="Corrected since it was logged" label="History">
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
    <BasePanel v-if="changed.length" tight title="What this run changed" data-changed>
      <ul>
        <li v-for="one in changed" :key="one.sentence">
          <NuxtLink :to="pageOfQuestion(one)">{{ one.sentence }}</NuxtLink> {{ one.before }} → {{ one.now }}
        </li>
      </ul>
    </BasePanel>
  </div>
</template>
