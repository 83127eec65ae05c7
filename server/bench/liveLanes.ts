/** Changes of the lanes, to every page: one reading of what changed, told to all who subscribe. */
import type { BenchPush } from '../../shared/bench'
import type { Database } from '../database/connection'
import type { Notices } from '../database/notices'
import type { BenchClock } from './benchClock'
import { readBenchSince } from './lanes'
import { CHANGE_CHANNEL, lastSeq } from './repository/outbox'

type Subscriber = (push: BenchPush) => void

interface Source {
  db: Database
  clock: BenchClock
  notices: Notices
}

export class LiveLanes {
  readonly #source: Source
  readonly #subscribers = new Set<Subscriber>()
  #seq: number | null = null
  #reading = Promise.resolve()
  #begun = false

  constructor(source: Source) {
    this.#source = source
  }

  /** Tells of every change from now on. @returns what ends it */
  subscribe(subscriber: Subscriber): () => void {
    this.#subscribers.add(subscriber)
    if (!this.#begun) this.#source.notices.subscribe(CHANGE_CHANNEL, () => this.#readNext())
    this.#begun = true
    return () => this.#subscribers.delete(subscriber)
  }

  /** One reading after another; what comes meanwhile is in the next. */
  #readNext(): void {
    this.#reading = this.#reading.then(() => this.#read()).catch(() => undefined)
  }

  async #read(): Promise<void> {
    const { db, clock } = this.#source
    if (this.#seq === null) {
      this.#seq = await lastSeq(db)
      return
    }
    const push = await readBenchSince(db, this.#seq, await clock.now())
    if (push.seq === this.#seq) return
    this.#seq = push.seq
    for (const subscriber of this.#subscribers) subscriber(push)
  }
}
