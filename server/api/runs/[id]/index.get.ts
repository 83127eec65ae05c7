import { useDatabase } from '#server/database/connection'
import { runPage } from '#server/runs/runPage'

export default defineEventHandler((event) =>
  answerInCommon(event, async () => runPage(useDatabase(), await requireRun(event), readQuery(event))),
)
