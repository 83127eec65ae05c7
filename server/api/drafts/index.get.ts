import { listDrafts } from '#server/database/repositories/drafts'

export default defineEventHandler((event) => listDrafts(contextOf(event).db))
