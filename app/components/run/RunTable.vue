<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { RunGroup, RunGroupLine, RunSort, RunSortKey } from '#shared/runList'
import type { RunLine } from '#shared/runRecord'

/** Runs, a line each, with ribbons on one time axis, under the heads of their groups. */
const props = defineProps<{
  runs: RunLine[]
  count: number
  sort: RunSort
  group: RunGroup | null
  groups: RunGroupLine[]
  columns: RunColumnKey[]
  picked: ReadonlySet<string>
}>()
const emit = defineEmits<{ sort: [by: RunSortKey]; pick: [picked: Set<string>]; near: [] }>()
const AXIS_OF = 200
const spanS = computed(() => sharedSpan(props.runs.slice(0, AXIS_OF).map((run) => run.ribbon.endS)))
const columns = computed(() =>
  props.columns.map((key) =>
    key === 'ribbon' ? { ...RUN_COLUMN.ribbon, unit: `0–${formatClock(spanS.value)}` } : RUN_COLUMN[key],
  ),
)
/** The column that the order is by. */
const sorted = computed(() => ({
  by: RUN_COLUMNS.find((key) => RUN_COLUMN[key].sort === props.sort.by) ?? props.sort.by,
  down: props.sort.down,
}))
const nameOf = (run: RunLine) => `${run.setup}, ${dateInZone(run.startedAt, run.zone)}`
const heads = computed(() => new Map(props.groups.map((one) => [one.id, one])))
function headOf(run: RunLine, before: RunLine | undefined): string | null {
  const { group } = props
  if (group === null) return null
  const { id } = groupOf(run, group)
  return before && groupOf(before, group).id === id ? null : id
}
const headLine = (run: RunLine): RunGroupLine => {
  const of = groupOf(run, props.group!)
  return heads.value.get(of.id) ?? { ...of, count: 0, lowGPerL: null, highGPerL: null }
}

const keys = useKeys()
const sheet = useTemplateRef<{ $el: HTMLElement }>('sheet')
const links = () => [...(sheet.value?.$el.querySelectorAll<HTMLElement>('a[data-run]') ?? [])]
function step(by: number) {
  const all = links()
  all[Math.min(all.length - 1, Math.max(0, all.indexOf(document.activeElement as HTMLElement) + by))]?.focus()
}
keys.on('rowDown', () => step(1))
keys.on('rowUp', () => step(-1))
const idOfRow = () => document.activeElement?.closest('tr')?.dataset.id
keys.on('pick', () => {
  const id = idOfRow()
  if (!id) return
  const now = new Set(props.picked)
  if (!now.delete(id)) now.add(id)
  emit('pick', now)
})
keys.on('again', () => {
  const id = idOfRow()
  if (id) void navigateTo({ path: '/bench/prepare', query: { again: id } })
})
</script>

<template>
  <BasePanel ref="sheet" as="div" bare>
    <DataTable
      caption="Runs"
      fixed
      :rows="runs"
      :columns="columns"
      :id-of="(run) => run.id"
      :name-of="nameOf"
      :head-of="headOf"
      :count="count"
      :sorted="sorted"
      :picked="picked"
      @sort="emit('sort', RUN_COLUMN[$event as RunColumnKey].sort!)"
      @pick="emit('pick', $event)"
      @near="emit('near')"
    >
      <template #head="{ row }"><RunGroupRow :line="headLine(row)" :group="group!" /></template>
      <template #cell="{ row, column }">
        <RunCell :run="row" :column="column.key as RunColumnKey" :span-s="spanS" />
      </template>
    </DataTable>
  </BasePanel>
</template>
