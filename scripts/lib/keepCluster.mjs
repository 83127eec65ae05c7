/**
 * A cluster that is started again when it dies, as often as it dies: after kill -9, and after a disk that was full,
 * once there is room.
 */
import { startCluster } from './cluster.mjs'
import { commandLine, sleep } from './processes.mjs'
import { say } from './say.mjs'

const LOOK_EVERY_MS = 250
/** What was said once a minute is said. */
const AGAIN_MS = [0, 500, 1000, 2000]

/**
 * @param place as startCluster takes it
 * @returns {Promise<{ url: (database: string) => string, pid: () => number, stop: () => Promise<void> }>} pid() of the
 * one that runs now
 */
export async function keepCluster(place) {
  let cluster = await startCluster(place)
  const address = cluster.url('postgres')
  let over = false
  let reviving = null
  const timer = setInterval(() => {
    if (over || reviving !== null || commandLine(cluster.pid) !== '') return
    reviving = revive().finally(() => {
      reviving = null
    })
  }, LOOK_EVERY_MS)

  async function revive() {
    say('The database ended. Starting it again.')
    let told = ''
    for (let tries = 0; !over; tries++) {
      await sleep(AGAIN_MS[Math.min(tries, AGAIN_MS.length - 1)])
      try {
        const again = await startCluster({ ...place, port: Number(new URL(address).port) })
        cluster = again
        if (over) await again.stop()
        else say('The database is back.')
        return
      } catch (error) {
        const words = error.message.split('\n')[0]
        if (words !== told)
          say(
            `It could not be started yet: ${words}${/No space left/.test(error.message) ? ' The disk is full; make room, and it goes on by itself.' : ' Trying again.'}`,
          )
        told = words
      }
    }
  }

  return {
    url: (database) => cluster.url(database),
    pid: () => /** @type {number} */ (cluster.pid),
    async stop() {
      over = true
      clearInterval(timer)
      await reviving
      await cluster.stop()
    },
  }
}
