/** Imports as their pages read them; and throwing away what was staged. */
import { guessMapping, LOOKED_AT } from '../../shared/tableImport/guess'
import {
  type ImportLine,
  type ImportPage,
  type ImportPreview,
  type StoredMapping,
  EMPTY_UNKNOWN,
  SHOWN,
} from '../../shared/tableImport/imports'
import type { TableMapping } from '../../shared/tableImport/mapping'
import { readMapping } from '../../shared/tableImport/readMapping'
import { readTraceMapping } from '../../shared/tableImport/readTraceMapping'
import { guessChannels } from '../../shared/tableImport/guessChannels'
import { readChannels, type TraceMapping } from '../../shared/tableImport/traceMapping'
import { formatClock, formatNumber } from '../../core/quantity/format'
import { fromSI, unitOf } from '../../core/quantity/units'
import { problemText } from '../../core/result'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import type { Connection, Database } from '../database/connection'
import { invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { readDocuments } from './documents'
import { previewTable } from './preview'
import {
  deleteOldStaged,
  deleteStaged,
  importRow,
  importRows,
  newestOfHeadings,
  putBack,
  type ImportRow,
} from './repository/imports'
import { headsOf, rowsOf } from './stage'
import { isAbandoned, storedAlike } from './store'

const MOST_LISTED = 200
/** Those that were stored, newest first; and what is still staged. */
export async function listImports(db: Connection): Promise<ImportLine[]> {
  return (await importRows(db, MOST_LISTED)).map(lineOf)
}

function lineOf(row: ImportRow): ImportLine {
  const { id, fileName, kind, state, createdAt, storedAt, undoneAt, sheets, done, stored, leftOut, trouble, mapping } =
    row
  return {
    id,
    fileName,
    kind,
    state,
    what: mapping?.what ?? null,
    createdAt: createdAt.toISOString(),
    storedAt: storedAt?.toISOString() ?? null,
    undoneAt: undoneAt?.toISOString() ?? null,
    rows: sheets.reduce((sum, sheet) => sum + sheet.rows, 0),
    done,
    stored,
    leftOut,
    trouble,
  }
}

export async function findImport(db: Database, id: string): Promise<ImportPage | null> {
  const row = await standing(db, id)
  if (row === null) return null
  const heads = row.state === 'staged' || row.state === 'storing' ? await headsOf(db, id) : []
  const before = await newestOfHeadings(db, row)
  return {
    ...lineOf(row),
    sheets: row.sheets,
    notes: row.notes,
    heads: row.kind === 'table' ? heads.map((rows) => rows.slice(0, SHOWN_HEAD)) : [],
    mapping: row.mapping,
    ...guessedOf(row.kind, heads, before?.mapping ?? null),
    guessedFrom: before === null ? null : { fileName: before.fileName, at: before.at },
    alike: await storedAlike(db, row),
    runId: row.mapping?.what === 'trace' ? row.mapping.mapping.runId : null,
  }
}
/** As many first rows of a sheet are shown. */
const SHOWN_HEAD = 12

/** As the newest table of the same headings was read; else by what the first sheet with rows says. */
function guessedOf(
  kind: ImportRow['kind'],
  heads: readonly string[][][],
  before: StoredMapping | null,
): Pick<ImportPage, 'guessed' | 'guessedTrace'> {
  const sheet = Math.max(
    0,
    heads.findIndex((rows) => rows.length > 1),
  )
  const looked = kind === 'table' ? (heads[sheet] ?? []).slice(0, LOOKED_AT) : []
  const isTable = looked.length > 0
  const asRuns = isTable || kind === 'documents' ? guessMapping(looked, { zone: '', sheet }) : null
  const asTrace = isTable ? guessChannels(looked, sheet) : null
  return {
    guessed: before?.what === 'runs' ? before.mapping : asRuns,
    guessedTrace: before?.what === 'trace' ? { ...before.mapping, runId: '' } : asTrace,
  }
}

/** One whose process ended while it stored is staged again. */
async function standing(db: Database, id: string): Promise<ImportRow | null> {
  const row = await importRow(db, id)
  if (row?.state !== 'storing') return row
  const trouble = 'The server ended while this was stored. Nothing of it was kept; store it again.'
  return db.transaction(async (tx) => {
    if (!(await isAbandoned(tx, row))) return row
    // Between the reading and the lock it may have been stored.
    await putBack(tx, id, trouble)
    return importRow(tx, id)
  })
}

/** What was staged and never stored is of no use after a while. */
const KEPT_DAYS = 7
export const dropOldStaged = (db: Connection): Promise<void> => deleteOldStaged(db, KEPT_DAYS)
export const dropStaged = async (db: Connection, id: string): Promise<Outcome<null>> =>
  (await deleteStaged(db, id))
    ? saved(null)
    : invalidAt('', 'This is stored, or gone already. What is stored can be undone.')

export type ReadStored =
  { ok: true; mapping: StoredMapping } | { ok: false; problems: { path: string; text: string }[] }
/** A mapping as it is sent: of runs, or of a trace. */
export function readStoredMapping(input: unknown): ReadStored {
  const { what, mapping } = (input ?? {}) as { what?: unknown; mapping?: unknown }
  if (what === 'trace') {
    const read = readTraceMapping(mapping)
    return read.ok ? { ok: true, mapping: { what, mapping: read.value } } : read
  }
  const read = readMapping(mapping)
  return read.ok ? { ok: true, mapping: { what: 'runs', mapping: read.value } } : read
}

/** What would be stored by a mapping. */
export async function previewImport(
  db: Connection,
  id: string,
  input: unknown,
  nowMs: number,
): Promise<Outcome<ImportPreview>> {
  const read = readStoredMapping(input)
  if (!read.ok) return { status: 'invalid', problems: read.problems }
  const row = await importRow(db, id)
  if (row === null) return notFound('import')
  const { mapping } = read
  if (mapping.what === 'trace')
    return saved(previewTrace(await rowsOf<string[]>(db, id, mapping.mapping.sheet), mapping.mapping))
  if (row.kind === 'documents') return saved(previewDocuments(await rowsOf(db, id, 0), mapping.mapping))
  return saved(await previewTable(db, await rowsOf<string[]>(db, id, mapping.mapping.sheet), mapping.mapping, nowMs))
}

function previewDocuments(documents: readonly unknown[], mapping: TableMapping): ImportPreview {
  const read = readDocuments(documents)
  return {
    good: read.good.length,
    bad: read.bad,
    faults: read.faults.slice(0, SHOWN.faults),
    asks: { dateOrder: false, decimal: false, units: [] },
    unknown: EMPTY_UNKNOWN(),
    problems:
      mapping.day === '' ? [{ path: 'day', text: 'Day: a document says no date. Type the day they were burned.' }] : [],
    rows: read.good.slice(0, SHOWN.rows).map(({ row, document: { setup, fuel, water, events, trace } }) => ({
      row,
      cells: {
        'Set-up': setup ?? '',
        Fuel: fuel.kind ?? '',
        Water: water.massG === null ? '' : `${water.massG} g`,
        'Start temperature': water.startC === null ? '' : `${water.startC} °C`,
        Marks: String(events.length),
        Samples: String(trace.length),
      },
    })),
  }
}

function previewTrace(rows: readonly string[][], mapping: TraceMapping): ImportPreview {
  const read = readChannels(rows, mapping)
  const none: ImportPreview = {
    good: 0,
    bad: 0,
    rows: [],
    faults: [],
    asks: {
      dateOrder: false,
      decimal: false,
      units: mapping.columns.flatMap(({ to, unit }, i) => (to !== '' && to !== 'time' && unit === '' ? [i] : [])),
    },
    unknown: EMPTY_UNKNOWN(),
    problems: [],
  }
  if (!read.ok)
    return {
      ...none,
      asks: { ...none.asks, dateOrder: read.problem.code === 'date-order' },
      problems: [{ path: '', text: problemText(read.problem) }],
    }
  const { channels, notes } = read.value
  return {
    ...none,
    good: channels.reduce((sum, one) => sum + one.samples.length, 0),
    problems: notes.map((text) => ({ path: 'note', text })),
    rows: channels.map(({ channel, samples }, i) => ({ row: i + 1, cells: traceCells(channel, samples) })),
  }
}

function traceCells(channel: ChannelName, samples: readonly [number, number][]): Record<string, string> {
  const { name, shownIn } = CHANNELS[channel]
  const unit = unitOf(shownIn)
  const shown = (value: number) => `${formatNumber(fromSI(value, unit), 1)} ${unit.label}`
  const [first, last] = [samples[0]!, samples.at(-1)!]
  return {
    Follows: name,
    Samples: String(samples.length),
    From: `${formatClock(first[0])}, ${shown(first[1])}`,
    To: `${formatClock(last[0])}, ${shown(last[1])}`,
  }
}
