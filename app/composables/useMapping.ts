import { guessMapping } from '#shared/tableImport/guess'
import type { ImportPage, StoredMapping } from '#shared/tableImport/imports'
import type { NameTarget } from '#shared/tableImport/targets'
import { guessChannels } from '#shared/tableImport/guessChannels'

/** Both readings of a file, of runs and of a trace, and which of them is meant. */
export function useMapping(page: ImportPage, runId: string) {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
  // What was sent last and could not be stored is gone on with; else it is a first reading.
  const sent = page.mapping
  const firstRuns = sent?.what === 'runs' ? sent.mapping : page.guessed
  const firstTrace = sent?.what === 'trace' ? sent.mapping : page.guessedTrace && { ...page.guessedTrace, runId }
  const runs = ref(firstRuns ? { ...structuredClone(toRaw(firstRuns)), zone: firstRuns.zone || zone } : null)
  const trace = ref(firstTrace ? structuredClone(toRaw(firstTrace)) : null)
  const likeRuns = (runs.value?.columns.filter((column) => column.to !== '').length ?? 0) >= 3
  const what = ref<StoredMapping['what']>(
    page.mapping?.what ?? (trace.value !== null && (runId !== '' || !likeRuns) ? 'trace' : 'runs'),
  )
  const mapping = computed<StoredMapping | null>(() => {
    if (what.value === 'trace') return trace.value && { what: 'trace', mapping: trace.value }
    return runs.value && { what: 'runs', mapping: runs.value }
  })
  function setSheet(sheet: number) {
    const rows = page.heads[sheet] ?? []
    if (runs.value) Object.assign(runs.value, guessMapping(rows, { zone, sheet }))
    const guessed = guessChannels(rows, sheet)
    if (trace.value && guessed) Object.assign(trace.value, { ...guessed, runId: trace.value.runId })
  }
  /** Headings elsewhere: the columns are guessed anew by them. */
  function setHeaderRow(headerRow: number) {
    if (what.value === 'trace') {
      if (trace.value) trace.value.headerRow = headerRow
      return
    }
    if (!runs.value) return
    const rows = page.heads[runs.value.sheet] ?? []
    const { columns } = guessMapping(rows.slice(headerRow), { zone })
    Object.assign(runs.value, headerRow < 0 ? { headerRow } : { headerRow, columns })
  }
  return { runs, trace, what, mapping, setSheet, setHeaderRow }
}

/** What a name can stand for, by kind. */
export function useKitNames() {
  const { data: kit } = useKit()
  const named = (list: readonly { id: string; name: string }[] | undefined) =>
    (list ?? []).map(({ id, name }) => ({ value: id, label: name }))
  return computed<Record<NameTarget, { value: string; label: string }[]>>(() => ({
    setup: named(kit.value?.setups),
    place: named(kit.value?.places),
    person: named(kit.value?.people),
    method: named(kit.value?.methods),
    fuel: (kit.value?.fuels ?? []).map(({ id, fuel, batch }) => ({ value: id, label: `${fuel}, ${batch}` })),
  }))
}
