import { EXPORT_FORMATS, EXPORT_TYPES, exportRuns } from '#server/runs/exportRuns'
import { idsOf } from '#server/runs/repository/listRuns'
import { MAX_RUNS } from '#shared/limits'
import { readRunList } from '#shared/runList'
import { isUuid } from '#shared/uuid'

/** Runs by their ids, or all that pass a filter, as a file. */
export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const { format, runIds, filter } = (body.value ?? {}) as { format?: unknown; runIds?: unknown; filter?: unknown }
  const known = EXPORT_FORMATS.find((one) => one === format)
  if (!known)
    return answerProblems(event, 422, [{ path: 'format', text: `Format: expected ${EXPORT_FORMATS.join(', ')}.` }])
  if (runIds !== undefined && !(Array.isArray(runIds) && runIds.length <= MAX_RUNS && runIds.every(isUuid)))
    return answerProblems(event, 422, [
      { path: 'runIds', text: `Runs: expected at most ${MAX_RUNS} ids. Pick them from the list.` },
    ])
  const { db } = contextOf(event)
  const ids =
    (runIds as string[] | undefined) ??
    (await idsOf(db, readRunList((filter ?? {}) as Record<string, unknown>).filter, MAX_RUNS))
  if (ids.length === 0)
    return answerProblems(event, 422, [{ path: 'runIds', text: 'Runs: none is picked, or none passes. Pick some.' }])
  setHeader(event, 'content-type', EXPORT_TYPES[known])
  setHeader(event, 'content-disposition', `attachment; filename="vulcanum-runs.${known}"`)
  return sendStream(event, exportRuns(db, ids, known))
})
