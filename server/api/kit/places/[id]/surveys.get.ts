import { surveysOf } from '#server/kit/windSurveys'

export default defineEventHandler((event) => surveysOf(contextOf(event).db, requireId(event)))
