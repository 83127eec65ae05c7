import {
  createSortedRowModel,
  rowSelectionFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type RowSelectionState,
  type SortingState,
  type Updater,
} from '@tanstack/vue-table'

export interface TableSort {
  by: string
  down: boolean
}
const features = tableFeatures({ rowSortingFeature, rowSelectionFeature, sortedRowModel: createSortedRowModel() })
const settled = <T>(to: Updater<T>, from: T): T => (typeof to === 'function' ? (to as (from: T) => T)(from) : to)

type Valued = { getValue: (id: string) => unknown }
const compared = (a: Valued, b: Valued, id: string) =>
  compareValues(a.getValue(id) as string | number, b.getValue(id) as string | number)
const columnsOf = <T>(columns: readonly DataColumn<T>[]) =>
  columns.map((column) => ({
    id: column.key,
    accessorFn: (row: T) => column.of?.(row) ?? undefined,
    enableSorting: column.sorts === true,
    sortUndefined: 'last' as const,
    sortFn: compared,
  }))
interface DataTableOptions<T> {
  rows: () => readonly T[]
  columns: () => readonly DataColumn<T>[]
  idOf: (row: T) => string
  sorted: () => TableSort | undefined
  picked: () => ReadonlySet<string>
  onSort: (by: string) => void
  onPick: (picked: Set<string>) => void
}

/** What the table package is told and asks for: the order, and what is picked. */
function useTableState<T>({ sorted, picked, onPick }: DataTableOptions<T>) {
  const own = ref<SortingState>([])
  const sorting = computed<SortingState>(() => {
    const given = sorted()
    return given ? [{ id: given.by, desc: given.down }] : own.value
  })
  const picks = computed<RowSelectionState>(() => Object.fromEntries([...picked()].map((id) => [id, true])))
  const onSortingChange = (to: Updater<SortingState>) => {
    own.value = settled(to, own.value)
  }
  const onRowSelectionChange = (to: Updater<RowSelectionState>) =>
    onPick(new Set(Object.entries(settled(to, picks.value)).flatMap(([id, is]) => (is ? [id] : []))))
  return { sorting, picks, onSortingChange, onRowSelectionChange }
}

/**
 * Rows in their order, and which of them are picked. Who gives `sorted` gives the rows in that order, and is asked for
 * another; else they are sorted here.
 */
export function useDataTable<T extends object>(options: DataTableOptions<T>) {
  const { sorting, picks, ...changes } = useTableState(options)
  const table = useTable({
    features,
    data: computed(options.rows),
    columns: computed(() => columnsOf(options.columns())),
    getRowId: options.idOf,
    manualSorting: computed(() => options.sorted() !== undefined),
    enableSortingRemoval: false,
    sortDescFirst: false,
    enableMultiSort: false,
    isRowRangeSelectionEvent: (event: unknown) => (event as MouseEvent).shiftKey,
    state: computed(() => ({ sorting: sorting.value, rowSelection: picks.value })),
    ...changes,
  })
  const rows = computed(() => {
    // The table's rows follow its state; naming it here has them followed.
    void sorting.value
    void options.rows()
    return table.getRowModel().rows
  })
  const sortBy = (key: string) =>
    options.sorted() === undefined ? table.getColumn(key)?.toggleSorting() : options.onSort(key)
  const isAllPicked = computed(() => rows.value.length > 0 && rows.value.every((row) => options.picked().has(row.id)))
  const pickAll = () => table.toggleAllRowsSelected(!isAllPicked.value)
  return { rows, sorting, sortBy, isAllPicked, pickAll }
}
