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
  let over = false
  let failed = 0
  let server = null
  let beginning = null

  async function begin() {
    const begun = Date.now()
    server = await startServer({
      ...options,
      onExit: (code, signal) => {
        beginning = again(begun, signal ?? code)
      },
    })
    onServing(server)
    if (over) await server.stop()
  }

  async function again(begun, how) {
    if (over) return
    failed = Date.now() - begun < SERVED_MS ? failed + 1 : 0
    say(`The server ended (${how}). Starting it again.`)
    while (!over && failed < MOST_FAILED_STARTS) {
      await sleep(failed * 200)
      try {
        if (!over) await begin()
        return
      } catch (error) {
        say(error.message)
        failed++
      }
    }
    if (over) return
    say(`The server ended ${failed} times as soon as it had begun; giving up.`)
    await onGivenUp()
  }

  await begin()
  return {
    get url() {
      return server.url
    },
    pid: () => server.pid,
    async stop() {
      over = true
      await beginning?.catch(() => undefined)
      await server.stop()
    },
  }
}
