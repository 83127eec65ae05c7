import { feedOf } from '#server/instruments/feeds'
import { wrongToken } from '#server/http/rates'
import { INGEST } from '#shared/feed'

/** One batch: its lines are the body, its id stands in the header or the query; answered once it is stored. */
export default defineEventHandler(async (event) => {
  const { db, workspace } = contextOf(event)
  const token = /^Bearer (\S+)$/.exec(getHeader(event, 'authorization') ?? '')?.[1] ?? ''
  const from = token === '' ? null : await feedOf(db, token)
  if (from === null) {
    const waitS = await wrongToken(event.node.req.socket.remoteAddress ?? '')
    if (waitS !== null) {
      setResponseHeader(event, 'retry-after', waitS)
      return answerProblems(event, 429, [
        {
          path: 'authorization',
          text: `Too many tokens that are not known here came from this address. Wait ${waitS} s, then send again.`,
        },
      ])
    }
    return answerProblems(event, 401, [
      { path: 'authorization', text: 'This token is not known here, or was taken back. Take a new one on the Bench.' },
    ])
  }
  const body = await readBytes(event, INGEST.maxBytes, 'Batch', 'Send it in parts.')
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const { batch } = readQuery(event)
  const id = getHeader(event, 'x-batch-id') ?? (typeof batch === 'string' ? batch : '')
  const taken = await workspace.intake.take(
    from,
    {
      id,
      lines: body.value
        .toString('utf8')
        .split(/\r?\n/)
        .filter((line) => line.trim() !== ''),
    },
    await workspace.clock.now(),
  )
  return taken.ok ? taken.ack : answerProblems(event, taken.status, [{ path: '', text: taken.text }])
})
