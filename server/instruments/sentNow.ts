/**
 * What instruments say of the air at this moment, to every page: told whether anything burns or not, kept by nobody.
 */
import { SENT_NOW, type SentNow } from '../../shared/bench'
import type { ChannelName } from '../../shared/channels'
import type { Connection } from '../database/connection'
import type { Notices } from '../database/notices'
import type { Samples } from '../database/repositories/traces'
import type { Feed } from './feeds'
import { notifyNow, NOW_CHANNEL } from './repository/batches'

/** As often as a page needs it. */
const EVERY_MS = 500
/** When each instrument was last told of [ms]. */
export type NowPace = Map<string, number>

export async function tellNow(
  tx: Connection,
  { from, byChannel, pace }: { from: Feed; byChannel: ReadonlyMap<ChannelName, Samples>; pace: NowPace },
): Promise<void> {
  const said = Object.fromEntries(
    SENT_NOW.flatMap((channel) => {
      const samples = byChannel.get(channel)
      if (samples === undefined || samples.v.length === 0) return []
      const newest = samples.tMs.reduce((last, t, i) => (t >= samples.tMs[last]! ? i : last), 0)
      return [[channel, [samples.tMs[newest], samples.v[newest]]]]
    }),
  ) as SentNow
  if (Object.keys(said).length === 0 || performance.now() - (pace.get(from.id) ?? -Infinity) < EVERY_MS) return
  pace.set(from.id, performance.now())
  await notifyNow(tx, said)
}

export class SentNowFeed {
  readonly #notices: Notices

  constructor(notices: Notices) {
    this.#notices = notices
  }

  /** @returns what ends it */
  subscribe(subscriber: (now: SentNow) => void): () => void {
    return this.#notices.subscribe(NOW_CHANNEL, (payload) => {
      if (payload !== null) subscriber(JSON.parse(payload) as SentNow)
    })
  }
}
