/** How a run leaves the bench: finished, or cleared before anything burned. */
import { v7 as uuidv7 } from 'uuid'
import type { Connection } from '../database/connection'
import { mergeTraces } from '../instruments/repository/mergeTraces'
import { recompute } from '../runs/recompute'
import { insertVoid } from '../runs/repository/care'
import { hasMoreThanReadings, removeDraft, setRunState } from './repository/lanes'
import { takeSentReadings } from './sentReadings'
import { refused, TAKEN, type Ack, type RunOnBench } from './acknowledge'

/** Its figure is worked out with its series; its page is next. */
export async function finishRun(tx: Connection, found: RunOnBench): Promise<Ack> {
  if (found.state === 'finished') return TAKEN
  if (found.state !== 'live') return refused('Nothing was marked on this lane yet. Clear it instead.')
  await setRunState(tx, found.id, { state: 'finished' })
  await mergeTraces(tx, found.id)
  await takeSentReadings(tx, found)
  await recompute(tx, [found.id])
  return TAKEN
}

/** A draft may be taken away; where anything was pressed, photographed or sent by an instrument, it is kept as void. */
export async function clearLane(tx: Connection, found: RunOnBench): Promise<Ack> {
  if (found.state === 'finished') return refused('This run is finished. Void it on its page, with a reason.')
  if (await hasMoreThanReadings(tx, found.id)) {
    await setRunState(tx, found.id, { state: 'void' })
    await insertVoid(tx, {
      id: uuidv7(),
      runId: found.id,
      voided: true,
      reason: 'Cleared from the bench',
      personId: found.personId,
    })
    await recompute(tx, [found.id])
    return TAKEN
  }
  await removeDraft(tx, found.id)
  return TAKEN
}
