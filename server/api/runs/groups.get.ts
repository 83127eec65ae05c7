import { useDatabase } from '#server/database/connection'
import { listGroups } from '#server/runs/listRuns'
import { readRunList } from '#shared/runList'

export default defineEventHandler((event) =>
  answerInCommon(event, () => listGroups(useDatabase(), readRunList(readQuery(event)))),
)
