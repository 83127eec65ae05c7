import { listGroups } from '#server/runs/listRuns'
import { readRunList } from '#shared/runList'

export default defineEventHandler((event) =>
  answerInCommon(event, () => listGroups(contextOf(event).db, readRunList(readQuery(event)))),
)
