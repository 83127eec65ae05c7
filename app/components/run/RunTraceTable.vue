<script setup lang="ts">
import { formatClock } from '#core/quantity/format'

/** The trace as a table: what the chart draws, thinned to a sample each quarter of a minute. */
const props = defineProps<{ trace: [number, number][] }>()
const { units } = usePreferences()
/** Made when it is looked at: hundreds of rows that stay shut would hold the page up. */
const open = ref(false)
const rows = computed(() => {
  let next = -Infinity
  return props.trace.filter(([s]) => {
    if (s < next) return false
    next = Math.floor(s / 15) * 15 + 15
    return true
  })
})
</script>

<template>
  <details class="mt-2" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>As a table, every quarter of a minute</summary>
    <table v-if="open" class="mt-1">
      <thead>
        <tr class="text-left">
          <th class="pr-6">Time</th>
          <th class="text-right">Water</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[s, tempC] in rows" :key="s" class="figures">
          <td class="pr-6">{{ formatClock(s) }}</td>
          <td class="text-right">{{ shown(tempC, 'temperature', units) }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>
