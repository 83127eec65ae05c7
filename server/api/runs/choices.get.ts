import { runChoices } from '#server/runs/listRuns'

export default defineEventHandler((event) => answerInCommon(event, () => runChoices(contextOf(event).db)))
