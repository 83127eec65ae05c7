import { guessMapping } from '#shared/tableImport/guess'
import type { ImportPage, StoredMapping } from '#shared/tableImport/imports'
import type { NameTarget } from '#shared/tableImport/targets'
import { guessChannels } from '#shared/tableImport/guessChannels'

/** Both readings of a file, of runs and of a trace, and which of them is meant. */
export function useMapping(page: ImportPage, runId: string) {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
  const first = firstReadings(page, runId)
  const runs = ref(first.runs && { ...first.runs, zone: first.runs.zone || zone })
  const trace = ref(first.trace)
  const what = ref<StoredMapping['what']>(page.mapping?.what ?? likelier(first, runId))
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

/** What was sent last and could not be stored is gone on with; else it is a first reading. */
function firstReadings({ mapping: sent, guessed, guessedTrace }: ImportPage, runId: string) {
  const runs = sent?.what === 'runs' ? sent.mapping : guessed
  const trace = sent?.what === 'trace' ? sent.mapping : guessedTrace && { ...guessedTrace, runId }
  return { runs: structuredClone(toRaw(runs)), trace: structuredClone(toRaw(trace)) }
}

/** A table of runs has at least so many columns that a run has. */
const COLUMNS_OF_RUNS = 3
function likelier({ runs, trace }: ReturnType<typeof firstReadings>, runId: string): StoredMapping['what'] {
  const known = runs?.columns.filter((column) => column.to !== '').length ?? 0
  return trace && (runId !== '' || known < COLUMNS_OF_RUNS) ? 'trace' : 'runs'
}

/** What a name can stand for, by kind. */
export function useKitNames() {
  const { data: kit } = useKit()
  return computed<Record<NameTarget, Offered[]>>(() => ({
    setup: namedChoices(kit.value?.setups ?? []),
    place: namedChoices(kit.value?.places ?? []),
    person: namedChoices(kit.value?.people ?? []),
    method: namedChoices(kit.value?.methods ?? []),
    fuel: fuelChoices(kit.value?.fuels ?? []),
  }))
}
