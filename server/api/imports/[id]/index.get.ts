import { findImport } from '#server/import/imports'

export default defineEventHandler(async (event) => {
  return requireFound(await findImport(contextOf(event).db, requireId(event)), 'import')
})
