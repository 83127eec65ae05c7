/** Readings and notes of a lane. A reading taken again supersedes; both stay. */
import { parseQuantity } from '../../core/quantity/parseQuantity'
import { problemText } from '../../core/result'
import { MEASURED_QUANTITIES } from '../../shared/measuredQuantity'
import type { ReadingInstrument } from '../../shared/typedRun'
import type { Connection } from '../database/connection'
import { currentMeasurements } from '../database/repositories/current'
import { insertMeasurements } from '../runs/repository/insertRun'
import { instrumentOf } from '../kit/checks'
import { insertNote } from './repository/lanes'
import { refused, TAKEN, type Ack, type Deed, type RunOnBench } from './acknowledge'

export async function takeReading(
  tx: Connection,
  found: RunOnBench,
  { act, deed: { quantity, typed } }: Deed<'read'>,
): Promise<Ack> {
  if (found.state === 'finished') return refused('This run is finished. Add the reading on its page.')
  const read = parseQuantity(typed, MEASURED_QUANTITIES[quantity], act.units)
  if (!read.ok) return refused(problemText(read.problem))
  const before = (await currentMeasurements(tx, [found.id])).find((one) => one.quantity === quantity)
  const named = Object.entries(found.bench?.instruments ?? {}) as [ReadingInstrument, string][]
  const instruments = Object.fromEntries(
    (await Promise.all(named.map(async ([measures, id]) => [measures, await instrumentOf(tx, id)] as const))).flatMap(
      ([measures, one]) => (one === null ? [] : [[measures, one]]),
    ),
  )
  await insertMeasurements(
    tx,
    {
      runId: found.id,
      personId: found.personId,
      atMs: act.atMs,
      instruments,
      readAtMs: act.atMs - found.startedAt.getTime(),
      id: act.id,
      supersedes: before ? { id: before.id, reason: 'read again on the bench' } : null,
    },
    [{ quantity, value: read.value.value, typed: read.value.typed, unit: read.value.unit }],
  )
  return TAKEN
}

export async function takeNote(tx: Connection, found: RunOnBench, { act, deed: { text } }: Deed<'note'>): Promise<Ack> {
  await insertNote(tx, {
    id: act.id,
    runId: found.id,
    text: text.trim(),
    atMs: act.atMs - found.startedAt.getTime(),
    personId: found.personId,
  })
  return TAKEN
}
