/** Imports as their pages read them; and throwing away what was staged. */
import { and, desc, eq, inArray, lt, sql } from 'drizzle-orm'
import { guessMapping, LOOKED_AT } from '../../shared/tableImport/guess'
import type { ImportLine, ImportPage, ImportPreview, StoredMapping } from '../../shared/tableImport/imports'
import { EMPTY_UNKNOWN, SHOWN } from '../../shared/tableImport/imports'
import { readMapping, type TableMapping } from '../../shared/tableImport/mapping'
import { guessChannels } from '../../shared/tableImport/guessChannels'
import { readChannels, readTraceMapping, type TraceMapping } from '../../shared/tableImport/traceMapping'
import { formatClock, formatNumber } from '../../core/quantity/format'
import { fromSI, unitOf } from '../../core/quantity/units'
import { problemText } from '../../core/result'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import type { Connection, Database } from '../database/connection'
import { tableImport } from '../database/schema'
import { invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { readDocuments } from './documents'
import { previewTable } from './preview'
import { headsOf, rowsOf } from './stage'
import { isAbandoned, storedAlike } from './store'

type Row = typeof tableImport.$inferSelect

/** Those that were stored, newest first; and what is still staged. */
export async function listImports(db: Connection): Promise<ImportLine[]> {
  return (await db.select().from(tableImport).orderBy(desc(tableImport.createdAt)).limit(200)).map(lineOf)
}

function lineOf(row: Row): ImportLine {
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
  if (!row) return null
  const heads = row.state === 'staged' || row.state === 'storing' ? await headsOf(db, id) : []
  const before = await mappedAlike(db, row)
  const sheet = Math.max(
    0,
    heads.findIndex((rows) => rows.length > 1),
  )
  const looked = (heads[sheet] ?? []).slice(0, LOOKED_AT)
  const table = row.kind === 'table' && looked.length > 0
  return {
    ...lineOf(row),
    sheets: row.sheets,
    notes: row.notes,
    heads: row.kind === 'table' ? heads.map((rows) => rows.slice(0, 12)) : [],
    mapping: row.mapping,
    guessed:
      before?.mapping.what === 'runs'
        ? before.mapping.mapping
        : row.kind === 'documents' || table
          ? guessMapping(table ? looked : [], { zone: '', sheet })
          : null,
    guessedTrace:
      before?.mapping.what === 'trace'
        ? { ...before.mapping.mapping, runId: '' }
        : table
          ? guessChannels(looked, sheet)
          : null,
    guessedFrom: before === null ? null : { fileName: before.fileName, at: before.at },
    alike: await storedAlike(db, row),
    runId: row.mapping?.what === 'trace' ? row.mapping.mapping.runId : null,
  }
}

/** One whose process ended while it stored is staged again. */
async function standing(db: Database, id: string): Promise<Row | null> {
  const [row] = await db.select().from(tableImport).where(eq(tableImport.id, id))
  if (!row) return null
  if (row.state !== 'storing') return row
  const trouble = 'The server ended while this was stored. Nothing of it was kept; store it again.'
  return db.transaction(async (tx) => {
    if (!(await isAbandoned(tx, row))) return row
    // Between the reading and the lock it may have been stored.
    await tx
      .update(tableImport)
      .set({ state: 'staged', done: 0, trouble })
      .where(and(eq(tableImport.id, id), eq(tableImport.state, 'storing')))
    const [now] = await tx.select().from(tableImport).where(eq(tableImport.id, id))
    return now!
  })
}

/** How the newest stored table of the same headings was read. What was chosen for its names is remembered with it. */
async function mappedAlike(
  db: Connection,
  { id, headingsHash, kind }: Row,
): Promise<{ mapping: StoredMapping; fileName: string; at: string } | null> {
  const [row] = await db
    .select()
    .from(tableImport)
    .where(
      and(
        eq(tableImport.headingsHash, headingsHash),
        eq(tableImport.kind, kind),
        inArray(tableImport.state, ['stored', 'undone']),
        sql`${tableImport.id} <> ${id}`,
      ),
    )
    .orderBy(desc(tableImport.storedAt))
    .limit(1)
  return row?.mapping ? { mapping: row.mapping, fileName: row.fileName, at: row.storedAt!.toISOString() } : null
}

/** What was staged and never stored is of no use after a while. */
const KEPT_DAYS = 7
export async function dropOldStaged(db: Connection): Promise<void> {
  await db
    .delete(tableImport)
    .where(
      and(eq(tableImport.state, 'staged'), lt(tableImport.createdAt, sql`now() - make_interval(days => ${KEPT_DAYS})`)),
    )
}
export async function dropStaged(db: Connection, id: string): Promise<Outcome<null>> {
  const gone = await db
    .delete(tableImport)
    .where(and(eq(tableImport.id, id), eq(tableImport.state, 'staged')))
    .returning({ id: tableImport.id })
  return gone.length > 0 ? saved(null) : invalidAt('', 'This is stored, or gone already. What is stored can be undone.')
}

export type ReadStored =
  { ok: true; mapping: StoredMapping } | { ok: false; problems: { path: string; text: string }[] }
/** A mapping as it is sent: of runs, or of a trace. */
export function readStoredMapping(input: unknown): ReadStored {
  const { what, mapping } = (input ?? {}) as { what?: unknown; mapping?: unknown }
  if (what === 'trace') {
    const read = readTraceMapping(mapping)
    return read.ok ? { ok: true, mapping: { what, mapping: read.mapping } } : read
  }
  const read = readMapping(mapping)
  return read.ok ? { ok: true, mapping: { what: 'runs', mapping: read.mapping } } : read
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
  const [row] = await db.select().from(tableImport).where(eq(tableImport.id, id))
  if (!row) return notFound('import')
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
