import { LONGEST_STORING_MS } from '#server/http/limits'
import type { Outcome } from '#server/kit/outcome'
import { inThread } from '#server/workers/pool'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => {
    const { personId, reason } = body as { personId?: unknown; reason?: unknown }
    const by = {
      personId: typeof personId === 'string' ? personId : '',
      reason: typeof reason === 'string' ? reason : '',
    }
    return inThread<Outcome<null>>(
      'overDatabase',
      { url: contextOf(event).workspace.url, id, by },
      { name: 'undo', longestMs: LONGEST_STORING_MS },
    )
  })
})
