<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import { OBSERVATIONS, type ObservationScale } from '#shared/observation'
import type { SeenAnswer } from '#shared/answers'

/** Cleanliness as counts on the anchored scales, never averages; flame patterns by set-up and wind. */
const { answer: data, error } = await useAsked<SeenAnswer>('/api/compare/seen')
type Row = SeenAnswer['rows'][number]
const stepWord = (scale: string, step: string) =>
  (OBSERVATIONS[scale as ObservationScale].steps as Record<string, string>)[step] ?? step
/** "4 none, 2 a film, wipes off with a finger". */
const counted = (row: Row, scale: string, steps: readonly string[]) =>
  steps
    .flatMap((step) => {
      const n = row.counts[scale]?.[step] ?? 0
      return n === 0 ? [] : [`${n} × ${stepWord(scale, step)}`]
    })
    .join('; ')
const columns = computed<DataColumn<Row>[]>(() => [
  { key: 'name', words: 'Set-up', of: ({ name }) => name },
  ...(data.value?.scales ?? []).map(({ scale, label, steps }) => ({
    key: scale,
    words: label,
    of: (row: Row) => counted(row, scale, steps),
  })),
])
const wind = (windMS: number | null) =>
  windMS === null ? 'wind not read' : windMS < 0.3 ? 'calm' : `${formatNumber(windMS, 1)} m/s`
</script>

<template>
  <ComparePage sentence="What was seen" :error="error">
    <template v-if="data">
      <BasePanel tight title="How clean">
        <p class="mb-2 text-ink-2">So many runs at each step of a scale; steps are not averaged.</p>
        <DataTable
          v-if="data.rows.length"
          caption="How clean"
          :rows="data.rows"
          :columns="columns"
          :id-of="({ setupId }) => setupId"
        />
        <p v-else>Nobody wrote down soot, residue, smell or smoke yet.</p>
      </BasePanel>
      <BasePanel tight title="Flame patterns, by set-up and wind">
        <section v-for="one in data.flames" :key="one.setupId" class="mb-3" :aria-label="one.name">
          <h3>
            <NuxtLink :to="`/kit/setups/${one.setupId}`">{{ one.name }}</NuxtLink>
          </h3>
          <ul class="pattern-grid">
            <li v-for="cell in one.cells" :key="cell.runId" class="pattern-cell" :data-step="cell.step">
              <NuxtLink :to="`/runs/${cell.runId}`" class="text-ink no-underline hover:underline">
                <img
                  v-if="cell.photoId"
                  class="photo"
                  :src="`/api/photos/${cell.photoId}/thumbnail`"
                  :alt="`Flame of ${one.name}, ${wind(cell.windMS)}: ${cell.words}`"
                  loading="lazy"
                />
                <span class="figures block">{{ wind(cell.windMS) }}{{ cell.n > 1 ? ` × ${cell.n}` : '' }}</span>
                <span class="block text-ink-2">{{ cell.words }}</span>
              </NuxtLink>
            </li>
          </ul>
        </section>
        <p v-if="data.flames.length === 0">Nobody wrote down a flame yet.</p>
      </BasePanel>
    </template>
  </ComparePage>
</template>
