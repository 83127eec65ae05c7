/**
 * A server that is started again when it ends unasked; one that ends as soon as it begins, again and again, is given
 * up.
 */
import { sleep } from './processes.mjs'
import { say } from './say.mjs'
import { startServer } from './server.mjs'

/** A server that ended sooner than this did not serve. */
const SERVED_MS = 5000
const MOST_FAILED_STARTS = 5

/**
 * @param options as startServer takes them, without onExit
 * @param onServing told of each server that serves
 * @param onGivenUp told when it is not started again
 * @returns pid() and url of the one that serves now, stop()
 */
export async function keepServer(options, { onServing = () => undefined, onGivenUp = () => undefined } = {}) {
  const kept = new KeptServer(options, { onServing, onGivenUp })
  await kept.begin()
  return {
    get url() {
      return kept.server.url
    },
    pid: () => kept.server.pid,
    stop: () => kept.stop(),
  }
}

class KeptServer {
  server = null
  #options
  #told
  #over = false
  #failed = 0
  #beginning = null

  constructor(options, told) {
    this.#options = options
    this.#told = told
  }

  async begin() {
    const begun = Date.now()
    this.server = await startServer({
      ...this.#options,
      onExit: (code, signal) => {
        this.#beginning = this.#again(begun, signal ?? code)
      },
    })
    this.#told.onServing(this.server)
    if (this.#over) await this.server.stop()
  }

  async #again(begun, how) {
    if (this.#over) return
    this.#failed = Date.now() - begun < SERVED_MS ? this.#failed + 1 : 0
    say(`The server ended (${how}). Starting it again.`)
    while (!this.#over && this.#failed < MOST_FAILED_STARTS) {
      await sleep(this.#failed * 200)
      try {
        if (!this.#over) await this.begin()
        return
      } catch (error) {
        say(error.message)
        this.#failed++
      }
    }
    if (this.#over) return
    say(`The server ended ${this.#failed} times as soon as it had begun; giving up.`)
    await this.#told.onGivenUp()
  }

  async stop() {
    this.#over = true
    await this.#beginning?.catch(() => undefined)
    await this.server.stop()
  }
}
