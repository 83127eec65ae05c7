/** What goes wrong during a soak, at its rate and in fair shares; each is said with its moment. */
import { sleep } from '../lib/processes.mjs'
import { say } from '../lib/say.mjs'

const SERVER_KILLS_A_MINUTE = 50 / 30
/** Nothing more goes wrong so soon before the end. */
const QUIET_END_MS = 8000
const KINDS = ['serverKilled', 'databaseKilled', 'networkCut', 'reloaded', 'instrumentKilled']
/** How often each comes for four of the server's. */
const SHARES = { serverKilled: 4, databaseKilled: 0.5, networkCut: 1, reloaded: 1, instrumentKilled: 3 }

export class Faults {
  counts = Object.fromEntries(KINDS.map((kind) => [kind, 0]))
  #bench
  #begun = Date.now()

  /** @param bench server, cluster, pressing page; instruments, or null */
  constructor(bench) {
    this.#bench = bench
  }

  async until(endsAt) {
    const everyMs = 60_000 / SERVER_KILLS_A_MINUTE / KINDS.length
    for (;;) {
      await sleep(everyMs * (0.5 + Math.random()) * 0.8)
      if (Date.now() > endsAt - QUIET_END_MS) return
      const kind = this.#next()
      this.counts[kind]++
      say(`· ${((Date.now() - this.#begun) / 1000).toFixed(1)} s ${kind}`)
      await this[kind]()
    }
  }

  /** The one that is furthest behind its share. */
  #next() {
    const possible = KINDS.filter((kind) => kind !== 'instrumentKilled' || this.#bench.instruments !== null)
    const behind = possible.map((kind) => this.counts[kind] / SHARES[kind])
    return possible[behind.indexOf(Math.min(...behind))]
  }

  async serverKilled() {
    process.kill(this.#bench.server.pid(), 'SIGKILL')
    await sleep(300 + Math.random() * 2500)
  }

  async databaseKilled() {
    process.kill(this.#bench.cluster.pid(), 'SIGKILL')
    await sleep(1500)
  }

  async networkCut() {
    const { context } = this.#bench.pressing
    await context.setOffline(true)
    await sleep(3000 + Math.random() * 6000)
    await context.setOffline(false)
  }

  async reloaded() {
    await this.#bench.pressing.reload()
  }

  async instrumentKilled() {
    await this.#bench.instruments.killStation()
  }
}
