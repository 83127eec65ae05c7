<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { RunRecord } from '#shared/runRecord'

defineProps<{ record: RunRecord }>()
</script>

<template>
  <header>
    <h1>{{ record.setup }}</h1>
    <p class="text-ink-2">
      {{ dateInZone(record.startedAt, record.zone) }} · {{ record.place ?? 'elsewhere' }}<span v-if="record.placeAltitudeM !== null">, <span class="figures">{{ formatNumber(record.placeAltitudeM, 0) }} m</span></span> · {{ record.fuel }}, {{ record.batch }} · {{ record.person }}
    </p>
    <p v-if="record.notes" class="mt-2 max-w-3xl whitespace-pre-line">
      {{ record.notes }}
    </p>
  </header>
</template>
