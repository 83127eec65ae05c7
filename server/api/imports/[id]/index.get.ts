import { useDatabase } from '#server/database/connection'
import { findImport } from '#server/import/imports'

export default defineEventHandler(async (event) => {
  return requireFound(await findImport(useDatabase(), requireId(event)), 'import')
})
