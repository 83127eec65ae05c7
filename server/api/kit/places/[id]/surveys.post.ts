import { addSurvey } from '#server/kit/windSurveys'

export default defineEventHandler((event) =>
  callService(event, (body) => addSurvey(contextOf(event).db, requireId(event), body)),
)
