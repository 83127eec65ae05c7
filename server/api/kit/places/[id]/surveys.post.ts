import { useDatabase } from '#server/database/connection'
import { addSurvey } from '#server/kit/windSurveys'

export default defineEventHandler((event) =>
  throughDoor(event, (body) => addSurvey(useDatabase(), requireId(event), body)),
)
