/** A run's page, whole: its answer, what its method says of it, what was said of it since. */
import { photosOf } from '../kit/repository/photos'
import type { RunAnswer } from '../../core/formats/answer'
import { readRun } from '../../core/reduce/readings'
import { checkRun, type MethodFindings } from '../../core/method/checkRun'
import { readDocument } from '../../core/formats/readDocument'
import { toRunDocument } from '../../core/formats/toRunDocument'
import { gPerLClaimed, judgeClaim, OPEN_STARTS_C, startTaken, type ClaimVerdict } from '../../core/statistics/claim'
import { thinTrace } from '../../core/trace/thinTrace'
import { litresFromMass } from '../../core/water/liquid'
import { fillOptions } from '../../shared/reduceRequest'
import { optionsFor } from '../../shared/reduceOptions'
import { conventionsOf, ownReference, runViewFrom } from '../../shared/runOptions'
import type { RunPage } from '../../shared/runRecord'
import { CHANNEL_NAMES } from '../../shared/channels'
import type { Connection } from '../database/connection'
import { channelTraces } from '../database/repositories/traces'
import type { FoundRun } from './repository/findRuns'
import { pressesOf } from '../bench/presses'
import { notesOf } from '../bench/repository/lanes'
import { changedBy } from '../comparisons/changedBy'
import { runCost } from '../comparisons/prices'
import { answerRun } from './answerRun'
import { rehearsedOf } from './rehearsed'
import { careOf } from './runCare'
import { ribbonOf } from './ribbonOf'

/** As many samples of a trace are drawn; all are in the run's document. */
const DRAWN_SAMPLES = 2000

export async function runPage(db: Connection, found: FoundRun, query: Record<string, unknown>): Promise<RunPage> {
  const { record, stored } = found
  const view = runViewFrom(query, conventionsOf(found.method))
  const [
    {
      runs: [answer],
      reference,
      setups,
    },
    rehearsed,
  ] = await Promise.all([answerRun(db, found, optionsFor(view)), rehearsedOf(db, found)])
  if (!answer || 'error' in answer) throw new Error(answer?.error ?? 'The run could not be reduced.')
  const pace = rehearsed?.choice.speed ?? 1
  const [channels, claim, photos, benchNotes, presses, since] = await Promise.all([
    channelsOf(db, record.id, pace),
    claimOf(db, found),
    photosOf(db, { runId: record.id }),
    notesOf(db, record.id),
    pressesOf(db, record.id, pace),
    saidSince(db, found, answer),
  ])
  return {
    record,
    view,
    answer,
    reference,
    setup: setups[0] ?? null,
    trace: thinTrace(stored.trace, DRAWN_SAMPLES),
    channels,
    ribbon: ribbonOf(stored, answer),
    findings: findingsOf(found),
    claim,
    conventions: conventionsOf(found.method),
    photos,
    benchNotes,
    presses,
    rehearsed,
    ...since,
  }
}

/** What was said of it since, what it changed, and what it cost. */
const saidSince = async (db: Connection, { record: { id, batchId } }: FoundRun, answer: RunAnswer) => ({
  ...(await careOf(db, id)),
  changed: await changedBy(db, id),
  cost: await runCost(db, { batchId, litres: answer.litres }, answer),
})

/** A line of a channel is as wide as a page's column. */
const DRAWN_IN_A_LINE = 300
async function channelsOf(db: Connection, runId: string, pace: number): Promise<RunPage['channels']> {
  const traces = await channelTraces(db, runId, { but: 'water' })
  return CHANNEL_NAMES.flatMap((channel) =>
    traces.has(channel)
      ? [
          {
            channel,
            count: traces.get(channel)!.length,
            drawn: thinTrace(traces.get(channel)!, DRAWN_IN_A_LINE).map(([s, value]): [number, number] => [
              s * pace,
              value,
            ]),
          },
        ]
      : [],
  )
}

function findingsOf({ stored, record, method }: FoundRun): MethodFindings | null {
  if (method === null) return null
  const input = readDocument(toRunDocument(stored))
  const { heatS } = readRun(input, fillOptions({ boil: method.boil, clock: method.clock }))
  return checkRun(method, {
    measured: {
      ...(stored.scale === null ? {} : { scaleResolution: stored.scale.resolution }),
      ...Object.fromEntries(Object.entries(stored.measured).map(([name, one]) => [name, one!.value])),
    },
    marks: stored.events,
    samples: stored.trace.length,
    waterKg: input.water.massKg,
    lid: stored.lid,
    setting: record.setting as 'low' | 'medium' | 'full' | null,
    heatS,
  })
}

/** The measured figure corrected to the stated conditions, beside the stated one. */
async function claimOf(db: Connection, found: FoundRun): Promise<ClaimVerdict | null> {
  const { claimFuel, claimWater, claimStart } = found.stored.measured
  if (found.method?.test !== 'claim' || claimFuel?.dimension !== 'mass' || !claimWater) return null
  const litres = claimWater.dimension === 'mass' ? litresFromMass(claimWater.value) : claimWater.value * 1000
  const starts = claimStart ? [claimStart.value] : OPEN_STARTS_C
  const brought = []
  for (const startC of starts) {
    const figure = await correctedTo(db, found, startC)
    if (figure === null) return null
    brought.push({ taken: claimStart ? null : startTaken(startC), ...figure })
  }
  return judgeClaim(gPerLClaimed((claimFuel.value * 1000) / litres), brought)
}

/** Its figure at the claim's conditions; null: it cannot be brought there. */
async function correctedTo(
  db: Connection,
  found: FoundRun,
  startC: number,
): Promise<{ value: number; u: number; uRandom: number } | null> {
  const reference = ownReference({ startC, pressureHPa: 1013.25, airC: 20, windMS: 0 })
  const options = optionsFor({ ...runViewFrom({}, conventionsOf(found.method)), reference })
  const [answer] = (await answerRun(db, found, options)).runs
  if (!answer || 'error' in answer || answer.normalisedGPerL === null || answer.normalisedU === null) return null
  return { value: answer.normalisedGPerL, u: answer.normalisedU, uRandom: answer.normalisedURandom ?? 0 }
}
