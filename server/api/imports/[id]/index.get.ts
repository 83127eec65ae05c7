import { useDatabase } from '#server/database/connection'
import { findImport } from '#server/import/imports'
import { isZone } from '#shared/typedRun'

export default defineEventHandler(async (event) => {
  const zone = getQuery(event).zone
  return requireFound(await findImport(useDatabase(), requireId(event), typeof zone === 'string' && isZone(zone) ? zone : 'UTC'), 'import')
})
