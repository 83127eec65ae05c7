import { useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import type { KitChoices } from '#shared/kitChoices'
import type { TargetKey } from '#shared/tableImport/targets'
import type { MethodBody } from '#core/method/method'
import type { readRow, RowProblem } from '#shared/tableImport/readRow'
import { ask, problemOf, send } from '~/api/send'
import { emptyRows } from '~/utils/notebook'

/** What is wrong with a cell, or with its row as a whole (`key` null). */
export interface NotebookProblem {
  row: number
  key: TargetKey | null
  text: string
}

const newPage = (): NotebookPage => ({
  id: '',
  sent: '',
  units: 'metric',
  setupId: '',
  fuelBatchId: '',
  methodId: null,
  personId: '',
  placeId: null,
  day: '',
  zone: 'UTC',
  added: [],
  all: {},
  rows: emptyRows(),
})

/** The page of this browser: kept on every key, checked as its rows are left, stored as one table. */
export function useNotebook(kit: KitChoices) {
  const page = useLocalStorage<NotebookPage>('vulcanum.notebook', newPage())
  letGo(page.value, kit)
  const method = computed(() => kit.methods.find((one) => one.id === page.value.methodId)?.body ?? null)
  const shape = computed(() => notebookColumns(method.value, page.value.placeId === null, page.value.added))
  const columns = computed(() => shape.value.columns)
  const filled = computed(() => filledRows(page.value, columns.value))
  const clear = () => {
    const { setupId, fuelBatchId, methodId, personId, placeId, units, added } = page.value
    page.value = { ...newPage(), setupId, fuelBatchId, methodId, personId, placeId, units, added }
  }
  return {
    page,
    method,
    columns,
    more: computed(() => shape.value.more),
    filled,
    clear,
    ...useNotebookCheck(page, columns, method),
  }
}

const TOP = { setupId: 'Set-up', fuelBatchId: 'Fuel', personId: 'Who', day: 'Day' } as const
export type TopKey = keyof typeof TOP

const isDay = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text)
function topProblem(key: TopKey, text: string): string | null {
  if (text === '') return `${TOP[key]}: choose what all these runs have.`
  return key !== 'day' || isDay(text) ? null : `Day: read “${text}”, expected a day such as 5 Aug 2026. Type it so.`
}

const LISTS = [
  ['setupId', 'setups', ''],
  ['fuelBatchId', 'fuels', ''],
  ['personId', 'people', ''],
  ['methodId', 'methods', null],
  ['placeId', 'places', null],
] as const
/** What was chosen and is no longer in the kit, or is of another workspace, is to be chosen anew. */
function letGo(page: NotebookPage, kit: KitChoices) {
  for (const [key, list, none] of LISTS)
    if (!kit[list].some((one) => one.id === page[key])) Object.assign(page, { [key]: none })
}

/** Rows are read as an import reads them, in this browser; what is chosen on top is asked for before any of it. */
function useNotebookCheck(
  page: Ref<NotebookPage>,
  columns: ComputedRef<TargetKey[]>,
  method: ComputedRef<MethodBody | null>,
) {
  const reader = shallowRef<typeof readRow | null>(null)
  const load = async () => {
    reader.value ??= (await import('#shared/tableImport/readRow')).readRow
  }
  const topProblems = computed(() =>
    (Object.keys(TOP) as TopKey[]).flatMap((key) => {
      const text = topProblem(key, page.value[key])
      return text === null ? [] : [{ key, text }]
    }),
  )
  const problems = computed<NotebookProblem[]>(() => {
    const read = reader.value
    if (read === null) return []
    // The day is asked for on top; rows are read meanwhile.
    const dated = { ...page.value, day: isDay(page.value.day) ? page.value.day : '2000-01-01' }
    const mapping = notebookMapping(dated, columns.value, method.value)
    return filledRows(page.value, columns.value).flatMap(({ at, cells }) => {
      const row = read(cells, mapping, Date.now())
      return row.ok ? [] : rowProblems(columns.value, cells, row.problems).map((problem) => ({ row: at, ...problem }))
    })
  })
  return { load, topProblems, problems, ...useNotebookStoring(page, columns, method) }
}

const isTime = (key: TargetKey) => key.startsWith('times.')
/** What is wrong with a row, by its columns. The clock's zero is no column: where no time is typed, one is asked for. */
function rowProblems(
  columns: readonly TargetKey[],
  cells: readonly string[],
  problems: readonly RowProblem[],
): Omit<NotebookProblem, 'row'>[] {
  const own = problems.map(({ column, text }) => ({ key: column === null ? null : (columns[column] ?? null), text }))
  if (columns.some((key, i) => isTime(key) && cells[i])) return own
  const first = columns.find(isTime) ?? null
  const asked = { key: first, text: 'Times: read nothing, expected one such as 5:12. Type one, or clear the row.' }
  return [...own.filter((one) => one.key !== null), asked]
}

/** Stores the page: as a file that comes in, so that it is undone as one is. */
function useNotebookStoring(
  page: Ref<NotebookPage>,
  columns: ComputedRef<TargetKey[]>,
  method: ComputedRef<MethodBody | null>,
) {
  const storing = ref(false)
  const refused = ref('')
  async function store(again: boolean): Promise<string | null> {
    storing.value = true
    refused.value = await sendPage(page.value, columns.value, method.value, again)
    storing.value = false
    return refused.value === '' ? page.value.id : null
  }
  return { store, storing, refused }
}

/** @returns what went wrong; '': it is being stored */
async function sendPage(
  page: NotebookPage,
  columns: readonly TargetKey[],
  method: MethodBody | null,
  again: boolean,
): Promise<string> {
  const { notebookTable } = await import('~/utils/notebookTable')
  const table = notebookTable(page, columns)
  // Under one id the server takes one file: what was changed since is another.
  if (page.sent !== table) Object.assign(page, { id: uuidv7(), sent: table })
  const name = `Notebook page of ${page.day}.csv`
  const staged = await ask<unknown>(`/api/imports/${page.id}?${new URLSearchParams({ name }).toString()}`, {
    method: 'PUT',
    body: new Blob([table]),
    type: 'application/octet-stream',
  })
  if (!staged.ok) return problemOf(staged)
  const mapping = notebookMapping(page, columns, method)
  const body = { what: 'runs', mapping, personId: page.personId, leaveOut: false, again }
  return problemOf(await send(`/api/imports/${page.id}/store`, 'POST', body))
}
