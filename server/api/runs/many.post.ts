import { doToRuns } from '#server/runs/manyRuns'

export default defineEventHandler((event) => callService(event, (body) => doToRuns(contextOf(event).db, body)))
