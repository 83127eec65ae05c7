import { useDatabase } from '#server/database/connection'
import { readStoredMapping } from '#server/import/imports'
import { storeImport } from '#server/import/store'
import { invalid } from '#server/kit/outcome'

/** Answers once storing has begun; how far it is stands in the import itself. */
export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, async (body) => {
    const read = readStoredMapping(body)
    if (!read.ok) return invalid(read.problems)
    const { personId, leaveOut, again } = body as { personId?: unknown, leaveOut?: unknown, again?: unknown }
    const { outcome, work } = await storeImport(useDatabase(), id, { mapping: read.mapping, personId: typeof personId === 'string' ? personId : '', leaveOut: leaveOut === true, again: again === true }, Date.now())
    work?.catch(error => console.error('An import broke off', error))
    return outcome
  })
})
