/** The series that wait for their figures, worked out in the background: the one that has waited longest first. */
import type { Connection, Database } from '../database/connection'
import { isApart, lockSeries, membersOf } from './repository/series'
import { markedUntil, markFresh, markStale, stalest } from './repository/stale'
import { workOutAlone, workOutApart } from './workOut'

/** Void runs and break-ins are each a series of one: many of them are worked out together, each alone. */
export const APART_AT_ONCE = 200

/** While the database works at one series, the other is read and reckoned. */
const AT_A_TIME = 2

export class WaitingSeries {
  readonly #db: Database
  /** Those that are worked out at this moment. */
  readonly #begun = new Set<string>()
  /** So many apart are taken one at a time: one of those together could not be worked out, and holds up no other. */
  #oneByOne = 0

  constructor(db: Database) {
    this.#db = db
  }

  /** Until none waits. */
  async workOutAll(): Promise<void> {
    const ended = await Promise.allSettled(Array.from({ length: AT_A_TIME }, () => this.#workOutRest()))
    const failed = ended.find((one) => one.status === 'rejected')
    if (failed) throw failed.reason
  }

  async #workOutRest(): Promise<void> {
    while (await this.workOutNext());
  }

  /** False where none waits. One that cannot be worked out goes to the end of the queue. */
  async workOutNext(): Promise<boolean> {
    const waiting = await stalest(this.#db, APART_AT_ONCE + this.#begun.size)
    const [next, ...others] = waiting.filter((key) => !this.#begun.has(key))
    if (next === undefined) return false
    if (isApart(next) && this.#oneByOne === 0) {
      const keys = [next, ...others.filter(isApart)].slice(0, APART_AT_ONCE)
      if (await this.#working(keys, () => this.#together(keys))) return true
      this.#oneByOne = APART_AT_ONCE
    }
    this.#oneByOne = Math.max(0, this.#oneByOne - 1)
    await this.#working([next], () => this.#alone(next))
    return true
  }

  async #working<T>(keys: readonly string[], work: () => Promise<T>): Promise<T> {
    for (const key of keys) this.#begun.add(key)
    try {
      return await work()
    } finally {
      for (const key of keys) this.#begun.delete(key)
    }
  }

  async #alone(key: string): Promise<void> {
    try {
      await this.#db.transaction((tx) => workOutAlone(tx, key))
    } catch (error) {
      await markStale(this.#db, [key])
      throw error
    }
  }

  /** False where one of them could not be. */
  #together(keys: readonly string[]): Promise<boolean> {
    return this.#db
      .transaction((tx) => workOutManyApart(tx, keys))
      .then(
        () => true,
        () => false,
      )
  }
}

async function workOutManyApart(tx: Connection, keys: readonly string[]): Promise<void> {
  await lockSeries(tx, keys)
  const until = await markedUntil(tx, keys)
  // One that stands in a series again by now is worked out with that.
  await workOutApart(tx, await membersOf(tx, keys))
  await markFresh(tx, keys, until)
}
