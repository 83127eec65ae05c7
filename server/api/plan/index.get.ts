import { listStudies } from '#server/plans/studyPage'

export default defineEventHandler((event) => listStudies(contextOf(event).db))
