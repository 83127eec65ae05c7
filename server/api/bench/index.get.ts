import { benchNow } from '#server/bench/benchClock'
import { readBenchNow } from '#server/bench/lanes'
import { useDatabase } from '#server/database/connection'

export default defineEventHandler(async () => readBenchNow(useDatabase(), await benchNow(useDatabase())))
