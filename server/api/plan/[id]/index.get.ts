import { studyPage } from '#server/plans/studyPage'

export default defineEventHandler(async (event) =>
  requireFound(await studyPage(contextOf(event).db, requireId(event)), 'study'),
)
