import { LONGEST_STORING_MS } from '#server/http/limits'
import { readStoredMapping } from '#server/import/imports'
import { storeImport } from '#server/import/store'
import { invalid } from '#server/kit/outcome'
import { inThread } from '#server/workers/pool'

/** Answers once storing has begun; how far it is stands in the import itself. */
export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, async (body) => {
    const read = readStoredMapping(body)
    if (!read.ok) return invalid(read.problems)
    const { personId, leaveOut, again } = body as { personId?: unknown; leaveOut?: unknown; again?: unknown }
    const { db, workspace } = contextOf(event)
    const options = {
      mapping: read.mapping,
      personId: typeof personId === 'string' ? personId : '',
      leaveOut: leaveOut === true,
      again: again === true,
    }
    const nowMs = Date.now()
    const { outcome, work } = await storeImport(db, id, options, nowMs, () =>
      inThread(
        'overDatabase',
        { url: workspace.url, id, options, nowMs },
        { name: 'store', longestMs: LONGEST_STORING_MS },
      ),
    )
    work?.catch((error) => console.error('An import broke off', error))
    return outcome
  })
})
