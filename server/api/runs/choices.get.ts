import { runChoices } from '#server/runs/repository/listRuns'

export default defineEventHandler((event) => answerInCommon(event, () => runChoices(contextOf(event).db)))
