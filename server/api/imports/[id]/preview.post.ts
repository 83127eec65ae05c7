import type { Outcome } from '#server/kit/outcome'
import { inThread } from '#server/workers/pool'
import type { ImportPreview } from '#shared/tableImport/imports'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (input) =>
    inThread<Outcome<ImportPreview>>(
      'overDatabase',
      { url: contextOf(event).workspace.url, id, input, nowMs: Date.now() },
      { name: 'preview', signal: whileAsked(event) },
    ),
  )
})
