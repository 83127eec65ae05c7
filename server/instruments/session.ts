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

export function openSession({ db, clock, intake }: Pick<Workspace, 'db' | 'clock' | 'intake'>, wire: Wire): Session {
  let from: Feed | null = null
  let lines: string[] = []
  let bytes = 0
  let token = ''
  let over = false
  const late = setTimeout(
    () => refuse(`No token came within ${SOCKETS.greetWithinMs / 1000} s. Say it first: {"token":"…"}`),
    SOCKETS.greetWithinMs,
  ).unref()
  const refuse = (text: string) => {
    over = true
    wire.say({ error: text })
    wire.close()
  }
  function hold(text: string) {
    if (from === null) return refuse('Expected the token first: {"token":"…"}')
    bytes += text.length
    if (lines.length >= INGEST.maxLines || bytes > INGEST.maxBytes)
      return refuse(
        `More than ${INGEST.maxLines} lines or ${INGEST.maxBytes} characters without a batch’s id. Send {"batch":"…"} more often.`,
      )
    lines.push(text)
  }
  async function greet(shown: string) {
    token = shown
    from = await feedOf(db, token)
    if (from === null) return refuse('This token is not known here, or was taken back. Take a new one on the Bench.')
    clearTimeout(late)
    wire.say({ hello: from.name, nowMs: await clock.now() })
  }
  /** The batch before this one, still being stored: this one is read meanwhile, the next after it waits. */
  let before = Promise.resolve()
  async function store(id: string) {
    if (from === null) return refuse('Expected the token first: {"token":"…"}')
    const batch = { id, lines }
    lines = []
    bytes = 0
    // A token that was taken back opens nothing more, on an open connection either.
    const still = await feedOf(db, token)
    if (still === null) return refuse('This token was taken back. Take a new one on the Bench.')
    const mine = intake.take(still, batch, await clock.now()).then(
      (taken) => wire.say(taken.ok ? taken.ack : { batch: id, error: taken.text }),
      () =>
        wire.say({
          batch: id,
          error: problemText({
            code: 'away',
            what: 'It was not stored: the database did not answer',
            hint: 'Send the batch again under the same id.',
          }),
          again: true,
        }),
    )
    const earlier = before
    before = mine
    await earlier
  }
  return {
    end: () => clearTimeout(late),
    async take(texts) {
      for (const text of texts) {
        if (over) return
        const said = commandOf(text)
        if (said === null) hold(text)
        else await (typeof said.token === 'string' ? greet(said.token) : store(String(said.batch)))
      }
    },
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
