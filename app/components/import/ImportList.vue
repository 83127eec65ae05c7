<script setup lang="ts">
import type { ImportLine } from '#shared/tableImport/imports'

/** What was brought in before; each can be undone as a whole. */
defineProps<{ imports: readonly ImportLine[] }>()
const STATES = { staged: 'read, not stored', storing: 'being stored', stored: 'stored', undone: 'undone' } as const
const what = (line: ImportLine) =>
  line.state === 'staged' || line.state === 'storing'
    ? `${line.rows} rows`
    : line.what === 'trace'
      ? `${line.stored.toLocaleString('en')} samples`
      : line.stored === 1
        ? '1 run'
        : `${line.stored.toLocaleString('en')} runs`
</script>

<template>
  <BasePanel v-if="imports.length" title="Brought in before" class="overflow-x-auto">
    <table class="w-full">
      <thead>
        <tr class="text-left">
          <th class="pr-6">File</th>
          <th class="pr-6">When</th>
          <th class="pr-6 text-right">Held</th>
          <th>Now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in imports" :key="line.id" class="border-t border-edge">
          <td class="py-1 pr-6" dir="auto">
            <NuxtLink :to="`/runs/import/${line.id}`">{{ line.fileName }}</NuxtLink>
          </td>
          <td class="figures pr-6 whitespace-nowrap">{{ dateInZone(line.storedAt ?? line.createdAt, 'UTC') }}</td>
          <td class="figures pr-6 text-right whitespace-nowrap">{{ what(line) }}</td>
          <td>{{ STATES[line.state] }}</td>
        </tr>
      </tbody>
    </table>
  </BasePanel>
</template>
