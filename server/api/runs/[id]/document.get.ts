import { inThread } from '#server/workers/pool'
import { optionsFor } from '#shared/reduceOptions'
import { conventionsOf, runViewFrom } from '#shared/runOptions'

/**
 * The run as the contract's JSON, with its set-up's series behind it: put through `reduce` it gives the figures of the
 * page.
 */
export default defineEventHandler(async (event) => {
  const run = await requireRun(event)
  setHeader(event, 'content-disposition', `attachment; filename="vulcanum-run-${run.stored.id.slice(-8)}.json"`)
  setHeader(event, 'content-type', 'application/json')
  const options = optionsFor(runViewFrom(readQuery(event), conventionsOf(run.method)))
  return inThread<string>(
    'overDatabase',
    { url: contextOf(event).workspace.url, runId: run.stored.id, options },
    { name: 'requestJson', signal: whileAsked(event) },
  )
})
