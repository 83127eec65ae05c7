/**
 * What an instrument says over a connection that stays open, over TCP or a web socket: its token first, then lines, and
 * a batch's id to have those before it stored.
 */
import { problemText } from '../../core/result'
import { INGEST } from '../../shared/feed'
import { SOCKETS } from '../http/limits'
import type { Workspace } from '../workspace/workspace'
import { feedOf, type Feed } from './feeds'

export interface Session {
  /** Lines, whole, in their order; done when those that ask for an answer have it. */
  take: (lines: readonly string[]) => Promise<void>
  /** The connection has ended. */
  end: () => void
}
interface Wire {
  say: (answer: object) => void
  close: () => void
}

type Parts = Pick<Workspace, 'db' | 'clock' | 'intake'>

const NO_TOKEN = 'Expected the token first: {"token":"…"}'
const NOT_STORED = problemText({
  code: 'away',
  what: 'It was not stored: the database did not answer',
  hint: 'Send the batch again under the same id.',
})

export const openSession = (parts: Parts, wire: Wire): Session => new OpenSession(parts, wire)

class OpenSession implements Session {
  #parts: Parts
  #wire: Wire
  #from: Feed | null = null
  #token = ''
  #lines: string[] = []
  #characters = 0
  #isOver = false
  /** The batch before this one, still being stored: this one is read meanwhile, the next after it waits. */
  #before = Promise.resolve()
  #late: NodeJS.Timeout

  constructor(parts: Parts, wire: Wire) {
    this.#parts = parts
    this.#wire = wire
    const why = `No token came within ${SOCKETS.greetWithinMs / 1000} s. Say it first: {"token":"…"}`
    this.#late = setTimeout(() => this.#refuse(why), SOCKETS.greetWithinMs).unref()
  }

  async take(texts: readonly string[]): Promise<void> {
    for (const text of texts) {
      if (this.#isOver) return
      const said = commandOf(text)
      if (said === null) this.#hold(text)
      else await (typeof said.token === 'string' ? this.#greet(said.token) : this.#store(String(said.batch)))
    }
  }

  end(): void {
    clearTimeout(this.#late)
  }

  #refuse(text: string): void {
    this.#isOver = true
    this.#wire.say({ error: text })
    this.#wire.close()
  }

  #hold(text: string): void {
    if (this.#from === null) return this.#refuse(NO_TOKEN)
    this.#characters += text.length
    if (this.#lines.length >= INGEST.maxLines || this.#characters > INGEST.maxBytes)
      return this.#refuse(
        `More than ${INGEST.maxLines} lines or ${INGEST.maxBytes} characters without a batch’s id. Send {"batch":"…"} more often.`,
      )
    this.#lines.push(text)
  }

  async #greet(token: string): Promise<void> {
    const { db, clock } = this.#parts
    this.#token = token
    this.#from = await feedOf(db, token)
    if (this.#from === null)
      return this.#refuse('This token is not known here, or was taken back. Take a new one on the Bench.')
    this.end()
    this.#wire.say({ hello: this.#from.name, nowMs: await clock.now() })
  }

  async #store(id: string): Promise<void> {
    if (this.#from === null) return this.#refuse(NO_TOKEN)
    const { db, clock, intake } = this.#parts
    const batch = { id, lines: this.#lines }
    this.#lines = []
    this.#characters = 0
    // A token that was taken back opens nothing more, on an open connection either.
    const still = await feedOf(db, this.#token)
    if (still === null) return this.#refuse('This token was taken back. Take a new one on the Bench.')
    const mine = intake.take(still, batch, await clock.now()).then(
      (taken) => this.#wire.say(taken.ok ? taken.ack : { batch: id, error: taken.text }),
      () => this.#wire.say({ batch: id, error: NOT_STORED, again: true }),
    )
    const earlier = this.#before
    this.#before = mine
    await earlier
  }
}

/** What is said to the connection itself; null: a sample's line. */
function commandOf(text: string): { token?: unknown; batch?: unknown } | null {
  if (!/^\s*\{/.test(text) || !(text.includes('"batch"') || text.includes('"token"'))) return null
  try {
    const read = JSON.parse(text) as { token?: unknown; batch?: unknown }
    return 'token' in read || 'batch' in read ? read : null
  } catch {
    return null
  }
}
