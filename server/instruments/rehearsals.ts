/**
 * What a rehearsal's lane is told: a program that stands in for its instruments, from when it is prepared until it
 * leaves the bench, whoever is killed meanwhile.
 */
import type { ChildProcess } from 'node:child_process'
import { rehearsalHz } from '../../shared/rehearsal'
import { CHANNEL_NAMES, type ChannelName } from '../../shared/channels'
import { rehearsalsOnBench, type RehearsalOnBench } from '../bench/repository/lanes'
import type { Connection } from '../database/connection'
import { revokeFeed, saveFeed } from './feeds'
import { forkSimulator, type Answers } from './simulators'

const LOOK_EVERY_MS = 500
const FOLLOWED: ChannelName[] = CHANNEL_NAMES.filter((channel) => channel !== 'container')

/** By the one process that owns the instruments' port. @returns to leave off; its programs end */
export function keepRehearsals(db: Connection, at: Answers): () => void {
  const stand = new StandIns(db, at)
  let turn: Promise<void> = Promise.resolve()
  const timer = setInterval(() => {
    turn = turn.then(() => stand.look()).catch(() => undefined)
  }, LOOK_EVERY_MS)
  return () => {
    clearInterval(timer)
    stand.end()
  }
}

/** The programs that run, by their runs' ids. */
class StandIns {
  readonly #db: Connection
  readonly #at: Answers
  readonly #running = new Map<string, ChildProcess>()
  #over = false

  constructor(db: Connection, at: Answers) {
    this.#db = db
    this.#at = at
  }

  /** Ends those whose run has left the bench, and begins those that are missing. */
  async look(): Promise<void> {
    if (this.#over) return
    const rehearsals = await rehearsalsOnBench(this.#db)
    for (const [id, child] of this.#running) {
      if (rehearsals.some((one) => one.id === id)) continue
      child.kill('SIGTERM')
      this.#running.delete(id)
      await revokeFeed(this.#db, id)
    }
    for (const one of rehearsals) if (!this.#running.has(one.id)) await this.#begin(one)
  }

  async #begin({ id, lane, scene: { choice } }: RehearsalOnBench): Promise<void> {
    // Its feed has the run's id: a program that was begun again goes on with the same traces.
    const made = await saveFeed(this.#db, {
      id,
      name: `Rehearsal, lane ${lane}`,
      lanes: Object.fromEntries(FOLLOWED.map((channel) => [channel, [lane]])),
    })
    if (made.status !== 'saved' || this.#over) return
    const args = ['--lane', lane, '--hz', String(rehearsalHz(choice.speed)), '--seed', String(choice.seed)]
    const child = forkSimulator('rehearsal', this.#at, { token: made.value.token, args })
    // It starts again at the next look.
    child.on('exit', () => {
      if (this.#running.get(id) === child) this.#running.delete(id)
    })
    this.#running.set(id, child)
  }

  end(): void {
    this.#over = true
    for (const child of this.#running.values()) child.kill('SIGTERM')
    this.#running.clear()
  }
}
