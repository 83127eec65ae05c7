import { listGroups } from '#server/runs/repository/listRuns'
import { readRunList } from '#shared/runList'

export default defineEventHandler((event) =>
  answerInCommon(event, () => listGroups(contextOf(event).db, readRunList(readQuery(event)))),
)
