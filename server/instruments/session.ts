/** What an instrument says over a connection that stays open, over TCP or a web socket: its token first, then lines, and a batch's id to have those before it stored. */
import { problemText } from '../../core/result'
import { INGEST } from '../../shared/feed'
import type { Database } from '../database/connection'
import { feedOf, type Feed } from './feeds'
import { ingest } from './ingest'

export interface Session {
  /** One line, whole. */
  line: (text: string) => Promise<void>
}
interface Wire { say: (answer: object) => void, close: () => void }

/** @param now bench time [ms] */
export function openSession(db: Database, wire: Wire, now: () => Promise<number>): Session {
  let from: Feed | null = null
  let lines: string[] = []
  let token = ''
  const refuse = (text: string) => {
    wire.say({ error: text })
    wire.close()
  }
  const command = (text: string): { token?: unknown, batch?: unknown } | null => {
    if (!text.startsWith('{')) return null
    try {
      const read = JSON.parse(text) as { token?: unknown, batch?: unknown }
      return 'token' in read || 'batch' in read ? read : null
    } catch {
      return null
    }
  }
  return {
    async line(text) {
      const said = command(text.trim())
      if (typeof said?.token === 'string') {
        token = said.token
        from = await feedOf(db, token)
        if (from === null) return refuse('This token is not known here, or was taken back. Take a new one on the Bench.')
        return wire.say({ hello: from.name, nowMs: await now() })
      }
      if (from === null) return refuse('Expected the token first: {"token":"…"}')
      if (said === null) {
        if (lines.length >= INGEST.maxLines) return refuse(`More than ${INGEST.maxLines} lines without a batch’s id. Send {"batch":"…"} more often.`)
        lines.push(text)
        return
      }
      const batch = { id: String(said.batch), lines }
      lines = []
      // A token that was taken back opens nothing more, on an open connection either.
      const still = await feedOf(db, token)
      if (still === null) return refuse('This token was taken back. Take a new one on the Bench.')
      try {
        const taken = await ingest(db, still, batch, await now())
        wire.say(taken.ok ? taken.ack : { batch: batch.id, error: taken.text })
      } catch {
        wire.say({ batch: batch.id, error: problemText({ code: 'away', what: 'It was not stored: the database did not answer', hint: 'Send the batch again under the same id.' }), again: true })
      }
    },
  }
}
