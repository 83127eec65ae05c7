/** A row that could be read, with its names found in the kit: what storing it needs, or what is wrong with it. */
import { KIND_OF_TEST } from '../../core/method/method'
import { crossCheckReadings } from '../../shared/typedRunChecks'
import { shown } from '../../shared/readProblems'
import type { TableMapping } from '../../shared/tableImport/mapping'
import { readRow, type ImportedRow, type RowProblem } from '../../shared/tableImport/readRow'
import { NAME_TARGETS, targetOf, type NameTarget } from '../../shared/tableImport/targets'
import {
  findName,
  mismatchOf,
  type Kit,
  type KnownFuel,
  type KnownMethod,
  type KnownPlace,
  type KnownSetup,
  type Named,
} from './kitNames'

export interface ResolvedRow {
  row: ImportedRow
  setup: Named<KnownSetup>
  fuel: Named<KnownFuel>
  place: Named<KnownPlace> | null
  person: Named<null>
  method: Named<KnownMethod> | null
}
export type RowOutcome =
  | { ok: true; value: ResolvedRow }
  | { ok: false; problems: RowProblem[]; unknown: { target: NameTarget; name: string }[] }

/** Whether a row says nothing at all. */
export const isBlank = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '')

export function resolveRow(cells: readonly string[], mapping: TableMapping, kit: Kit, nowMs: number): RowOutcome {
  const read = readRow(cells, mapping, nowMs)
  const names = new RowNames(cells, mapping, kit, read.ok ? read.row : null)
  const found = {
    setup: names.find('setup'),
    place: names.find('place'),
    fuel: names.find('fuel'),
    person: names.find('person'),
    method: names.find('method'),
  }
  names.wantEach(found)
  const problems = [...(read.ok ? [] : read.problems), ...names.problems]
  const { setup, place, fuel, person, method } = found
  if (!read.ok || setup === null || fuel === null || person === null || problems.length > 0)
    return { ok: false, problems, unknown: names.unknown }
  const row = { ...read.row, test: testBy(read.row, method, mapping) }
  const value: ResolvedRow = { row, setup, fuel, place, person, method }
  const contradictions = contradictionsOf(value, (target) => names.columnOf(target))
  return contradictions.length > 0 ? { ok: false, problems: contradictions, unknown: [] } : { ok: true, value }
}

/** The names of one row, looked for in the kit. */
class RowNames {
  readonly problems: RowProblem[] = []
  readonly unknown: { target: NameTarget; name: string }[] = []

  constructor(
    private readonly cells: readonly string[],
    private readonly mapping: TableMapping,
    private readonly kit: Kit,
    private readonly row: ImportedRow | null,
  ) {}

  columnOf(target: NameTarget): number | null {
    const i = this.mapping.columns.findIndex((one) => one.to === target)
    return i < 0 ? null : i
  }

  /** Null: it has none, or it is not known. */
  find<K extends NameTarget>(target: K): Named<Kit[K][number]['is']> | null {
    const batch = target === 'fuel' ? (this.row?.batch ?? '') : ''
    const found = findName(this.kit, target, this.#written(target), this.mapping, batch)
    if (found.ok) return found.value
    const name = 'unknown' in found ? found.unknown : found.ambiguous
    const instead = target === 'method' ? 'or leave the column out' : 'or have it made'
    this.unknown.push({ target, name })
    this.#faulty(
      target,
      'unknown' in found
        ? `${shown(name)} is not known here. Choose what it is, ${instead}.`
        : `${shown(name)} may be several here. Choose which.`,
    )
    return null
  }

  /** What no run can do without. */
  wantEach(found: Record<'setup' | 'fuel' | 'person', Named<unknown> | null>): void {
    for (const target of ['setup', 'fuel', 'person'] as const)
      if (found[target] === null && !this.unknown.some((each) => each.target === target))
        this.#faulty(target, 'read nothing. Choose one for rows that name none.')
  }

  #written(target: NameTarget): string {
    return this.row ? this.row.names[target] : (this.cells[this.columnOf(target) ?? -1] ?? '').trim()
  }

  #faulty(target: NameTarget, text: string): void {
    this.problems.push({ column: this.columnOf(target), text: `${targetOf(target)!.name}: ${text}` })
  }
}

/** What of a row does not go together. */
function contradictionsOf(
  { row, setup, fuel, place, method }: ResolvedRow,
  columnOf: (target: NameTarget) => number | null,
): RowProblem[] {
  const problems: RowProblem[] = []
  const mismatch = mismatchOf(setup, fuel)
  if (mismatch !== null) problems.push({ column: columnOf('fuel'), text: mismatch })
  if (method?.is && KIND_OF_TEST[method.is.body.test] !== KIND_OF_TEST[row.test])
    problems.push({
      column: columnOf('method'),
      text: `Method: it is for another test (${method.is.body.test}) than this row’s (${row.test}).`,
    })
  for (const { text } of crossCheckReadings(row.read, place?.is?.pressure ?? null, row.test))
    problems.push({ column: null, text })
  return problems
}

/** A method says which test it is, where the row does not. */
const testBy = (row: ImportedRow, method: Named<KnownMethod> | null, { columns }: TableMapping) =>
  method?.is && !columns.some((column) => column.to === 'kind') ? method.is.body.test : row.test

export const unknownNames = (): Record<NameTarget, Map<string, number>> =>
  Object.fromEntries(NAME_TARGETS.map((target) => [target, new Map<string, number>()])) as Record<
    NameTarget,
    Map<string, number>
  >
