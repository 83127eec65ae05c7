/** Loads the demonstration by the same services as a person's kit and runs. */
import { v7 as uuidv7 } from 'uuid'
import { emptyTypedRun } from '../../shared/typedRun'
import type { Database, Connection } from '../database/connection'
import { setNow } from '../database/repositories/now'
import { backfillRows } from '../runs/recompute'
import { logRun } from '../runs/logRun'
import { careForRun } from '../runs/runCare'
import { shippedId } from '../methods/methods'
import { Canisters } from './canisters'
import { PLACES } from './kit'
import { campaignRuns } from './campaign'
import { loadCompared } from './compared'
import { laterChanges } from './laterChanges'
import { loadKit, type DemoKit } from './loadKit'
import { hasPeople, markLoaded } from './repository'
import { TYPED_RUNS, type DemoRun } from './runs'
import { seriesRuns } from './series'
import { loadStudies } from './studies'

/** All or nothing: a load that was interrupted leaves an empty database behind. Reports how far it is. */
export async function loadDemonstration(db: Database, say: (line: string) => void, nowMs: number): Promise<void> {
  await db.transaction(async (tx) => {
    if (await hasPeople(tx))
      throw new Error('This database has people in it already: the demonstration is not loaded over them.')
    const kit = await loadKit(tx, say)
    const runs = [...TYPED_RUNS, ...campaignRuns(), ...seriesRuns()].sort((a, b) => a.at.localeCompare(b.at))
    const canisters = new Canisters(tx, kit)
    for (const run of runs) await loadRun(tx, run, { kit, canisters, nowMs })
    await backfillRows(tx)
    await laterChanges(tx, kit)
    await loadCompared(tx, kit)
    await loadStudies(tx, kit, nowMs)
    await setNow(tx, { placeId: kit.places.saddle!, readings: [], clear: [] })
    say(`runs: ${runs.length}`)
    await markLoaded(tx)
  })
}

async function loadRun(
  tx: Connection,
  run: DemoRun,
  { kit, canisters, nowMs }: { kit: DemoKit; canisters: Canisters; nowMs: number },
): Promise<void> {
  const blank = emptyTypedRun(run.id, 'metric')
  const drawn = run.fromCanisterG === undefined ? null : await canisters.draw(run, run.fromCanisterG)
  const personId = kit.people[run.who]!
  const typed = {
    ...blank,
    ...partsOf(run, kit, blank),
    ...formOf(run, blank),
    containerId: drawn?.containerId ?? null,
  }
  const sent = { ...typed, measured: { ...blank.measured, ...run.measured, ...drawn?.measured } }
  const outcome = await logRun(tx, sent, nowMs, { refresh: false })
  if ('problems' in outcome)
    throw new Error(`Run ${run.id}: ${outcome.problems.map((problem) => problem.text).join(' ')}`)
  const care = async (what: object) => {
    const done = await careForRun(tx, run.id, { id: uuidv7(), personId, reason: '', ...what })
    if (done.status !== 'saved')
      throw new Error(`Run ${run.id}: ${done.problems.map((problem) => problem.text).join(' ')}`)
  }
  for (const [scale, step] of Object.entries(run.seen ?? {})) await care({ what: 'observe', scale, step })
  if (run.voided !== undefined) await care({ what: 'void', reason: run.voided })
}

type Blank = ReturnType<typeof emptyTypedRun>

/** What it was burned with, by whom, and where. */
function partsOf(run: DemoRun, { people, places, setups, fuels, things }: DemoKit, blank: Blank) {
  const test = run.test ?? 'boil'
  const resolution = run.measured.scaleResolution ?? FINE
  return {
    personId: people[run.who]!,
    placeId: places[run.place],
    zone: PLACES[run.place].zone,
    setupId: setups[run.setup],
    fuelBatchId: fuels[run.fuel],
    test,
    methodId: shippedId(test),
    instruments: {
      ...blank.instruments,
      temperature: things.probe,
      mass: resolution === FINE ? things.fineScale : '',
      wind: things.cups,
    },
  }
}
/** What the finer scale reads to. */
const FINE = '0.1 g'

function formOf(run: DemoRun, blank: Blank) {
  const withoutPot = run.times.lit !== undefined && run.times.potOn === undefined
  return {
    startedAt: run.at,
    times: { ...blank.times, ...(withoutPot ? { potOn: '' } : {}), ...run.times },
    lines: run.lines ?? [],
    setting: run.setting ?? '',
    breakIn: run.breakIn ?? false,
    stoppedReason: run.stoppedReason ?? '',
    notes: run.notes,
    takeBurnShare: run.takeBurnShare ?? false,
    trace: run.trace ?? [],
  }
}
