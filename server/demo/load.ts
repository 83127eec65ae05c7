/** Loads the demonstration by the same services as a person's kit and runs. */
import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { emptyTypedRun } from '../../shared/typedRun'
import type { Database, Connection } from '../database/connection'
import { setNow } from '../database/repositories/now'
import { person, workspace } from '../database/schema'
import { backfillRows } from '../runs/recompute'
import { logRun } from '../runs/logRun'
import { careForRun } from '../runs/runCare'
import { shippedId } from '../methods/methods'
import { Canisters } from './canisters'
import { PLACES } from './kit'
import { campaignRuns } from './campaign'
import { laterChanges } from './laterChanges'
import { loadKit, type DemoKit } from './loadKit'
import { TYPED_RUNS, type DemoRun } from './runs'
import { seriesRuns } from './series'

/** All or nothing: a load that was interrupted leaves an empty database behind. Reports how far it is. */
export async function loadDemonstration(db: Database, say: (line: string) => void, nowMs: number): Promise<void> {
  await db.transaction(async (tx) => {
    const existing = await tx.select({ id: person.id }).from(person).limit(1)
    if (existing.length > 0)
      throw new Error('This database has people in it already: the demonstration is not loaded over them.')
    const kit = await loadKit(tx, say)
    const runs = [...TYPED_RUNS, ...campaignRuns(), ...seriesRuns()].sort((a, b) => a.at.localeCompare(b.at))
    const canisters = new Canisters(tx, kit)
    for (const run of runs) await loadRun(tx, run, { kit, canisters, nowMs })
    await backfillRows(tx)
    await laterChanges(tx, kit)
    await setNow(tx, { placeId: kit.places.saddle!, readings: [], clear: [] })
    say(`runs: ${runs.length}`)
    await tx.update(workspace).set({ loaded: true }).where(eq(workspace.only, true))
  })
}

async function loadRun(
  tx: Connection,
  run: DemoRun,
  { kit, canisters, nowMs }: { kit: DemoKit; canisters: Canisters; nowMs: number },
): Promise<void> {
  const blank = emptyTypedRun(run.id, 'metric')
  const drawn = run.fromCanisterG === undefined ? null : await canisters.draw(run, run.fromCanisterG)
  const test = run.test ?? 'boil'
  const personId = kit.people[run.who]!
  const outcome = await logRun(
    tx,
    {
      ...blank,
      startedAt: run.at,
      zone: PLACES[run.place].zone,
      personId,
      placeId: kit.places[run.place],
      setupId: kit.setups[run.setup],
      test,
      methodId: shippedId(test),
      fuelBatchId: kit.fuels[run.fuel],
      containerId: drawn?.containerId ?? null,
      instruments: {
        ...blank.instruments,
        temperature: kit.things.probe,
        mass:
          run.measured.scaleResolution === undefined || run.measured.scaleResolution === '0.1 g'
            ? kit.things.fineScale
            : '',
        wind: kit.things.cups,
      },
      measured: { ...blank.measured, ...run.measured, ...drawn?.measured },
      times: {
        ...blank.times,
        ...(run.times.lit !== undefined && run.times.potOn === undefined ? { potOn: '' } : {}),
        ...run.times,
      },
      lines: run.lines ?? [],
      setting: run.setting ?? '',
      breakIn: run.breakIn ?? false,
      stoppedReason: run.stoppedReason ?? '',
      notes: run.notes,
      takeBurnShare: run.takeBurnShare ?? false,
      trace: run.trace ?? [],
    },
    nowMs,
    { refresh: false },
  )
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
