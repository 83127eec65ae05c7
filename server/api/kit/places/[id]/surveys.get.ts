import { useDatabase } from '#server/database/connection'
import { surveysOf } from '#server/kit/windSurveys'

export default defineEventHandler((event) => surveysOf(useDatabase(), requireId(event)))
