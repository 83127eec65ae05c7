import type { H3Event } from 'h3'

/** Ends when whoever asked goes away before the answer. */
export function whileAsked(event: H3Event): AbortSignal {
  const gone = new AbortController()
  event.node.res.once('close', () => {
    if (!event.node.res.writableFinished) gone.abort()
  })
  return gone.signal
}
