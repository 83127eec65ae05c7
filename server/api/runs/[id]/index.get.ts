import { useDatabase } from '#server/database/connection'
import { runPage } from '#server/runs/runPage'

export default defineEventHandler(async event => runPage(useDatabase(), await requireRun(event), readQuery(event)))
