<script setup lang="ts">
import type { StudyLine } from '#shared/plan'

/** Studies: what is to be burned, and how far each is. */
useHead({ title: 'Plan · Vulcanum' })
const { data, error } = await useFetch<StudyLine[]>('/api/plan')
const NOTHING =
  'Nothing is planned. Most series fail before the first flame: two things changed at once, one run each, hot hardware. ' +
  'A plan takes care of that.'
const columns: DataColumn<StudyLine>[] = [
  { key: 'sentence', words: 'Question', sorts: true, of: ({ sentence }) => sentence },
  { key: 'day', words: 'First day', sorts: true, of: ({ firstDay }) => firstDay },
  { key: 'runs', words: 'Burned', figure: true, of: ({ burned, runs }) => `${burned} of ${runs}` },
  { key: 'state', words: 'State', sorts: true, of: ({ state }) => state },
]
</script>

<template>
  <div class="max-w-6xl">
    <div class="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h1>Plan</h1>
      <BaseButton kind="main" to="/plan/new">Plan a test day</BaseButton>
    </div>
    <BaseAlert v-if="error">The studies could not be read. Check that Vulcanum is running, then reload.</BaseAlert>
    <EmptyState v-else-if="!data?.length" :words="NOTHING">
      <BaseButton to="/compare">What your runs can answer</BaseButton>
    </EmptyState>
    <BasePanel v-else as="div" bare>
      <DataTable caption="Studies" :rows="data" :columns="columns" :id-of="({ id }) => id">
        <template #cell="{ row, column }">
          <NuxtLink v-if="column.key === 'sentence'" :to="`/plan/${row.id}`">{{ row.sentence }}</NuxtLink>
          <template v-else-if="column.key === 'day'">{{ dayWords(row.firstDay) }}</template>
          <template v-else>{{ column.of?.(row) ?? '' }}</template>
        </template>
      </DataTable>
    </BasePanel>
  </div>
</template>
