/** The acts that wait in this browser's store are sent in order, and let go of when they are acknowledged. */
import type { Bench, BenchPush } from '#shared/bench'
import type { BenchAck, BenchAct } from '#shared/benchAct'
import type { FieldProblem } from '#shared/readProblems'
import { askServer, clockUnsure, retimed } from './clock'
import { pendingActs, settleActs, type DeviceCard, type PendingAct } from './disk'
import { tellTabs } from './tabs'

/** The server answered, and did not take what was sent: it says why. */
export class NotTaken extends Error {}

export interface ActsSent {
  device: () => DeviceCard
  /** The number of the last change that was heard; -1: none. */
  seen: () => number
  /** Acts were acknowledged: the bench as it stands with them. */
  settled: (push: Bench | BenchPush, whole: boolean) => void
}

interface Answer {
  acks?: BenchAck[]
  bench: Bench | BenchPush | null
  whole: boolean
  problems?: FieldProblem[]
}

const AT_ONCE = 100

export async function sendActs({ device, seen, settled }: ActsSent): Promise<void> {
  for (;;) {
    const waiting = (await pendingActs()).slice(0, AT_ONCE)
    if (waiting.length === 0) return
    if (clockUnsure()) await askServer()
    const acts = waiting.map(({ pending }) => retimed(pending.act))
    const answer = await post({ device: device(), acts, seen: seen() })
    const why = answer?.problems?.[0]?.text ?? 'The server did not take them.'
    if (!Array.isArray(answer?.acks)) throw new NotTaken(why)
    const done = await settle(waiting, answer.acks)
    if (answer.bench) settled(answer.bench, answer.whole)
    tellTabs({ type: 'settled' })
    if (done < waiting.length) throw new NotTaken(why)
  }
}

const post = (body: { device: DeviceCard; acts: BenchAct[]; seen: number }) =>
  $fetch<Answer | undefined>('/api/bench/acts', {
    method: 'POST',
    body,
    retry: 0,
    timeout: 15_000,
    ignoreResponseError: true,
  })

/** What was refused is kept beside, with why. @returns how many were acknowledged */
async function settle(waiting: readonly { key: number; pending: PendingAct }[], acks: readonly BenchAck[]) {
  const settled = acks.flatMap((ack) => {
    const at = waiting.find(({ pending }) => pending.act.id === ack.id)
    return at === undefined ? [] : [{ ack, ...at }]
  })
  const refused = settled
    .filter(({ ack }) => ack.as === 'refused' || ack.as === 'conflict')
    .map(({ ack, pending }) => ({ ack, act: pending.act, lane: pending.preview?.lane ?? null }))
  const keys = settled.map(({ key }) => key)
  await settleActs(keys, refused)
  return settled.length
}
