<script setup lang="ts" generic="T extends object">
import { useElementSize } from '@vueuse/core'
import type { TableSort } from '~/composables/useDataTable'

/** Rows that are sorted and picked; of many only those in view are drawn. What a cell shows, the slot says. */
const props = defineProps<{
  rows: readonly T[]
  columns: readonly DataColumn<T>[]
  idOf: (row: T) => string
  /** What the rows are. */
  caption: string
  /** Given where the rows come in their order from elsewhere. */
  sorted?: TableSort
  /** Given where rows can be picked, with what a row is called. */
  picked?: ReadonlySet<string>
  nameOf?: (row: T) => string
  /** A line that stands before a row, where it has one: its own key. */
  headOf?: (row: T, before: T | undefined) => string | null
  /** How many rows there are, where not all are here. */
  count?: number
  /** Columns keep their shares whatever is in them. */
  fixed?: boolean
}>()
const emit = defineEmits<{ sort: [by: string]; pick: [picked: Set<string>]; near: [] }>()
/** Told to the rows by the table: a style of its own would have each drawn anew with its neighbour. */
const ROW_PX = 36
/** Up to so many are drawn whole, so that the page prints and copies as it stands. */
const DRAWN_WHOLE = 200
const all = computed(() => props.count ?? props.rows.length)
const { rows, sorting, sortBy, isAllPicked, pickAll } = useDataTable<T>({
  rows: () => props.rows,
  columns: () => props.columns,
  idOf: props.idOf,
  sorted: () => props.sorted,
  picked: () => props.picked ?? new Set(),
  onSort: (by) => emit('sort', by),
  onPick: (picked) => emit('pick', picked),
})
const shownSort = computed<TableSort | undefined>(() => {
  const first = sorting.value[0]
  return first && { by: first.id, down: first.desc }
})
const lines = computed(() =>
  rows.value.flatMap((row, i) => {
    const head = props.headOf?.(row.original, rows.value[i - 1]?.original) ?? null
    const own = { key: row.id, px: ROW_PX, row, at: i, head: null as string | null }
    return head === null ? [own] : [{ ...own, key: `before ${row.id}`, head }, own]
  }),
)
const table = useTemplateRef<HTMLElement>('table')
const { shown, above, below } = useRowsInView(lines, {
  table: () => table.value,
  isWhole: () => all.value <= DRAWN_WHOLE,
  near: () => emit('near'),
})
/** Columns that go beyond the sheet are moved sideways; the head stays in sight only where they do not. */
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width: tablePx } = useElementSize(table)
const { width: sheetPx } = useElementSize(sheet)
const isWide = computed(() => tablePx.value > sheetPx.value + 1)
</script>

<template>
  <div
    ref="sheet"
    :class="isWide ? 'overflow-x-auto' : ''"
    :tabindex="isWide ? 0 : undefined"
    :role="isWide ? 'region' : undefined"
    :aria-label="isWide ? caption : undefined"
  >
    <table
      ref="table"
      class="data-table"
      :class="fixed ? 'data-table-fixed' : ''"
      :style="{ '--row': `${ROW_PX}px` }"
      :aria-rowcount="all + 1"
    >
      <caption class="sr-only">
        {{
          caption
        }}
      </caption>
      <colgroup v-if="fixed" class="max-md:hidden">
        <col v-if="picked" style="width: 36px" />
        <col
          v-for="column in columns"
          :key="column.key"
          :data-column="column.key"
          :style="{ width: `${column.em ?? 8}em` }"
        />
      </colgroup>
      <thead>
        <tr>
          <th v-if="picked" class="no-print w-8">
            <input
              type="checkbox"
              class="grid"
              :aria-label="`Pick the ${rows.length} shown`"
              :checked="isAllPicked"
              @change="pickAll"
            />
          </th>
          <DataTableHead
            v-for="column in columns"
            :key="column.key"
            :column="column"
            :sorted="shownSort"
            @sort="sortBy(column.key)"
          />
        </tr>
      </thead>
      <tbody>
        <tr v-if="above > 0" aria-hidden="true" :style="{ height: `${above}px` }" />
        <!-- A line whose facts stand is left alone: of many, one press would have all drawn anew. -->
        <DataTableRow
          v-for="{ key, row, at, head } in shown"
          :key="key"
          v-memo="[row, at, head, columns, picked?.has(row.id), nameOf, $slots.cell, $slots.head]"
          :row="row"
          :at="at"
          :head="head"
          :columns="columns"
          :picked="picked ? picked.has(row.id) : null"
          :name-of="nameOf"
        >
          <template #head><slot name="head" :row="row.original" :head="head" /></template>
          <template #cell="cell"
            ><slot name="cell" v-bind="cell">{{ cell.column.of?.(cell.row) ?? '' }}</slot></template
          >
        </DataTableRow>
        <tr v-if="below > 0" aria-hidden="true" :style="{ height: `${below}px` }" />
      </tbody>
    </table>
  </div>
</template>
