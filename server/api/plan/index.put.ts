import { saveStudy } from '#server/plans/saveStudy'

export default defineEventHandler((event) => callService(event, (body) => saveStudy(contextOf(event).db, body)))
