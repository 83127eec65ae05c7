import { useDatabase } from '#server/database/connection'
import { doToRuns } from '#server/runs/manyRuns'

export default defineEventHandler((event) => throughDoor(event, (body) => doToRuns(useDatabase(), body)))
