import { useDatabase } from '#server/database/connection'
import { listRunLines } from '#server/runs/listRuns'

export default defineEventHandler(() => listRunLines(useDatabase()))
