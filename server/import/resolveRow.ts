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
  const problems: RowProblem[] = read.ok ? [] : [...read.problems]
  const unknown: { target: NameTarget; name: string }[] = []
  const columnOf = (target: NameTarget) => {
    const i = mapping.columns.findIndex((one) => one.to === target)
    return i < 0 ? null : i
  }
  const written = (target: NameTarget) =>
    read.ok ? read.row.names[target] : (cells[columnOf(target) ?? -1] ?? '').trim()
  const find = <K extends NameTarget>(target: K): Named<Kit[K][number]['is']> | null => {
    const found = findName(kit, target, written(target), mapping, target === 'fuel' && read.ok ? read.row.batch : '')
    if (found.ok) return found.value
    const name = 'unknown' in found ? found.unknown : found.ambiguous
    unknown.push({ target, name })
    problems.push({
      column: columnOf(target),
      text:
        'unknown' in found
          ? `${targetOf(target)!.name}: ${shown(name)} is not known here. Choose what it is, ${target === 'method' ? 'or leave the column out' : 'or have it made'}.`
          : `${targetOf(target)!.name}: ${shown(name)} may be several here. Choose which.`,
    })
    return null
  }
  const [setup, place, fuel, person, method] = [
    find('setup'),
    find('place'),
    find('fuel'),
    find('person'),
    find('method'),
  ]
  for (const [target, one] of [
    ['setup', setup],
    ['fuel', fuel],
    ['person', person],
  ] as const) {
    if (one === null && !unknown.some((each) => each.target === target))
      problems.push({
        column: columnOf(target),
        text: `${targetOf(target)!.name}: read nothing. Choose one for rows that name none.`,
      })
  }
  if (!read.ok || setup === null || fuel === null || person === null || problems.length > 0)
    return { ok: false, problems, unknown }
  const mismatch = mismatchOf(setup, fuel)
  if (mismatch !== null) problems.push({ column: columnOf('fuel'), text: mismatch })
  const row = { ...read.row, test: testBy(read.row, method, mapping) }
  if (method?.is && KIND_OF_TEST[method.is.body.test] !== KIND_OF_TEST[row.test])
    problems.push({
      column: columnOf('method'),
      text: `Method: it is for another test (${method.is.body.test}) than this row’s (${row.test}).`,
    })
  for (const problem of crossCheckReadings(row.read, place?.is?.pressure ?? null, row.test))
    problems.push({ column: null, text: problem.text })
  return problems.length > 0
    ? { ok: false, problems, unknown }
    : { ok: true, value: { row, setup, fuel, place, person, method } }
}

/** A method says which test it is, where the row does not. */
const testBy = (row: ImportedRow, method: Named<KnownMethod> | null, { columns }: TableMapping) =>
  method?.is && !columns.some((column) => column.to === 'kind') ? method.is.body.test : row.test

export const unknownNames = (): Record<NameTarget, Map<string, number>> =>
  Object.fromEntries(NAME_TARGETS.map((target) => [target, new Map<string, number>()])) as Record<
    NameTarget,
    Map<string, number>
  >
