/**
 * What a rehearsal's lane is told: a program that stands in for its instruments, from when it is armed until it leaves
 * the bench, whoever is killed meanwhile.
 */
import type { ChildProcess } from 'node:child_process'
import { and, eq, inArray } from 'drizzle-orm'
import { rehearsalHz } from '../../shared/rehearsal'
import { CHANNEL_NAMES, type ChannelName } from '../../shared/channels'
import type { Connection } from '../database/connection'
import { run } from '../database/schema'
import { revokeFeed, saveFeed } from './feeds'
import { forkSimulator, type Answers } from './simulators'

const LOOK_EVERY_MS = 500
const FOLLOWED: ChannelName[] = CHANNEL_NAMES.filter((channel) => channel !== 'container')

/** By the one process that owns the instruments' port. @returns to leave off; its programs end */
export function keepRehearsals(db: Connection, at: Answers): () => void {
  const running = new Map<string, ChildProcess>()
  let turn: Promise<void> = Promise.resolve()
  let over = false
  const timer = setInterval(() => {
    turn = turn.then(look).catch(() => undefined)
  }, LOOK_EVERY_MS)

  async function look() {
    if (over) return
    const rows = await db
      .select({ id: run.id, lane: run.lane, bench: run.bench })
      .from(run)
      .where(and(eq(run.origin, 'rehearsal'), inArray(run.state, ['draft', 'live'])))
    for (const [id, child] of running) {
      if (rows.some((row) => row.id === id)) continue
      child.kill('SIGTERM')
      running.delete(id)
      await revokeFeed(db, id)
    }
    for (const { id, lane, bench } of rows) {
      if (running.has(id) || !lane || !bench?.rehearsal) continue
      // Its feed has the run's id: a program that was begun again goes on with the same traces.
      const made = await saveFeed(db, {
        id,
        name: `Rehearsal, lane ${lane}`,
        lanes: Object.fromEntries(FOLLOWED.map((channel) => [channel, [lane]])),
      })
      if (made.status !== 'saved' || over) continue
      const child = forkSimulator('rehearsal', at, {
        token: made.value.token,
        args: [
          '--lane',
          lane,
          '--hz',
          String(rehearsalHz(bench.rehearsal.choice.speed)),
          '--seed',
          String(bench.rehearsal.choice.seed),
        ],
      })
      // It starts again at the next look.
      child.on('exit', () => {
        if (running.get(id) === child) running.delete(id)
      })
      running.set(id, child)
    }
  }
  return () => {
    over = true
    clearInterval(timer)
    for (const child of running.values()) child.kill('SIGTERM')
    running.clear()
  }
}
