<script setup lang="ts">
import type { BatchPage } from '#shared/kitRecords'

/** What was changed of a batch after runs had used it. */
defineProps<{ amendments: BatchPage['amendments'] }>()
const FIELD_WORDS: Record<string, string> = {
  kind: 'Fuel',
  lhvJPerKg: 'Heating value, MJ/kg',
  densityKgPerM3: 'Density, g/mL',
}
</script>

<template>
  <BasePanel tight title="Changed since runs used it" label="History">
    <ul>
      <li v-for="one in amendments" :key="one.at + one.field">
        {{ FIELD_WORDS[one.field] }}: <s class="figures">{{ one.was || 'the usual one' }}</s> →
        <span class="figures">{{ one.now || 'the usual one' }}</span>. <span dir="auto">{{ one.reason }}</span>{{ ' ' }}
        <span class="text-ink-2">{{ dateInZone(one.at, 'UTC') }}</span>
      </li>
    </ul>
  </BasePanel>
</template>
