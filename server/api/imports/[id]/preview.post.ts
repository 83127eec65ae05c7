import { urlOf, useDatabase } from '#server/database/connection'
import type { Outcome } from '#server/kit/outcome'
import { inThread } from '#server/workers/pool'
import type { ImportPreview } from '#shared/tableImport/imports'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (input) =>
    inThread<Outcome<ImportPreview>>(
      'overDatabase',
      { url: urlOf(useDatabase()), id, input, nowMs: Date.now() },
      { name: 'preview', signal: whileAsked(event) },
    ),
  )
})
