/** The one service of the bench: acts taken one by one, each in a transaction of its own, each once. */
import { readAct, type BenchAck, type BenchAct } from '../../shared/benchAct'
import type { Connection, Database } from '../database/connection'
import { failureOf, type Failure } from '../database/failure'
import { hashOf } from '../database/hash'
import { refused, type Ack } from './acknowledge'
import { prepare } from './prepare'
import { clearLane, finishRun } from './endOfRun'
import { moveMark, takeMark, undoMark } from './marks'
import { insertAct, insertDevice, lockAct, takenAct } from './repository/acts'
import { lockRun } from './repository/lanes'
import { appendChange } from './repository/outbox'
import { takeNote, takeReading } from './readings'

export interface TakenActs {
  acks: BenchAck[]
  /** The database failed at an act; what is acknowledged is stored. Null: it did not. */
  broke: Failure | null
}

/** In the order they came. What cannot be read or taken is refused by itself; the others go on. */
export async function takeActs(
  db: Database,
  { device: from, acts }: { device: { id: string; name: string }; acts: readonly unknown[] },
): Promise<TakenActs> {
  const acks: BenchAck[] = []
  try {
    await insertDevice(db, from)
    for (const input of acts) {
      const read = await readOrRefuse(input)
      acks.push(
        read.ok
          ? await takeOrRefuse(db, from.id, read.act)
          : { id: idOf(input), as: 'refused', problems: read.problems },
      )
    }
    return { acks, broke: null }
  } catch (error) {
    const broke = failureOf(error)
    if (broke === null) throw error
    return { acks, broke }
  }
}

const idOf = (input: unknown): string => {
  const id = (input as { id?: unknown } | null)?.id
  return typeof id === 'string' ? id : ''
}

async function readOrRefuse(input: unknown): ReturnType<typeof readAct> {
  try {
    return await readAct(input)
  } catch (error) {
    console.error('An act could not be read', error)
    return { ok: false, problems: [{ path: '', text: 'This could not be read here. Enter it on the run’s page.' }] }
  }
}

/**
 * One act that cannot be taken, whatever the reason, holds up no other: the device keeps it and shows it. While the
 * database is away all wait.
 */
async function takeOrRefuse(db: Database, deviceId: string, act: BenchAct): Promise<BenchAck> {
  try {
    return await takeAct(db, deviceId, act)
  } catch (error) {
    if (failureOf(error) !== null) throw error
    console.error(`An act of type ${act.deed.type} could not be taken`, error)
    return { id: act.id, ...refused('This could not be taken here. Enter it on the run’s page.') }
  }
}

async function takeAct(db: Database, deviceId: string, act: BenchAct): Promise<BenchAck> {
  const bodyHash = hashOf({ runId: act.runId, deed: act.deed })
  return db.transaction(async (tx) => {
    await lockAct(tx, act.id)
    const known = await takenAct(tx, act.id)
    if (known)
      return known.bodyHash === bodyHash
        ? known.ack
        : {
            id: act.id,
            as: 'conflict',
            problems: [{ path: '', text: 'An act of this id is stored with another content. Nothing was changed.' }],
          }
    const ack: BenchAck = { id: act.id, ...(await takeDeed(tx, deviceId, act)) }
    // What was refused may be sent again when its reason is gone.
    if (ack.as === 'refused') return ack
    await insertAct(tx, { id: act.id, runId: act.runId, deviceId, type: act.deed.type, bodyHash, ack })
    await appendChange(tx, act.runId)
    return ack
  })
}

async function takeDeed(tx: Connection, deviceId: string, act: BenchAct): Promise<Ack> {
  const { deed } = act
  if (deed.type === 'prepare') return prepare(tx, { act, deed, deviceId })
  const found = await lockRun(tx, act.runId)
  if (!found) return refused('This run is not on the bench: its lane was cleared, or its beginning was never sent.')
  if (found.lane === null) return refused('This run was not made on the bench. Correct it on its page.')
  switch (deed.type) {
    case 'mark':
      return takeMark(tx, found, { act, deed, deviceId })
    case 'undo':
      return undoMark(tx, found, { act, deed, deviceId })
    case 'move':
      return moveMark(tx, found, { act, deed, deviceId })
    case 'read':
      return takeReading(tx, found, { act, deed, deviceId })
    case 'note':
      return takeNote(tx, found, { act, deed, deviceId })
    case 'finish':
      return finishRun(tx, found)
    case 'clear':
      return clearLane(tx, found)
  }
}
