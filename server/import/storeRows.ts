/** What was staged is stored by its kind: a table of runs, documents of the contract, a trace. */
import { problemText } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import type { ImportMade, StoredMapping } from '../../shared/tableImport/imports'
import type { TableMapping } from '../../shared/tableImport/mapping'
import { readChannels, type TraceMapping } from '../../shared/tableImport/traceMapping'
import { CHANNELS } from '../../shared/channels'
import type { Connection } from '../database/connection'
import { lockRevision } from '../database/repositories/corrections'
import { insertTrace } from '../database/repositories/traces'
import { invalid, invalidAt, type Refused } from '../kit/outcome'
import { recompute } from '../runs/recompute'
import { changeRun } from '../runs/repository/care'
import { documentsToStore, readDocuments } from './documents'
import { kitByName } from './kitNames'
import { makeKit } from './makeKit'
import { readTable, withoutKnown } from './preview'
import { importRow } from './repository/imports'
import { channelsOf, knownRuns, runState } from './repository/runs'
import { rowsOf } from './stage'
import type { RunToStore } from './runRows'
import { storeRuns } from './storeRuns'

export interface StoreOptions {
  mapping: StoredMapping
  personId: string
  /** Rows that cannot be read are left out; else they stop the whole. */
  leaveOut: boolean
  /** The same file again is meant. */
  again: boolean
}

export class Refusal extends Error {
  constructor(readonly refused: Refused) {
    super(refused.problems[0]?.text)
  }
}

const refuse = (path: string, text: string): never => {
  throw new Refusal(invalidAt(path, text))
}

interface Stored {
  stored: number
  leftOut: number
  made: ImportMade | null
}

export async function storeTable(
  tx: Connection,
  id: string,
  mapping: TableMapping,
  { leaveOut, personId }: StoreOptions,
  nowMs: number,
  told: (done: number) => Promise<void>,
): Promise<Stored> {
  const row = await importRow(tx, id)
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
  const known = await knownRuns(tx, uuids)
  const fresh = { ...read, good: read.good.filter((one) => !known.has(one.document.id)) }
  const { runs, made } = await documentsToStore(tx, fresh, {
    startedAt: `${day as string}T12:00:00.000Z`,
    zone: mapping.zone,
    personId,
    source,
  })
  return { runs, made, bad: read.bad + known.size }
}

export async function storeTrace(tx: Connection, id: string, mapping: TraceMapping): Promise<Stored> {
  const read = readChannels(await rowsOf<string[]>(tx, id, mapping.sheet), mapping)
  if (!read.ok) throw new Refusal(invalid([{ path: '', text: problemText(read.problem) }]))
  if (mapping.runId === '' || (await lockRevision(tx, mapping.runId)) === null)
    refuse('runId', 'Run: choose the run that this belongs to.')
  const state = await runState(tx, mapping.runId)
  if (state !== 'finished' && state !== 'void')
    refuse('runId', 'Run: this one stands on the bench. Finish it there first.')
  const standing = await channelsOf(tx, mapping.runId)
  const twice = read.value.channels.find((one) => standing.includes(one.channel))
  if (twice)
    refuse(
      'columns',
      `${CHANNELS[twice.channel].name}: this run has a trace of it already, and it stays. Leave the column out, or undo the import it came with.`,
    )
  const { fileHash } = (await importRow(tx, id))!
  for (const { channel, samples } of read.value.channels)
    await insertTrace(tx, { runId: mapping.runId, channel, importId: id, fileHash }, samples)
  await changeRun(tx, mapping.runId)
  await recompute(tx, [mapping.runId])
  return { stored: read.value.channels.reduce((sum, one) => sum + one.samples.length, 0), leftOut: 0, made: null }
}
