/** Storing what was staged: whole or not at all, told as it goes, by one process at a time. */
import { and, desc, eq, inArray, isNull, ne, sql } from 'drizzle-orm'
import { problemText } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import type { ImportMade, ImportState, StoredMapping } from '../../shared/tableImport/imports'
import type { TableMapping } from '../../shared/tableImport/mapping'
import { readChannels, type TraceMapping } from '../../shared/tableImport/traceMapping'
import { CHANNELS } from '../../shared/channels'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { lockRevision } from '../database/repositories/corrections'
import { insertTrace } from '../database/repositories/traces'
import { importChunk, person, run, tableImport, trace } from '../database/schema'
import { invalid, invalidAt, notFound, saved, type Outcome, type Refused } from '../kit/outcome'
import { recompute } from '../runs/recompute'
import { documentsToStore, readDocuments } from './documents'
import { kitByName } from './kitNames'
import { makeKit } from './makeKit'
import { readTable, withoutKnown } from './preview'
import { rowsOf } from './stage'
import { storeRuns, type RunToStore } from './storeRuns'

export interface StoreOptions {
  mapping: StoredMapping
  personId: string
  /** Rows that cannot be read are left out; else they stop the whole. */
  leaveOut: boolean
  /** The same file again is meant. */
  again: boolean
}
/** Of nothing else here. */
const LOCK_SPACE = 31

class Refusal extends Error {
  constructor(readonly refused: Refused) {
    super(refused.problems[0]?.text)
  }
}
const refuse = (path: string, text: string): never => {
  throw new Refusal(invalidAt(path, text))
}

/**
 * Begins: answers once it is known that it can go on, and goes on by itself.
 * @param storing stores what was staged; the server has it done in a thread
 * @returns `work` ends when all is stored, or nothing is
 */
export async function storeImport(
  db: Database,
  id: string,
  options: StoreOptions,
  nowMs: number,
  storing: () => Promise<void> = () => storeStaged(db, id, options, nowMs),
): Promise<{ outcome: Outcome<null>; work: Promise<void> | null }> {
  const stands = await beginning(db, id, options)
  if (stands !== null) return { outcome: stands, work: null }
  const work = storing().catch(async (error: unknown) => {
    await putBack(db, id, 'It broke off while it was stored. Nothing of it was kept; store it again.')
    throw error
  })
  return { outcome: saved(null), work }
}

const putBack = (db: Database, id: string, trouble: string) =>
  db
    .update(tableImport)
    .set({ state: 'staged', done: 0, trouble })
    .where(and(eq(tableImport.id, id), eq(tableImport.state, 'storing')))

