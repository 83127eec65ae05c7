<script setup lang="ts">
import type { RunRef } from '#shared/record'

/** The runs that used something of the kit. */
defineProps<{ use: { count: number; runs: RunRef[] }; none?: string }>()
</script>

<template>
  <BasePanel tight label="Its runs">
    <template #title>
      {{ use.count === 1 ? 'One run' : `${use.count} runs` }}
    </template>
    <p v-if="!use.count" class="text-ink-2">
      {{ none ?? 'Nothing was burned with it yet.' }}
    </p>
    <ul class="max-h-80 overflow-auto" tabindex="0" aria-label="Runs">
      <li v-for="run in use.runs" :key="run.id">
        <NuxtLink :to="`/runs/${run.id}`"
          ><span class="figures text-[13px]">{{ dateInZone(run.startedAt, run.zone) }}</span></NuxtLink
        >{{ ' ' }}
        <span dir="auto">{{ run.setup }}</span>
      </li>
    </ul>
    <p v-if="use.count > use.runs.length" class="text-ink-2">The newest {{ use.runs.length }}.</p>
  </BasePanel>
</template>
