import { likeRun } from '#server/runs/likeRun'
import { isUuid } from '#shared/uuid'

/** What the next run begins with; `like` null: nothing was burned here yet, or the run that is named is not there. */
export default defineEventHandler((event) => {
  const { run, person } = getQuery(event)
  const idOf = (asked: unknown) => (typeof asked === 'string' && isUuid(asked) ? asked : null)
  return answerInCommon(event, async () => ({
    like: await likeRun(contextOf(event).db, { runId: idOf(run), personId: idOf(person) }),
  }))
})
