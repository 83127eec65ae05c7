/** What was measured, said as it comes, and what was not held. */
import { say } from '../lib/say.mjs'

export class Report {
  broken = []

  line(what, value, limit, holds) {
    say(`${holds ? 'ok  ' : 'MISS'} ${what.padEnd(58)} ${value.padStart(18)}   ${limit}`)
    this.hold(what, holds)
  }

  /** A time against its limit [s]. */
  seconds(what, took, limit) {
    this.line(what, `${took.toFixed(1)} s`, `${limit} s`, took < limit)
  }

  hold(what, holds) {
    if (!holds) this.broken.push(what)
  }
}
