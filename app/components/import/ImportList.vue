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
const columns: DataColumn<ImportLine>[] = [
  { key: 'file', words: 'File', sorts: true, of: (line) => line.fileName },
  { key: 'when', words: 'When', sorts: true, of: (line) => line.storedAt ?? line.createdAt },
  { key: 'held', words: 'Held', figure: true, of: what },
  { key: 'now', words: 'Now', sorts: true, of: (line) => STATES[line.state] },
]
</script>

<template>
  <BasePanel v-if="imports.length" tight title="Brought in before">
    <DataTable caption="Files" :rows="imports" :columns="columns" :id-of="(line) => line.id">
      <template #cell="{ row, column }">
        <NuxtLink v-if="column.key === 'file'" :to="`/runs/import/${row.id}`" dir="auto">{{ row.fileName }}</NuxtLink>
        <span v-else-if="column.key === 'when'" class="figures">{{
          dateInZone(row.storedAt ?? row.createdAt, 'UTC')
        }}</span>
        <template v-else>{{ column.of!(row) }}</template>
      </template>
    </DataTable>
  </BasePanel>
</template>
