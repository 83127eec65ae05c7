import type { Peer } from 'crossws'
import { openSession, type Session } from '#server/instruments/session'
import { servedWorkspace } from '#server/workspace/served'
import { socketClosed, socketOpened } from '#server/http/upgrade'
import { INGEST } from '#shared/feed'

/** Of one socket, not yet taken [characters]: beyond it, whoever sends does not wait for what is stored. */
const MOST_WAITING = 2 * INGEST.maxBytes
const open = new Map<string, { session: Session; turn: Promise<void>; waiting: number }>()

/** One that does not answer that it is closed is ended all the same. */
function letGo(peer: Peer): void {
  peer.close()
  setTimeout(() => peer.terminate(), CLOSES_WITHIN_MS).unref()
}
const CLOSES_WITHIN_MS = 1000

/** The line protocol over a web socket: a message is one line or several, and is answered as over TCP. */
export default defineWebSocketHandler({
  open(peer) {
    socketOpened()
    open.set(peer.id, {
      session: openSession(servedWorkspace(), {
        say: (answer) => void peer.send(JSON.stringify(answer)),
        close: () => letGo(peer),
      }),
      turn: Promise.resolve(),
      waiting: 0,
    })
  },
  message(peer, message) {
    const mine = open.get(peer.id)
    if (!mine) return
    const text = message.text()
    mine.waiting += text.length
    if (mine.waiting > MOST_WAITING) {
      peer.send(
        JSON.stringify({
          error: `More than ${MOST_WAITING} characters wait. Wait for the answer to a batch before the next.`,
        }),
      )
      letGo(peer)
      return
    }
    const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '')
    mine.turn = mine.turn
      .then(() => mine.session.take(lines))
      .catch(() => letGo(peer))
      .finally(() => {
        mine.waiting -= text.length
      })
  },
  close(peer) {
    socketClosed()
    open.get(peer.id)?.session.end()
    open.delete(peer.id)
  },
})
