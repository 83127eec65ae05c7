/** How a run leaves the bench: finished, or cleared before anything burned. */
import { count, eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Connection } from '../database/connection'
import { decision, event, measurement, photo, run, runNote, runVoid, trace } from '../database/schema'
import { mergeTraces } from '../instruments/mergeTraces'
import { recompute } from '../runs/recompute'
import { takeSentReadings } from './sentReadings'
import { refused, TAKEN, type Ack, type RunOnBench } from './acknowledge'

/** Its figure is worked out with its series; its page is next. */
export async function finishRun(tx: Connection, found: RunOnBench): Promise<Ack> {
  if (found.state === 'finished') return TAKEN
  if (found.state !== 'live') return refused('Nothing was marked on this lane yet. Clear it instead.')
  await tx.update(run).set({ state: 'finished' }).where(eq(run.id, found.id))
  await mergeTraces(tx, found.id)
  await takeSentReadings(tx, found)
  await recompute(tx, [found.id])
  return TAKEN
}

/** A draft may be taken away; where anything was pressed, photographed or sent by an instrument, it is kept as void. */
export async function clearLane(tx: Connection, found: RunOnBench): Promise<Ack> {
  if (found.state === 'finished') return refused('This run is finished. Void it on its page, with a reason.')
  const [pressed] = await tx.select({ n: count() }).from(event).where(eq(event.runId, found.id))
  const [pictures] = await tx.select({ n: count() }).from(photo).where(eq(photo.runId, found.id))
  const [followed] = await tx.select({ n: count() }).from(trace).where(eq(trace.runId, found.id))
  if (pressed!.n + pictures!.n + followed!.n > 0) {
    await tx.update(run).set({ state: 'void' }).where(eq(run.id, found.id))
    await tx.insert(runVoid).values({
      id: uuidv7(),
      runId: found.id,
      voided: true,
      reason: 'Cleared from the bench',
      personId: found.personId,
    })
    await recompute(tx, [found.id])
    return TAKEN
  }
  for (const table of [runNote, decision, measurement]) await tx.delete(table).where(eq(table.runId, found.id))
  await tx.delete(run).where(eq(run.id, found.id))
  return TAKEN
}
