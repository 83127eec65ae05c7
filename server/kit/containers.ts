/** Containers: canisters and bottles as physical things, each with its ledger. */
import { and, asc, eq, inArray } from 'drizzle-orm'
import {
  boilsLeft,
  containerLedger,
  type Ledger,
  type LedgerEntry,
  type LedgerKind,
  type LedgerTake,
} from '../../core/kit/containerLedger'
import { CONTAINER_FIELDS, ENTRY_FIELDS } from '../../shared/fuelBatch'
import { readCheckTime } from '../../shared/instrumentCheck'
import type { ContainerLine, ContainerPage } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { typedFieldsFrom } from '../../shared/typedFrom'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { container, containerEntry, fuel, fuelBatch, person, run, runSummary } from '../database/schema'
import { currentMeasurements } from '../database/repositories/current'
import { invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import { deleteRecord, keepHead, retiredSince, saveRecord, usedBy } from './saveRecord'
import { runsWhere } from './runRefs'

type Row = typeof container.$inferSelect
type EntryRow = typeof containerEntry.$inferSelect & { person: string | null }

interface Account {
  ledger: Ledger
  entries: EntryRow[]
  perBoilKg: number[]
  runs: number
}

/** Entries and runs of containers, as ledgers. */
async function accounts(db: Connection, rows: readonly Row[]): Promise<Map<string, Account>> {
  const ids = rows.map((row) => row.id)
  if (ids.length === 0) return new Map()
  const entries = (
    await db
      .select({ entry: containerEntry, person: person.name })
      .from(containerEntry)
      .leftJoin(person, eq(person.id, containerEntry.personId))
      .where(inArray(containerEntry.containerId, ids))
      .orderBy(asc(containerEntry.at))
  ).map(({ entry, person: who }) => ({ ...entry, person: who }))
  const runs = await db
    .select({ id: run.id, containerId: run.containerId, startedAt: run.startedAt, line: runSummary.line })
    .from(run)
    .leftJoin(runSummary, eq(runSummary.runId, run.id))
    .where(and(inArray(run.containerId, ids), inArray(run.state, ['finished', 'void'])))
  const measured = await currentMeasurements(db, [...runs.map((one) => one.id), ...NONE])
  const used = (runId: string) => {
    const of = (quantity: string) =>
      measured.find((one) => one.runId === runId && one.quantity === quantity)?.value ?? null
    const [before, after] = [of('fuelBefore'), of('fuelAfter')]
    return of('fuelUsed') ?? (before === null || after === null ? null : before - after)
  }
  return new Map(
    rows.map((row) => {
      const own = entries.filter((entry) => entry.containerId === row.id)
      const takes: LedgerTake[] = runs
        .filter((one) => one.containerId === row.id)
        .map((one) => ({ runId: one.id, usedKg: used(one.id), atMs: one.startedAt.getTime() }))
      const ledger = containerLedger(
        own.map((entry): LedgerEntry => ({
          id: entry.id,
          kind: entry.kind,
          massKg: entry.massKg,
          atMs: entry.at.getTime(),
        })),
        takes,
        row,
      )
      const boiled = new Set(
        runs.filter((one) => one.line?.ended === 'boiled' && one.line.gPerL !== null).map((one) => one.id),
      )
      return [
        row.id,
        {
          ledger,
          entries: own,
          perBoilKg: takes.flatMap((take) => (boiled.has(take.runId) && take.usedKg !== null ? [take.usedKg] : [])),
          runs: takes.length,
        },
      ]
    }),
  )
}
const NONE = ['00000000-0000-0000-0000-000000000000']

function lineOf(row: Row, batch: { fuel: string; batch: string }, { ledger, perBoilKg, runs }: Account): ContainerLine {
  return {
    id: row.id,
    name: row.name,
    ...batch,
    batchId: row.fuelBatchId,
    retired: row.retiredAt !== null,
    fillKg: ledger.fillKg,
    fullKg: row.fullKg,
    boils: boilsLeft(ledger.fillKg, perBoilKg),
    runs,
  }
}

export async function listContainers(db: Connection): Promise<ContainerLine[]> {
  const rows = await db
    .select({ row: container, fuel: fuel.name, batch: fuelBatch.name })
    .from(container)
    .innerJoin(fuelBatch, eq(fuelBatch.id, container.fuelBatchId))
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .orderBy(asc(container.name))
  const of = await accounts(
    db,
    rows.map((one) => one.row),
  )
  return rows.map(({ row, ...batch }) => lineOf(row, batch, of.get(row.id)!))
}

async function recordOf(db: Connection, id: string, lock = false): Promise<{ row: Row; record: TypedRecord } | null> {
  const query = db.select().from(container).where(eq(container.id, id))
  const [row] = lock ? await query.for('update') : await query
  if (row === undefined) return null
  const fields = {
    ...typedFieldsFrom(CONTAINER_FIELDS, { ...row }, row.typed),
    name: row.name,
    fuelBatchId: row.fuelBatchId,
    notes: row.notes,
    retired: row.retiredAt !== null,
  }
  return { row, record: { id, revision: row.revision, units: 'metric', personId: null, reason: '', fields } }
}

export async function findContainer(db: Connection, id: string): Promise<ContainerPage | null> {
  const found = await recordOf(db, id)
  if (found === null) return null
  const { row, record } = found
  const [batch] = await db
    .select({ fuel: fuel.name, batch: fuelBatch.name })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, row.fuelBatchId))
  const account = (await accounts(db, [row])).get(id)!
  const use = await runsWhere(db, eq(run.containerId, id))
  const { ledger, entries } = account
  return {
    record,
    line: lineOf(row, batch!, account),
    tareKg: ledger.tareKg,
    tareFrom: ledger.tareFrom,
    use,
    ledger: ledger.lines.map(({ atMs, entry, take, fillKg, unexplainedKg }) => {
      const stored = entries.find((one) => one.id === entry?.id)
      return {
        at: new Date(atMs).toISOString(),
        what: entry?.kind ?? 'run',
        typed: stored?.typed ?? '',
        massKg: entry?.massKg ?? null,
        usedKg: take?.usedKg ?? null,
        fillKg,
        unexplainedKg,
        runId: take?.runId ?? null,
        setup: use.runs.find((one) => one.id === take?.runId)?.setup ?? null,
        note: stored?.note ?? '',
        person: stored?.person ?? null,
      }
    }),
  }
}

