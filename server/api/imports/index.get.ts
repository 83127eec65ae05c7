import { useDatabase } from '#server/database/connection'
import { listImports } from '#server/import/imports'

export default defineEventHandler(() => listImports(useDatabase()))
