/** What the next run begins with: what the last one had, or one that is named. */
import { unitOf } from '../../core/quantity/units'
import { SET_AMOUNTS, type RunLike } from '../../shared/likeRun'
import type { MeasuredQuantity } from '../../shared/measuredQuantity'
import type { BurnerProperties } from '../../shared/thing'
import type { Connection } from '../database/connection'
import { factsOfRuns, type RunFacts } from './repository/factsOfRuns'
import { findRuns, type FoundRun } from './repository/findRuns'
import { idsOfRun, instrumentIds, newestRunId } from './repository/likeRun'

/** @param asked the run that is named, else the tester whose newest it is; null: nothing was burned here yet */
export async function likeRun(
  db: Connection,
  asked: { runId: string | null; personId: string | null },
): Promise<RunLike | null> {
  const id = asked.runId ?? (await newestRunId(db, asked.personId))
  const [found] = id === null ? [] : await findRuns(db, [id], { traces: false, events: false })
  if (found === undefined) return null
  const facts = (await factsOfRuns(db, [found.record.id], { events: false }))(found.record.id)
  const { record } = found
  return {
    run: { id: record.id, setup: record.setup, startedAt: record.startedAt, zone: record.zone },
    chosen: await chosenOf(db, found, facts),
    amounts: Object.fromEntries(
      SET_AMOUNTS.flatMap((name) => {
        const typed = typedOf(facts, name)
        return typed === null ? [] : [[name, typed]]
      }),
    ),
    left: typedOf(facts, 'fuelAfter'),
    words: wordsOf(found),
  }
}

async function chosenOf(db: Connection, { record }: FoundRun, { measurements }: RunFacts): Promise<RunLike['chosen']> {
  const { fuelBatchId, containerId, methodId } = await idsOfRun(db, record.id)
  const versionIds = [...new Set(measurements.flatMap((one) => one.instrumentVersionId ?? []))]
  return {
    setupId: record.setupId,
    fuelBatchId: fuelBatchId ?? '',
    methodId,
    personId: record.personId,
    placeId: record.placeId,
    containerId,
    setting: (record.setting ?? '') as RunLike['chosen']['setting'],
    instruments: Object.fromEntries(await instrumentIds(db, versionIds)),
  }
}

/** A bare number with the unit it was read in. */
function typedOf({ measurements }: RunFacts, name: MeasuredQuantity): string | null {
  const reading = measurements.find((one) => one.quantity === name)
  if (reading === undefined) return null
  return /[a-zµ°%]/i.test(reading.typed) ? reading.typed : `${reading.typed} ${unitOf(reading.typedUnit).label}`
}

function wordsOf({ record, stored }: FoundRun): RunLike['words'] {
  const burner = record.parts.find((part) => part.role === 'burner')?.properties as BurnerProperties | undefined
  return {
    person: record.person,
    place: record.place,
    altitudeM: record.placeAltitudeM,
    fuelKind: stored.fuel?.kind ?? null,
    burner: burner?.burner ?? null,
  }
}
