/** The series that wait for their figures, worked out in the background: the one that has waited longest first. */
import type { Connection, Database } from '../database/connection'
import { isApart, lockSeries, membersOf } from './series'
import { markedUntil, markFresh, markStale, stalest } from './stale'
import { workOutAlone, workOutApart } from './workOut'

/** While one of them waits for the database, the other is reckoned. */
const AT_A_TIME = 2
/** Void runs and break-ins are each a series of one: many of them are worked out together, each alone. */
export const APART_AT_ONCE = 200

export class WaitingSeries {
  readonly #db: Database
  readonly #inHand = new Set<string>()
  /** So many apart are taken one at a time: one of those together could not be worked out, and holds up no other. */
  #oneByOne = 0

  constructor(db: Database) {
    this.#db = db
  }

  /** Until none waits. @throws what the first of them threw that could not be worked out, once the others are done */
  async workOutAll(): Promise<void> {
    const ends = await Promise.allSettled(Array.from({ length: AT_A_TIME }, () => this.#workOn()))
    for (const end of ends) if (end.status === 'rejected') throw end.reason
  }

  async #workOn(): Promise<void> {
    while (await this.workOutNext());
  }

  /** False where none waits that is not in hand. One that cannot be worked out goes to the end of the queue. */
  async workOutNext(): Promise<boolean> {
    const waiting = await stalest(this.#db, APART_AT_ONCE + this.#inHand.size)
    const [next, ...others] = waiting.filter((key) => !this.#inHand.has(key))
    if (next === undefined) return false
    if (isApart(next) && this.#oneByOne === 0) {
      const apart = [next, ...others.filter(isApart)]
      if (await this.#together(apart)) return true
      this.#oneByOne = APART_AT_ONCE
    }
    this.#oneByOne = Math.max(0, this.#oneByOne - 1)
    await this.#holding([next], async () => {
      try {
        await this.#db.transaction((tx) => workOutAlone(tx, next))
      } catch (error) {
        await markStale(this.#db, [next])
        throw error
      }
    })
    return true
  }

  /** False where one of them could not be. */
  #together(keys: readonly string[]): Promise<boolean> {
    return this.#holding(keys, () =>
      this.#db
        .transaction((tx) => workOutManyApart(tx, keys))
        .then(
          () => true,
          () => false,
        ),
    )
  }

  async #holding<T>(keys: readonly string[], work: () => Promise<T>): Promise<T> {
    for (const key of keys) this.#inHand.add(key)
    try {
      return await work()
    } finally {
      for (const key of keys) this.#inHand.delete(key)
    }
  }
}

async function workOutManyApart(tx: Connection, keys: readonly string[]): Promise<void> {
  await lockSeries(tx, keys)
  const until = await markedUntil(tx, keys)
  // One that stands in a series again by now is worked out with that.
  await workOutApart(tx, await membersOf(tx, keys))
  await markFresh(tx, keys, until)
}
