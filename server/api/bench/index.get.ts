import { readBenchNow } from '#server/bench/lanes'

export default defineEventHandler(async (event) =>
  readBenchNow(contextOf(event).db, await contextOf(event).workspace.clock.now()),
)
