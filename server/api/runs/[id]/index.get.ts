import { runPage } from '#server/runs/runPage'

export default defineEventHandler((event) =>
  answerInCommon(event, async () => runPage(contextOf(event).db, await requireRun(event), readQuery(event))),
)
