/** Containers: canisters and bottles as physical things, each with its ledger. */
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
import { byKey } from '../database/byKey'
import { invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import {
  batchNames,
  burnedFrom,
  containerRows,
  entriesOf,
  insertEntry,
  removeContainer,
  type BurnedFrom,
  type ContainerRow,
  type EntryRow,
} from './repository/containers'
import { recomputeWhere } from '../runs/recompute'
import { containerRow, keepContainerRow } from './repository/heads'
import { fromContainer, runsWhere } from './repository/runRefs'
import { deleteRecord, retiredSince, saveRecord, usedBy } from './saveRecord'

interface Account {
  ledger: Ledger
  entries: EntryRow[]
  perBoilKg: number[]
  runs: number
}

/** Entries and runs of containers, as ledgers. */
async function accounts(db: Connection, rows: readonly ContainerRow[]): Promise<Map<string, Account>> {
  const ids = rows.map((row) => row.id)
  if (ids.length === 0) return new Map()
  const entries = byKey(await entriesOf(db, ids), (entry) => entry.containerId)
  const runs = byKey(await burnedFrom(db, ids), (one) => one.containerId)
  return new Map(rows.map((row) => [row.id, accountOf(row, entries.get(row.id) ?? [], runs.get(row.id) ?? [])]))
}

function accountOf(row: ContainerRow, entries: EntryRow[], runs: readonly BurnedFrom[]): Account {
  const takes = runs.map((one): LedgerTake => ({
    runId: one.id,
    usedKg: usedFrom(one),
    atMs: one.startedAt.getTime(),
  }))
  const ledger = containerLedger(
    entries.map(({ id, kind, massKg, at }): LedgerEntry => ({ id, kind, massKg, atMs: at.getTime() })),
    takes,
    row,
  )
  const boiled = new Set(runs.filter((one) => one.boiled).map((one) => one.id))
  return {
    ledger,
    entries,
    perBoilKg: takes.flatMap(({ runId, usedKg }) => (boiled.has(runId) && usedKg !== null ? [usedKg] : [])),
    runs: takes.length,
  }
}

function usedFrom({ fuelKg }: BurnedFrom): number | null {
  const [before, after] = [fuelKg.get('fuelBefore'), fuelKg.get('fuelAfter')]
  return fuelKg.get('fuelUsed') ?? (before === undefined || after === undefined ? null : before - after)
}

function lineOf(
  row: ContainerRow,
  batch: { fuel: string; batch: string },
  { ledger, perBoilKg, runs }: Account,
): ContainerLine {
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
  const rows = await containerRows(db)
  const of = await accounts(
    db,
    rows.map((one) => one.row),
  )
  return rows.map(({ row, ...batch }) => lineOf(row, batch, of.get(row.id)!))
}

async function recordOf(
  db: Connection,
  id: string,
  lock = false,
): Promise<{ row: ContainerRow; record: TypedRecord } | null> {
  const row = await containerRow(db, id, lock)
  if (row === null) return null
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
  const batch = await batchNames(db, row.fuelBatchId)
  const account = (await accounts(db, [row])).get(id)!
  const use = await runsWhere(db, fromContainer(id))
  const { ledger, entries } = account
  return {
    record,
    line: lineOf(row, batch!, account),
    tareKg: ledger.tareKg,
    tareFrom: ledger.tareFrom,
    use,
    ledger: ledger.lines.map((line) => {
      const setup = use.runs.find((one) => one.id === line.take?.runId)?.setup ?? null
      return ledgerLine(line, setup, entries.find((one) => one.id === line.entry?.id) ?? null)
    }),
  }
}

const ledgerLine = (
  { atMs, entry, take, fillKg, unexplainedKg }: Ledger['lines'][number],
  setup: string | null,
  stored: EntryRow | null,
): ContainerPage['ledger'][number] => ({
  at: new Date(atMs).toISOString(),
  what: entry?.kind ?? 'run',
  massKg: entry?.massKg ?? null,
  usedKg: take?.usedKg ?? null,
  fillKg,
  unexplainedKg,
  runId: take?.runId ?? null,
  setup,
  ...writtenDown(stored),
})
/** What a person wrote of a weighing; a run's take has no words of its own. */
const writtenDown = (stored: EntryRow | null): Pick<ContainerPage['ledger'][number], 'typed' | 'note' | 'person'> =>
  stored === null
    ? { typed: '', note: '', person: null }
    : { typed: stored.typed ?? '', note: stored.note ?? '', person: stored.person ?? null }

const CONTAINER = { what: 'container', standing: recordOf, page: findContainer }

export async function saveContainer(db: Connection, input: unknown): Promise<Outcome<ContainerPage>> {
  const read = readRecord(CONTAINER_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  return saveRecord(db, CONTAINER, { typed }, async (tx, standing) => {
    const fuelBatchId = values.fuelBatchId as string
    if (!isUuid(fuelBatchId) || (await batchNames(tx, fuelBatchId)) === null)
      return invalidAt('fields.fuelBatchId', 'Fuel in it: this batch is not known here. Choose one from the list.')
    await keepContainerRow(
      tx,
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
    const was = standing?.row
    if (was !== undefined && (was.tareKg !== values.tareKg || was.fullKg !== values.fullKg))
      await recomputeWhere(tx, fromContainer(typed.id))
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
  await insertEntry(db, {
    id: typed.id,
    containerId: id,
    kind,
    massKg,
    typed: typed.fields.massKg as string,
    note: values.note as string,
    at,
    personId: typed.personId,
  })
  return saved((await findContainer(db, id))!)
}

export function deleteContainer(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, CONTAINER, id, async (tx, { row: { name } }) => {
    const use = usedBy(await runsWhere(tx, fromContainer(id)), (runs) => `${name} was burned from in ${runs}`)
    if (use) return use
    await removeContainer(tx, id)
  })
}
