import { useDatabase } from '#server/database/connection'
import { runChoices } from '#server/runs/listRuns'

export default defineEventHandler((event) => answerInCommon(event, () => runChoices(useDatabase())))