/** What was marked as being stored is stored, or put back with its trouble in words. */
export async function storeStaged(db: Database, id: string, options: StoreOptions, nowMs: number): Promise<void> {
  await db
    .transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(${LOCK_SPACE}, hashtext(${id}))`)
      // It may have waited so long for its turn that it was taken for abandoned, and begun again.
      const [standing] = await tx.select({ state: tableImport.state }).from(tableImport).where(eq(tableImport.id, id))
      if (standing?.state !== 'storing') return
      const told = async (done: number) =>
        void (await db.update(tableImport).set({ done }).where(eq(tableImport.id, id)))
      const { stored, leftOut, made } =
        options.mapping.what === 'trace'
          ? await storeTrace(tx, id, options.mapping.mapping)
          : await storeTable(tx, id, options.mapping.mapping, options, nowMs, told)
      await tx
        .update(tableImport)
        .set({ state: 'stored', stored, leftOut, made, trouble: '', storedAt: sql`now()` })
        .where(eq(tableImport.id, id))
      await tx.delete(importChunk).where(eq(importChunk.importId, id))
    })
    .catch(async (error: unknown) => {
      if (!(error instanceof Refusal)) throw error
      await putBack(db, id, error.refused.problems.map((problem) => problem.text).join(' '))
    })
}

/** Null: it may begin, and is marked so. */
async function beginning(
  db: Database,
  id: string,
  { mapping, personId, again }: StoreOptions,
): Promise<Refused | null> {
  return db.transaction(async (tx): Promise<Refused | null> => {
    const [row] = await tx.select().from(tableImport).where(eq(tableImport.id, id)).for('update')
    if (!row) return notFound('import')
    if (row.state === 'stored' || row.state === 'undone')
      return invalidAt('', 'This was stored already. Choose the file anew to bring it in again.')
    if (row.state === 'storing' && !(await isAbandoned(tx, row)))
      return invalidAt('', 'This is being stored at this moment.')
    if (mapping.what === 'runs') {
      const [who] = isUuid(personId)
        ? await tx.select({ id: person.id }).from(person).where(eq(person.id, personId))
        : []
      if (!who) return invalidAt('personId', 'Who brings it in: choose one from the list.')
    }
    const alike = await storedAlike(tx, row)
    if (alike !== null && !again)
      return invalidAt(
        'again',
        `The same file came in before (${alike.fileName}, ${alike.stored} stored). Tick that it is meant, or undo that one first.`,
      )
    await tx
      .update(tableImport)
      .set({
        state: 'storing',
        storingSince: new Date(),
        done: 0,
        trouble: '',
        mapping,
        personId: isUuid(personId) ? personId : null,
      })
      .where(eq(tableImport.id, id))
    return null
  })
}

/** From the mark that it is stored to its lock there is a moment. */
const LOCK_WITHIN_MS = 5000
/** A process that ended while it stored let go of its lock, and nothing of it was kept. */
export async function isAbandoned(
  tx: Connection,
  { id, storingSince }: { id: string; storingSince: Date | null },
): Promise<boolean> {
  if (storingSince !== null && Date.now() - storingSince.getTime() < LOCK_WITHIN_MS) return false
  const { rows } = await tx.execute<{ free: boolean }>(
    sql`select pg_try_advisory_xact_lock(${LOCK_SPACE}, hashtext(${id})) as free`,
  )
  return rows[0]!.free
}

export async function storedAlike(
  db: Connection,
  { id, fileHash }: { id: string; fileHash: string },
): Promise<{ id: string; fileName: string; storedAt: string; stored: number } | null> {
  const [row] = await db
    .select()
    .from(tableImport)
    .where(
      and(
        eq(tableImport.fileHash, fileHash),
        eq(tableImport.state, 'stored' satisfies ImportState),
        ne(tableImport.id, id),
      ),
    )
    .orderBy(desc(tableImport.storedAt))
    .limit(1)
  return row ? { id: row.id, fileName: row.fileName, storedAt: row.storedAt!.toISOString(), stored: row.stored } : null
}

interface Stored {
  stored: number
  leftOut: number
  made: ImportMade | null
}

async function storeTable(
  tx: Connection,
  id: string,
  mapping: TableMapping,
  { leaveOut, personId }: StoreOptions,
  nowMs: number,
  told: (done: number) => Promise<void>,
): Promise<Stored> {
  const [row] = await tx.select().from(tableImport).where(eq(tableImport.id, id))
  const { runs, made, bad } =
    row!.kind === 'documents'
      ? await fromDocuments(tx, id, mapping, row!.fileName, personId)
      : await fromRows(tx, id, mapping, nowMs)
  if (bad > 0 && !leaveOut)
    refuse(
      'leaveOut',
      bad === 1
        ? 'One row cannot be stored. Mend it, or say that it is to be left out.'
        : `${bad} rows cannot be stored. Mend them, or say that they are to be left out.`,
    )
  if (runs.length === 0) refuse('', 'No row can be stored.')
  if (runs.length > IMPORT.maxRuns)
    refuse('', `Runs: read ${runs.length}, expected at most ${IMPORT.maxRuns}. Bring a part of them at a time.`)
  await storeRuns(tx, id, runs, told)
  return { stored: runs.length, leftOut: bad, made }
}

async function fromRows(
  tx: Connection,
  id: string,
  mapping: TableMapping,
  nowMs: number,
): Promise<{ runs: RunToStore[]; made: ImportMade; bad: number }> {
  const table = await withoutKnown(
    tx,
    readTable(await rowsOf<string[]>(tx, id, mapping.sheet), mapping, await kitByName(tx), nowMs),
    mapping,
  )
  const { made, idsOf } = await makeKit(
    tx,
    table.good.map((one) => one.value),
    mapping.zone,
  )
  const runs = table.good.map(({ row, value }): RunToStore => {
    const target = value.method?.is?.body.boil
    return {
      ...value.row,
      row,
      ids: idsOf(value),
      origin: mapping.origin,
      targetC: typeof target === 'object' ? target.targetC : null,
      trace: [],
      scaleTrace: [],
      given: null,
      decisions: value.row.burnShare ? [{ question: 'fuelToBoil', answer: 'shareOfBurnTime' }] : [],
    }
  })
  return { runs, made, bad: table.bad }
}

async function fromDocuments(
  tx: Connection,
  id: string,
  mapping: TableMapping,
  source: string,
  personId: string,
): Promise<{ runs: RunToStore[]; made: ImportMade; bad: number }> {
  const day =
    /^\d{4}-\d{2}-\d{2}$/.test(mapping.day) && !Number.isNaN(Date.parse(mapping.day))
      ? mapping.day
      : refuse('day', 'Day: a document says no date. Type the day they were burned, such as 2026-03-14.')
  const read = readDocuments(await rowsOf(tx, id, 0))
  const uuids = read.good.map((one) => one.document.id).filter((one) => /^[0-9a-f-]{36}$/i.test(one))
  const known = new Set(
    uuids.length === 0
      ? []
      : (await tx.select({ id: run.id }).from(run).where(inArray(run.id, uuids))).map((one) => one.id),
  )
  const fresh = { ...read, good: read.good.filter((one) => !known.has(one.document.id)) }
  const { runs, made } = await documentsToStore(tx, fresh, {
    startedAt: `${day as string}T12:00:00.000Z`,
    zone: mapping.zone,
    personId,
    source,
  })
  return { runs, made, bad: read.bad + known.size }
}

async function storeTrace(tx: Connection, id: string, mapping: TraceMapping): Promise<Stored> {
  const read = readChannels(await rowsOf<string[]>(tx, id, mapping.sheet), mapping)
  if (!read.ok) throw new Refusal(invalid([{ path: '', text: problemText(read.problem) }]))
  if (mapping.runId === '' || (await lockRevision(tx, mapping.runId)) === null)
    refuse('runId', 'Run: choose the run that this belongs to.')
  const [there] = await tx.select({ state: run.state }).from(run).where(eq(run.id, mapping.runId))
  if (there!.state !== 'finished' && there!.state !== 'void')
    refuse('runId', 'Run: this one stands on the bench. Finish it there first.')
  const standing = await tx
    .select({ channel: trace.channel })
    .from(trace)
    .where(and(eq(trace.runId, mapping.runId), isNull(trace.removedAt)))
  const twice = read.value.channels.find((one) => standing.some((each) => each.channel === one.channel))
  if (twice)
    refuse(
      'columns',
      `${CHANNELS[twice.channel].name}: this run has a trace of it already, and it stays. Leave the column out, or undo the import it came with.`,
    )
  const [{ fileHash }] = (await tx
    .select({ fileHash: tableImport.fileHash })
    .from(tableImport)
    .where(eq(tableImport.id, id))) as [{ fileHash: string }]
  for (const { channel, samples } of read.value.channels)
    await insertTrace(tx, { runId: mapping.runId, channel, importId: id, fileHash }, samples)
  await tx
    .update(run)
    .set({ revision: sql`${run.revision} + 1` })
    .where(eq(run.id, mapping.runId))
  await recompute(tx, [mapping.runId])
  return { stored: read.value.channels.reduce((sum, one) => sum + one.samples.length, 0), leftOut: 0, made: null }
}
