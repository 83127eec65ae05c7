import { surveysOf } from '#server/kit/repository/windSurveys'

export default defineEventHandler((event) => surveysOf(contextOf(event).db, requireId(event)))
