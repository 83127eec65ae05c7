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
  const kept = new KeptCluster(place, await startCluster(place))
  return { url: (database) => kept.url(database), pid: () => kept.pid(), stop: () => kept.stop() }
}

class KeptCluster {
  #place
  #cluster
  #over = false
  #reviving = null
  #timer

  constructor(place, cluster) {
    this.#place = { ...place, port: Number(new URL(cluster.url('postgres')).port) }
    this.#cluster = cluster
    this.#timer = setInterval(() => this.#look(), LOOK_EVERY_MS)
  }

  url(database) {
    return this.#cluster.url(database)
  }

  pid() {
    return /** @type {number} */ (this.#cluster.pid)
  }

  async stop() {
    this.#over = true
    clearInterval(this.#timer)
    await this.#reviving
    await this.#cluster.stop()
  }

  #look() {
    if (this.#over || this.#reviving !== null || commandLine(this.#cluster.pid) !== '') return
    this.#reviving = this.#revive().finally(() => {
      this.#reviving = null
    })
  }

  async #revive() {
    say('The database ended. Starting it again.')
    let told = ''
    for (let tries = 0; !this.#over; tries++) {
      await sleep(AGAIN_MS[Math.min(tries, AGAIN_MS.length - 1)])
      try {
        this.#cluster = await startCluster(this.#place)
        if (this.#over) await this.#cluster.stop()
        else say('The database is back.')
        return
      } catch (error) {
        const words = error.message.split('\n')[0]
        if (words !== told) say(`It could not be started yet: ${words}${afterwards(error)}`)
        told = words
      }
    }
  }
}

const afterwards = ({ message }) =>
  /No space left/.test(message) ? ' The disk is full; make room, and it goes on by itself.' : ' Trying again.'
