<script setup lang="ts">
import type { RunLine } from '#shared/runRecord'

/** Which runs are listed. */
const props = defineProps<{ runs: RunLine[], filter: RunFilter, count: number }>()
const emit = defineEmits<{ change: [filter: RunFilter] }>()
const lists = computed(() => [
  { key: 'setup' as const, label: 'Set-up', values: distinct(run => run.setup) },
  { key: 'place' as const, label: 'Place', values: distinct(run => run.place ?? 'elsewhere') },
  { key: 'fuel' as const, label: 'Fuel', values: distinct(run => run.fuel ?? '') },
  { key: 'method' as const, label: 'Method', values: distinct(run => run.method ?? 'by no method') },
])
const dates = [{ key: 'from' as const, label: 'From' }, { key: 'to' as const, label: 'To' }]
function distinct(of: (run: RunLine) => string): string[] {
  return [...new Set(props.runs.map(of))].filter(Boolean).sort()
}
const set = (key: keyof RunFilter, value: string) => emit('change', { ...props.filter, [key]: value })
</script>

<template>
  <form class="no-print mb-3 flex flex-wrap items-end gap-3" aria-label="Which runs" @submit.prevent>
    <label v-for="list in lists" :key="list.key" class="grid text-ink-2">{{ list.label }}
      <select :value="filter[list.key]" @change="set(list.key, ($event.target as HTMLSelectElement).value)">
        <option value="">all</option>
        <option v-for="value in list.values" :key="value" :value="value">{{ value }}</option>
      </select>
    </label>
    <label v-for="date in dates" :key="date.key" class="grid text-ink-2">{{ date.label }}
      <input type="date" class="figures" :value="filter[date.key]" @change="set(date.key, ($event.target as HTMLInputElement).value)">
    </label>
    <label class="flex items-center gap-2 pb-1.5"><input type="checkbox" :checked="filter.voided === 'shown'" @change="set('voided', ($event.target as HTMLInputElement).checked ? 'shown' : '')"> Void ones too</label>
    <p class="pb-1.5" role="status">
      {{ count === runs.length ? `${count} runs` : `${count} of ${runs.length} runs` }}
    </p>
  </form>
</template>
