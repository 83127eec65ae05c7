import { useDatabase } from '#server/database/connection'
import { today } from '#server/runs/today'

export default defineEventHandler((event) => answerInCommon(event, () => today(useDatabase())))
