<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import { EVENT_NAMES } from '#core/run/events'
import { MEASURED_NAMES } from '#shared/measuredQuantity'
import type { RunRecord } from '#shared/runRecord'

/** What was read and typed, as it was typed. */
defineProps<{ record: RunRecord }>()
</script>

<template>
  <section aria-label="Readings" class="enamel p-4">
    <h2 class="mb-2">
      What was measured
    </h2>
    <dl class="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
      <template v-for="one in record.measurements" :key="one.quantity">
        <dt>{{ MEASURED_NAMES[one.quantity] }}</dt>
        <dd class="figures text-right">
          {{ one.typed }}
        </dd>
      </template>
      <template v-for="event in record.events" :key="event.kind">
        <dt>{{ EVENT_NAMES[event.kind] }}<template v-if="event.reason"> ({{ event.reason }})</template></dt>
        <dd class="figures text-right">
          {{ formatClock(event.atMs / 1000) }}
        </dd>
      </template>
    </dl>
    <h2 class="mt-4 mb-2">
      With
    </h2>
    <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      <template v-for="part in record.parts" :key="part.role">
        <dt class="text-ink-2">
          {{ part.role }}
        </dt>
        <dd>{{ part.name }}</dd>
      </template>
    </dl>
  </section>
</template>
