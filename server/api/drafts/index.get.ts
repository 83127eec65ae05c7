import { useDatabase } from '#server/database/connection'
import { listDrafts } from '#server/database/repositories/drafts'

export default defineEventHandler(() => listDrafts(useDatabase()))
