/** The series that wait for their figures, worked out in the background: the one that has waited longest first. */
import type { Connection, Database } from '../database/connection'
import { isApart, lockSeries, membersOf } from './series'
import { markedUntil, markFresh, markStale, stalest } from './stale'
import { workOutAlone, workOutApart } from './workOut'

/** Void runs and break-ins are each a series of one: many of them are worked out together, each alone. */
export const APART_AT_ONCE = 200

export class WaitingSeries {
  readonly #db: Database
  /** So many apart are taken one at a time: one of those together could not be worked out, and holds up no other. */
  #oneByOne = 0

  constructor(db: Database) {
    this.#db = db
  }

  /** Until none waits. */
  async workOutAll(): Promise<void> {
    while (await this.workOutNext());
  }

  /** False where none waits. One that cannot be worked out goes to the end of the queue. */
  async workOutNext(): Promise<boolean> {
    const [next, ...others] = await stalest(this.#db, APART_AT_ONCE)
    if (next === undefined) return false
    if (isApart(next) && this.#oneByOne === 0) {
      if (await this.#together([next, ...others.filter(isApart)])) return true
      this.#oneByOne = APART_AT_ONCE
    }
    this.#oneByOne = Math.max(0, this.#oneByOne - 1)
    try {
      await this.#db.transaction((tx) => workOutAlone(tx, next))
    } catch (error) {
      await markStale(this.#db, [next])
      throw error
    }
    return true
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