const CONTAINER = { what: 'container', standing: recordOf, page: findContainer }

export async function saveContainer(db: Connection, input: unknown): Promise<Outcome<ContainerPage>> {
  const read = readRecord(CONTAINER_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  return saveRecord(db, CONTAINER, { typed }, async (tx, standing) => {
    const fuelBatchId = values.fuelBatchId as string
    const [batch] = isUuid(fuelBatchId)
      ? await tx.select({ id: fuelBatch.id }).from(fuelBatch).where(eq(fuelBatch.id, fuelBatchId))
      : []
    if (batch === undefined)
      return invalidAt('fields.fuelBatchId', 'Fuel in it: this batch is not known here. Choose one from the list.')
    await keepHead(
      tx,
      container,
      { id: typed.id, standing },
      {
        name: values.name as string,
        fuelBatchId,
        tareKg: values.tareKg as number | null,
        fullKg: values.fullKg as number | null,
        typed: typed.fields,
        notes: values.notes as string,
        retiredAt: retiredSince(values, standing),
      },
    )
  })
}

/** A weighing: a new line of the ledger. */
export async function weighContainer(
  db: Connection,
  id: string,
  input: unknown,
  nowMs: number,
): Promise<Outcome<ContainerPage>> {
  const read = readRecord(ENTRY_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  const at = readCheckTime(values.at as string, nowMs)
  if (at === null) return invalidAt('fields.at', 'When: expected a date and time that is not in the future.')
  const page = await findContainer(db, id)
  if (page === null) return notFound('container')
  const massKg = values.massKg as number
  const kind = values.kind as LedgerKind
  if (page.tareKg !== null && kind !== 'empty' && massKg < page.tareKg - 0.002)
    return invalidAt(
      'fields.massKg',
      `The scale says ${typed.fields.massKg as string}, less than the empty container (${(page.tareKg * 1000).toFixed(1)} g). Which is misread?`,
    )
  await db
    .insert(containerEntry)
    .values({
      id: typed.id,
      containerId: id,
      kind,
      massKg,
      typed: typed.fields.massKg as string,
      note: values.note as string,
      at,
      personId: typed.personId,
    })
    .onConflictDoNothing()
  return saved((await findContainer(db, id))!)
}

export function deleteContainer(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, CONTAINER, id, async (tx, { row: { name } }) => {
    const use = usedBy(await runsWhere(tx, eq(run.containerId, id)), (runs) => `${name} was burned from in ${runs}`)
    if (use) return use
    await tx.delete(containerEntry).where(eq(containerEntry.containerId, id))
    await tx.delete(container).where(eq(container.id, id))
  })
}
