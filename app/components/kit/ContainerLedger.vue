<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import { ENTRY_WORDS } from '#shared/fuelBatch'
import type { ContainerPage } from '#shared/kitRecords'

/** Every weighing of a container, and what each run took of it, newest first. */
type Line = ContainerPage['ledger'][number] & { key: string }
const props = defineProps<{ ledger: ContainerPage['ledger'] }>()
const { units } = usePreferences()
const lines = computed<Line[]>(() => props.ledger.map((line, i) => ({ ...line, key: String(i) })).reverse())
const massOf = (kg: number | null) => (kg === null ? '' : shown(kg, 'mass', units.value))
const took = (line: Line) => (line.usedKg === null && line.what === 'run' ? 'not weighed' : massOf(line.usedKg))
/** What no run accounts for, of a gram or more. */
function missing({ unexplainedKg }: Line): string | null {
  if (unexplainedKg === null || Math.abs(unexplainedKg) < 0.001) return null
  const less = unexplainedKg < 0 ? 'less' : 'more'
  return `${formatNumber(Math.abs(unexplainedKg) * 1000, 1)} g ${less} than its runs leave: evaporated, leaked, or a run not logged?`
}
const columns: DataColumn<Line>[] = [
  { key: 'when', words: 'When', of: (line) => dateInZone(line.at, 'UTC') },
  { key: 'what', words: 'What', of: (line) => line.setup ?? line.what },
  { key: 'scale', words: 'Scale', figure: true, of: (line) => line.typed },
  { key: 'took', words: 'Took', figure: true, of: took },
  { key: 'fill', words: 'In it', figure: true, of: (line) => massOf(line.fillKg) },
]
</script>

<template>
  <BasePanel tight title="Ledger">
    <DataTable caption="Weighings and runs" :rows="lines" :columns="columns" :id-of="(line) => line.key">
      <template #cell="{ row, column }">
        <template v-if="column.key === 'what'">
          <NuxtLink v-if="row.runId" :to="`/runs/${row.runId}`" dir="auto">{{
            row.setup ?? 'a run'
          }}</NuxtLink><template v-else-if="row.what !== 'run'">{{
            ENTRY_WORDS[row.what as keyof typeof ENTRY_WORDS]
          }}</template
          >{{ ' ' }}
          <span class="text-ink-2" dir="auto">{{ row.note }}</span>
          <span v-if="missing(row)" class="block bg-caution px-1 text-on-caution">{{ missing(row) }}</span>
        </template>
        <span v-else-if="column.key === 'when'" class="figures text-[13px]">{{ column.of!(row) }}</span>
        <template v-else>{{ column.of!(row) }}</template>
      </template>
    </DataTable>
  </BasePanel>
</template>
