import { useDatabase } from '#server/database/connection'
import { undoImport } from '#server/import/undo'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => {
    const { personId, reason } = body as { personId?: unknown, reason?: unknown }
    return undoImport(useDatabase(), id, { personId: typeof personId === 'string' ? personId : '', reason: typeof reason === 'string' ? reason : '' })
  })
})
