import { useDatabase } from '#server/database/connection'
import { previewImport } from '#server/import/imports'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, body => previewImport(useDatabase(), id, body, Date.now()))
})
